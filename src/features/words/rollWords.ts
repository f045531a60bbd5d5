import { conditionSigns } from '@/core/films/conditionFacts';
import { filmFormats } from '@/core/films/filmFormats';
import { FRESH_YEARS, dateRoll } from '@/core/films/rollDating';
import { stockFamilies } from '@/core/films/stockFamilies';
import { storagePresets } from '@/core/films/storagePresets';
import type { Estimate } from '@/core/estimate/result';
import type { Roll, Stock } from '@/core/records/records';
import { formatNumber } from '@/core/units/quantity';

const exposureWords: Record<Roll['exposure']['state'], string> = {
  unexposed: 'not exposed yet',
  known: 'exposed as metered',
  mixed: 'mixed exposures',
  unknown: 'unknown exposures',
};

/** What of a roll and its stock these lines tell. */
type Told = Pick<Roll, 'formatId' | 'hints' | 'storage' | 'exposure'>;
type Film = Pick<Stock, 'name' | 'familyId'>;

/** How old the roll is, in words. */
export function ageWords(roll: Told, stock: Film, thisYear: number): string {
  const window = dateRoll({ formatId: roll.formatId, familyId: stock.familyId, hints: roll.hints }, thisYear);
  if (!window.ok) return 'hints contradict each other';
  if (roll.hints.length === 0) return 'age unknown';
  const years = Math.round(thisYear - window.meanYear - FRESH_YEARS);
  if (years <= 0) return 'in date';
  const doubt = window.sdYears < 1 ? '' : ` ± ${Math.round(window.sdYears)}`;
  return `${years}${doubt} ${years === 1 ? 'year' : 'years'} past its date`;
}

/** Where it lay, in a few words. */
export function storageWords(roll: Pick<Roll, 'storage'>): string {
  const names = roll.storage.map(({ placeId }) =>
    placeId === 'unknown' ? 'storage unknown' : storagePresets[placeId].name.toLowerCase(),
  );
  return names.filter((name, index) => name !== names[index - 1]).join(', then ');
}

/** One line under a roll's name. */
export function rollLine(roll: Told, stock: Film, thisYear: number): string {
  return [
    stock.name,
    filmFormats[roll.formatId].name,
    ageWords(roll, stock, thisYear),
    storageWords(roll),
    exposureWords[roll.exposure.state],
  ].join(' · ');
}

/** What film it is, in a line. */
export function filmInShort(
  { formatId }: Pick<Roll, 'formatId'>,
  { name, familyId, iso }: Film & Pick<Stock, 'iso'>,
): string {
  const family = stockFamilies[familyId].name;
  return [...(name === '' || name === family ? [] : [name]), family, `ISO ${iso}`, filmFormats[formatId].name].join(
    ' · ',
  );
}

/** How a film lies there, in a line. */
export function conditionInShort({ signs }: Roll['condition']): string {
  return signs.length === 0 ? 'No signs of age noted' : signs.map((sign) => conditionSigns[sign].name).join(', ');
}

/** A shorter line for lists. */
export function rollShortLine(roll: Told, stock: Film, thisYear: number): string {
  return [
    stock.name,
    ageWords(roll, stock, thisYear).replace(' past its date', ''),
    exposureWords[roll.exposure.state],
  ].join(' · ');
}

/** Fog beyond that of fresh film up to which it is called by each word, D. Source: our choice. */
const fogNames: readonly (readonly [number, string])[] = [
  [0.05, 'hardly any fog'],
  [0.3, 'some fog'],
  [0.6, 'a lot of fog'],
];

/** What age has done, in a sentence. */
export function agedWords(
  { effectiveAge, baseFogD, imageLossStops }: Pick<Estimate, 'effectiveAge' | 'baseFogD' | 'imageLossStops'>,
  { familyId, own }: Pick<Stock, 'familyId' | 'own'>,
): string {
  if (effectiveAge.value < 1) return 'As good as fresh';
  const ageFogD = baseFogD.value - (own.freshBaseFogD ?? stockFamilies[familyId].freshBaseFogD);
  const fog = fogNames.find(([most]) => ageFogD < most)?.[1] ?? 'heavy fog';
  const stops = Math.round(imageLossStops.value * 2) / 2;
  const lost =
    stops < 0.5
      ? 'hardly any speed lost'
      : `about ${formatNumber(stops, stops % 1 === 0 ? 0 : 1)} ${stops === 1 ? 'stop' : 'stops'} lost`;
  const years = Math.round(effectiveAge.value);
  return `Aged like ${years} ${years === 1 ? 'year' : 'years'} at room temperature; expect ${fog} and ${lost}`;
}
