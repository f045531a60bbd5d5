import type { Ask, AskedDeveloper } from '@/core/plan/ask';
import type { AskAnswer } from '@/core/plan/askAnswer';
import { developerFamilies, type DeveloperFamilyId } from '@/core/chemistry/developerFamilies';
import type { OrganicAgentId } from '@/core/chemistry/organicAgents';
import { filmFormats, type FilmFormatId } from '@/core/films/filmFormats';
import { stockFamilies, type StockFamilyId } from '@/core/films/stockFamilies';
import type { StoragePresetId } from '@/core/films/storagePresets';
import type { ExposureState } from '@/core/records/records';
import { formatMinutes } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import { formatNumber } from '@/core/units/quantity';
import { strategyReasons, strategyWords } from '@/features/words/strategyWords';
import type { Option } from '@/ui/Choice';

/** Films as words of a sentence: “a roll of …”. */
const families: Record<StockFamilyId, string> = {
  'unknown-monochrome': 'some black-and-white',
  'pan-cubic-slow': 'slow black-and-white',
  'pan-cubic-medium': 'medium black-and-white',
  'pan-cubic-fast': 'fast black-and-white',
  'pan-cubic-very-fast': 'very fast black-and-white',
  'pan-tabular-medium': 'medium tabular-grain',
  'pan-tabular-fast': 'fast tabular-grain',
  orthochromatic: 'orthochromatic',
  'chromogenic-monochrome': 'chromogenic black-and-white',
  'cine-monochrome-negative': 'black-and-white cine',
  'unknown-colour': 'some colour film',
  'colour-negative-current': 'colour negative',
  'colour-negative-obsolete': 'old colour negative',
  'colour-reversal-couplers': 'colour slide',
  'colour-reversal-nonsubstantive': 'old colour slide',
  'cine-colour-negative': 'colour cine negative',
  'cine-print': 'cine print',
  'lith-line': 'lith or line',
  'x-ray': 'X-ray',
};

/** The order in which films are offered: what nobody can name first of its kind. */
const familyOrder = Object.keys(families) as StockFamilyId[];

export const familyOptions: readonly Option<StockFamilyId>[] = familyOrder.map((value) => ({
  value,
  name: families[value],
  hint: value.startsWith('unknown') ? 'I don’t know which' : stockFamilies[value].name,
}));

const formats: Partial<Record<FilmFormatId, string>> = { '135': '35 mm', '135-24': '35 mm, 24 frames' };
const formatName = (id: FilmFormatId): string =>
  formats[id] ?? lowerFirst(filmFormats[id].name.replace(/ \(.*\)$/, ''));

/** The order in which sizes are offered: the common ones first. */
const common: readonly FilmFormatId[] = ['135', '120', '127', '126', '110', '620'];

export const formatOptions: readonly Option<Ask['formatId']>[] = [
  ...[...common, ...(Object.keys(filmFormats) as FilmFormatId[]).filter((id) => !common.includes(id))].map((value) => ({
    value,
    name: formatName(value),
    hint: filmFormats[value].name,
  })),
  { value: 'unknown', name: 'a size I don’t know', hint: 'It changes the volume in the tank, and hardly the time' },
];

/** Ages to choose from; any number can be typed. */
const AGES = [0, 5, 10, 15, 20, 25, 30, 40, 50, 60] as const;

/** A film’s age as words of the sentence. */
export function ageWords(past: Ask['past']): string {
  if (past === 'new') return 'bought new';
  if (past === 'unknown') return 'of an age I don’t know';
  return past === 1 ? 'about 1 year past its date' : `about ${past} years past its date`;
}

export const ageOptions: readonly Option<string>[] = [
  { value: 'new', name: ageWords('new') },
  ...AGES.map((years) => ({ value: String(years), name: ageWords(years) })),
  { value: 'unknown', name: ageWords('unknown'), hint: 'I don’t know' },
];

const places: Record<StoragePresetId, string> = {
  room: 'a drawer',
  cellar: 'a cellar',
  'damp-cellar': 'a damp cellar',
  attic: 'an attic or a car',
  fridge: 'a fridge',
  freezer: 'a freezer',
  unknown: 'a place I don’t know',
};
export const placeOptions: readonly Option<StoragePresetId>[] = (Object.keys(places) as StoragePresetId[]).map(
  (value) => ({ value, name: places[value] }),
);

const exposures: Record<ExposureState, { name: string; hint: string }> = {
  unexposed: { name: 'still to be exposed', hint: 'Not exposed yet' },
  known: { name: 'exposed as usual', hint: 'As metered, or by a camera that meters' },
  mixed: { name: 'exposed in mixed light', hint: 'Some frames dark, some bright' },
  unknown: { name: 'exposed, who knows how', hint: 'I don’t know' },
};
export const exposureOptions: readonly Option<ExposureState>[] = (Object.keys(exposures) as ExposureState[]).map(
  (value) => ({ value, ...exposures[value] }),
);

const agents: Record<OrganicAgentId, string> = {
  'instant-coffee': 'coffee, standard',
  'ground-coffee': 'ground coffee, brewed',
  'black-tea': 'black tea',
  'green-tea': 'green tea',
  'red-wine': 'red wine',
  'dark-beer': 'dark beer',
  herb: 'rosemary, mint or thyme',
  wood: 'wood or bark',
};

