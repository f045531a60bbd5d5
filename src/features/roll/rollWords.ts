import { filmFormats } from '@/core/films/filmFormats';
import { storagePresets } from '@/core/films/storagePresets';
import type { Roll, Stock } from '@/core/formats/records';

const exposureWords: Record<Roll['exposure']['state'], string> = {
  unexposed: 'not exposed yet',
  known: 'exposed as metered',
  mixed: 'mixed exposures',
  unknown: 'unknown exposures',
};

/** How old the roll is, in words. */
export function ageWords(roll: Roll, thisYear: number): string {
  if (roll.expiredYear === null) return 'age unknown';
  const years = thisYear - roll.expiredYear;
  if (years <= 0) return 'in date';
  const doubt = roll.expiredYearSd === 0 ? '' : ` ± ${roll.expiredYearSd}`;
  return `${years}${doubt} ${years === 1 ? 'year' : 'years'} past its date`;
}

/** One line under a roll's name. */
export function rollLine(roll: Roll, stock: Stock, thisYear: number): string {
  const kept = roll.storageId === 'unknown' ? 'kept nobody knows how' : storagePresets[roll.storageId].name.toLowerCase();
  return [stock.name, filmFormats[roll.formatId].name, ageWords(roll, thisYear), kept, exposureWords[roll.exposure.state]].join(' · ');
}

/** A shorter line for lists. */
export function rollShortLine(roll: Roll, stock: Stock, thisYear: number): string {
  return [stock.name, ageWords(roll, thisYear).replace(' past its date', ''), exposureWords[roll.exposure.state]].join(' · ');
}
