import { causes } from '@/core/diagnosis/causes';
import { formulary } from '@/core/brewing/formulary';
import { cautionRules } from '@/core/safety/cautions';
import { terms } from '@/core/units/terms';
import { subjects } from './subjects';

/** Something that the handbook can be asked. */
export interface HandbookAnswer {
  kind: 'Subject' | 'Term' | 'What went wrong' | 'Caution' | 'Recipe' | 'Question';
  title: string;
  words: string;
  /** Words that people use for it. */
  also: string;
  href: string;
}

/** What people ask in their own words. Source: common practice, no source. */
const asked: readonly { title: string; words: string; also: string }[] = [
  {
    title: 'Milky or cloudy film',
    words:
      'It is not fixed through. Put it back into fresh fixer, in the light if it has been out: twice the time that it takes to clear. If it stays milky, the fixer is spent.',
    also: 'milky cloudy opaque foggy white creamy not clear',
  },
  {
    title: 'Purple, pink or blue film',
    words:
      'Sensitising dye that is still in it. Fix a little longer, wash longer, or lay the dry film on a window sill: light bleaches it. It harms nothing.',
    also: 'purple pink magenta blue tint cast colour dye',
  },
  {
    title: 'Curled film',
    words:
      'It dried too fast, or lay rolled for decades. Hang it with a weight in moist air, then leave it flat under books for some days, emulsion up.',
    also: 'curled curly cupped rolled up will not lie flat scanner',
  },
  {
    title: 'The brew smells',
    words:
      'Coffee with washing soda smells of wet dog, and should. Rotten eggs from a bottle of fixer mean that it decomposes: throw it out. A film that smells of vinegar or of sharp acid is another matter: read about nitrate and decaying acetate first.',
    also: 'smells stinks smell odour rotten eggs vinegar wet dog',
  },
  {
    title: 'Drying marks',
    words:
      'Rinse the last water with a drop of wetting agent, do not wipe, and hang the film where nobody walks. Marks on the shiny side come off with breath and a soft cloth.',
    also: 'drying marks spots drops water stains streaks limescale',
  },
  {
    title: 'Scratches along the film',
    words:
      'Grit under the squeegee, in the cassette’s felt, or on the reel. Wash the reel with hot water and a brush, and let the film drip.',
    also: 'scratches lines scratch tramlines grit',
  },
  {
    title: 'Half-moons and creases',
    words:
      'The film was kinked while it was loaded. Feed it from its edges, without force: when it stops, turn back two turns.',
    also: 'half moon crescent crease kink creases loading stuck jammed reel',
  },
  {
    title: 'Uneven sky, streaks from the perforation',
    words:
      'Too much or too regular agitation, or the developer poured in slowly. Turn the tank over gently and not always the same way, and fill it in one go.',
    also: 'uneven streaks bands surge marks bromide drag perforation sky density stripes',
  },
  {
    title: 'Bubbles: small clear rings',
    words:
      'Air that clung to the film while it developed. Tap the tank hard on the table after filling, and pre-soak a film that is very dry.',
    also: 'bubbles rings clear spots circles air bells round',
  },
  {
    title: 'Black line or fog at one edge',
    words:
      'Light came in: a lid not clicked home, a cassette opened in a room that was not dark, the reel without its column.',
    also: 'light leak black edge fogged edge leak lid light struck',
  },
  {
    title: 'Nothing on it, edge print dark',
    words: 'The developer worked: the film was never exposed, or the shutter never opened.',
    also: 'blank empty clear nothing no image numbers visible',
  },
  {
    title: 'Nothing on it, no edge print',
    words:
      'It went into the fixer first, or the developer did nothing. Try the brew on a snip of leader in the light: it must turn black.',
    also: 'blank empty clear nothing no image no numbers fixer first dead developer exhausted',
  },
  {
    title: 'Sediment and flakes',
    words:
      'Hard water and soda make chalk; coffee leaves grounds. Let the jug stand, strain it through a cloth, and wash the film longer.',
    also: 'sediment flakes dirt particles chalk sludge grounds specks residue',
  },
  {
    title: 'How warm must it be?',
    words:
      'Any temperature from 18 to 26 °C that you can hold: the time follows. It matters more that the baths are alike than that they are 20.',
    also: 'temperature warm cold how hot degrees room heat',
  },
  {
    title: 'How often may I use the fixer?',
    words: 'Until a snip of film takes twice as long to clear as in fresh fixer.',
    also: 'fixer reuse capacity how many films exhausted spent clearing',
  },
];

/** Everything that can be asked. */
export const handbookAnswers: readonly HandbookAnswer[] = [
  ...subjects.map(({ id, title, answers, also }) => ({
    kind: 'Subject' as const,
    title,
    words: answers,
    also,
    href: `/handbook/${id}`,
  })),
  ...asked.map((one) => ({ kind: 'Question' as const, ...one, href: '' })),
  ...Object.entries(terms).map(([id, { name, words }]) => ({
    kind: 'Term' as const,
    title: name,
    words,
    also: '',
    href: `#term-${id}`,
  })),
  ...Object.values(causes).map(({ name, advice }) => ({
    kind: 'What went wrong' as const,
    title: name,
    words: advice,
    also: '',
    href: '',
  })),
  ...cautionRules.map(({ id, text }) => ({
    kind: 'Caution' as const,
    title: text.split('. ')[0] ?? text,
    words: text,
    also: id.replaceAll('-', ' '),
    href: `#caution-${id}`,
  })),
  ...Object.entries(formulary).map(([id, { name }]) => ({
    kind: 'Recipe' as const,
    title: name,
    words: 'On the workbench, with its amounts for your tank and its time.',
    also: 'recipe mix brew',
    href: `/brews/workbench?recipe=${id}`,
  })),
];

/** Most answers that are shown. */
const SHOWN = 8;

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** How well a word stands for what was typed: its beginning best, within what people call it next, in its text last. */
function worth(typed: string, { title, also, words }: HandbookAnswer): number {
  if (wordsOf(title).some((word) => word.startsWith(typed))) return 4;
  if (wordsOf(also).some((word) => word.startsWith(typed))) return 3;
  return typed.length > 2 && wordsOf(words).some((word) => word.startsWith(typed)) ? 1 : 0;
}

/**
 * Answers to what was typed, the best first.
 * @param text first letters of some words
 * @returns up to eight; none for nothing typed
 * @example findAnswers('milk')[0].title // 'Milky or cloudy film'
 */
export function findAnswers(text: string, answers: readonly HandbookAnswer[] = handbookAnswers): HandbookAnswer[] {
  const typed = wordsOf(text);
  if (typed.length === 0) return [];
  return answers
    .map((answer) => ({ answer, marks: typed.map((word) => worth(word, answer)) }))
    .filter(({ marks }) => marks.every((mark) => mark > 0))
    .sort((a, b) => b.marks.reduce((sum, one) => sum + one, 0) - a.marks.reduce((sum, one) => sum + one, 0))
    .slice(0, SHOWN)
    .map(({ answer }) => answer);
}