/** Developers as words of the sentence, jugs on the bench first. */
export function developerOptions(
  jugs: readonly { id: string; name: string; code: string }[],
): Option<AskedDeveloper>[] {
  return [
    ...jugs.map(({ id, name, code }) => ({
      value: `jug:${id}` as const,
      name: `${lowerFirst(name)} · ${code}`,
      hint: 'A jug on the bench',
    })),
    ...(Object.keys(agents) as OrganicAgentId[]).map((value) => ({
      value,
      name: agents[value],
      hint: 'From the kitchen, with washing soda and vitamin C',
    })),
    ...(Object.keys(developerFamilies) as DeveloperFamilyId[]).map((value) => ({
      value,
      name: lowerFirst(developerFamilies[value].name),
      hint: 'Bought',
    })),
    { value: 'one-bath' as const, name: 'a one-bath', hint: 'Developer and fixer in one' },
    { value: 'unknown' as const, name: 'I don’t know yet', hint: 'Coffee stands for it: every kitchen has it' },
  ];
}

/** Strategies as words of the sentence. */
export const strategyOptions: readonly Option<Ask['strategy']>[] = [
  { value: 'advised', name: 'as advised', hint: 'I don’t know: what the film’s age calls for' },
  ...(Object.keys(strategyWords) as (keyof typeof strategyWords)[]).map((value) => ({
    value,
    name: lowerFirst(strategyWords[value].name),
    hint: strategyWords[value].does,
  })),
];

/** The strategy that the answer takes, and why. */
export function strategyLine({ strategy: { id, advised, reason } }: AskAnswer): string {
  const { name, does } = strategyWords[id];
  if (id === advised) return `${name}, ${does}: ${strategyReasons[reason]}`;
  return `${name}, ${does}. ${strategyWords[advised].name} is advised: ${strategyReasons[reason]}`;
}

/** What would narrow it most. */
export function bestLine({ best, lowMin, highMin, guess }: AskAnswer): string {
  if (guess)
    return 'A drop of it on the leader, beside a drop of a developer that you know. Three minutes, no film lost.';
  if (best === null)
    return `Nothing much: ${formatMinutes(lowMin)} to ${formatMinutes(highMin)} is as good as it gets before you develop.`;
  const left = `${formatMinutes(best.lowMin)} to ${formatMinutes(best.highMin)}`;
  switch (best.id) {
    case 'date':
      return `Its date. A box, an edge print, a year that somebody remembers would leave ${left}.`;
    case 'storage':
      return `Where it lay. A known place would leave ${left}.`;
    case 'clip':
      return `Five centimetres of it, developed and looked at: ${left}. One frame is lost at the most.`;
    default:
      return `A drop of your brew on the leader, beside a drop of a developer that you know: ${left}. Three minutes, no film lost.`;
  }
}

const slower = (ratio: number): string =>
  ratio >= 1 ? `${formatNumber(ratio, 1)} times as slow` : `${formatNumber(1 / ratio, 1)} times as fast`;

/** Why the time is not that of a leaflet, the largest reason first. */
export function whyLine({ reasons }: AskAnswer): string {
  const sentences = reasons.map(({ id, ratio }) => {
    switch (id) {
      case 'strength':
        return `Your brew is ${slower(ratio)} as its usual developer.`;
      case 'dilution':
        return `Its dilution makes it ${slower(ratio)}.`;
      case 'temperature':
        return `The temperature makes it ${slower(ratio)}.`;
      case 'age':
        return `Age makes the film ${slower(ratio)}.`;
      case 'strategy':
        return ratio >= 1
          ? `Age costs contrast: ${formatNumber(100 * (ratio - 1), 0)} % more time wins some of it back.`
          : 'The strategy shortens it.';
      case 'wear':
        return `The jug has worked before: it is ${slower(ratio)}.`;
      case 'agitation':
        return `The agitation makes it ${slower(ratio)}.`;
      default:
        return `The restrainer makes it ${slower(ratio)}.`;
    }
  });
  return sentences.length === 0 ? 'It is: nothing here changes it.' : sentences.join(' ');
}

/** How the film will look, in a line. */
export function lookLine({ baseFogD, lossStops }: AskAnswer): string {
  const fog =
    baseFogD < 0.35 ? 'Hardly any fog' : baseFogD < 0.6 ? 'Some fog' : baseFogD < 1 ? 'Much fog' : 'Very much fog';
  if (lossStops < 0.3) return `${fog}.`;
  const stops =
    lossStops < 0.75 ? 'half a stop' : lossStops < 1.5 ? 'about a stop' : `about ${Math.round(lossStops)} stops`;
  return `${fog}, ${stops} lost.`;
}

/** What of an address could not be read. */
export function unreadWords(unread: readonly string[], newer: boolean): string | null {
  if (newer)
    return 'This address was made by a newer Aetas. What could be read of it stands below; look at every word.';
  return unread.length === 0
    ? null
    : `Of this address ${unread.map((name) => `“${name}”`).join(', ')} could not be read. The rest stands below; look at every word.`;
}
