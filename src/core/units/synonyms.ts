/** Words that mean the same in this work: whoever types one finds the others. Source: common usage. */
const groups: readonly (readonly string[])[] = [
  ['vitamin c', 'ascorbic acid', 'ascorbic', 'ascorbate'],
  ['monobath', 'one-bath', 'one bath'],
  ['washing soda', 'sodium carbonate', 'soda crystals', 'soda'],
  ['baking soda', 'bicarbonate'],
  ['hypo', 'fixer', 'thiosulfate'],
  ['pyro', 'pyrogallol', 'staining'],
  ['bromide', 'restrainer'],
  ['beer', 'stout'],
  ['rem-jet', 'black backing'],
  ['black and white', 'black-and-white', 'monochrome', 'panchromatic', 'pan'],
];

/**
 * What a search stands for: each of its words, with every other word for the same.
 * @param wanted the search as typed
 * @returns one list for each word or phrase; a line fits when it holds at least one of each list
 * @example searchWords('vitamin c rodeo') // [['vitamin c', 'ascorbic acid', 'ascorbic', 'ascorbate'], ['rodeo']]
 */
export function searchWords(wanted: string): string[][] {
  let rest = ` ${wanted.toLowerCase().replace(/\s+/g, ' ').trim()} `;
  const found: string[][] = [];
  const phrases = groups
    .flatMap((group) => group.map((phrase) => ({ phrase, group })))
    .sort((a, b) => b.phrase.length - a.phrase.length);
  for (const { phrase, group } of phrases) {
    if (!rest.includes(` ${phrase} `)) continue;
    rest = rest.replace(` ${phrase} `, ' ');
    found.push([phrase, ...group.filter((other) => other !== phrase)]);
  }
  return [
    ...found,
    ...rest
      .split(' ')
      .filter(Boolean)
      .map((word) => [word]),
  ];
}
