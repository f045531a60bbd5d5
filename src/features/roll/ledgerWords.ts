import { agitationSchools } from '@/core/schedule/agitationSchools';
import { developerFamilies } from '@/core/chemistry/developerFamilies';
import type { EstimateRequest } from '@/core/estimate/request';
import type { Estimate, LedgerRow } from '@/core/estimate/result';
import { purposes } from '@/core/kinetics/targets';
import { stockFamilies } from '@/core/films/stockFamilies';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';

/** How a source mark reads. */
export const sourceWords: Record<LedgerRow['source'], string> = {
  published: 'published relation',
  practice: 'common practice, no source',
  estimate: 'our estimate',
  user: 'your own figure',
};

/** A ledger row in words. */
export interface RowWords {
  label: string;
  note: string;
  /** How the row is computed, in a sentence or two. */
  explanation: string;
  /** Id of the field that changes it; null when it follows from the roll. */
  fieldId: string | null;
}

/** Puts a ledger row into words. */
export function rowWords(row: LedgerRow, request: EstimateRequest, estimate: Estimate, units: UnitChoice): RowWords {
  const { developer, knownTime, wear, target, strategy, bromideGPerL } = request;
  const concentrate = developer.kind === 'concentrate' ? developerFamilies[developer.familyId] : null;
  switch (row.id) {
    case 'base':
      return knownTime === undefined
        ? {
            label: `${stockFamilies[request.film.familyId].name}, in ${concentrate === null ? 'the standard coffee brew' : lowerFirst(concentrate.name)}`,
            note: 'family value for fresh film at 20 °C, to the scan gradient',
            explanation: 'A class of film and a class of developer have a usual time. It is only known to about a quarter either way; for other kitchen agents to a factor of nearly two.',
            fieldId: null,
          }
        : {
            label: 'The time that you know',
            note: `for fresh film at ${formatQuantity(knownTime.temperatureC, 'temperature', units)}`,
            explanation: 'It replaces the family value. A leaflet is trusted to 12 %, somebody’s time to 20 %, your own repeated time to 7 %.',
            fieldId: 'knownTimeMin',
          };
    case 'dilution':
      return {
        label: developer.kind === 'concentrate' ? `Dilution ${developer.parts.concentrate}+${developer.parts.water}` : 'Dilution',
        note: concentrate === null ? '' : `usual is ${concentrate.referenceParts.concentrate}+${concentrate.referenceParts.water}`,
        explanation: 'The rate goes with the share of concentrate to a power that belongs to the class of developer. The power itself is only roughly known.',
        fieldId: 'waterParts',
      };
    case 'strength':
      return {
        label: 'Strength of the brew',
        note: developer.kind === 'improvised' ? 'against 40 g/l coffee and 16 g/l ascorbic acid' : '',
        explanation: 'Both agents multiply: coffee to the power 0.8, ascorbic acid to the power 0.25. Brands of coffee differ by a quarter. The soda is not computed yet: the further it is from 54 g/l, the wider the band.',
        fieldId: 'agentPerL',
      };
    case 'wear':
      return {
        label: wear.films > 0 ? `${Number(wear.films.toFixed(1))} ${wear.films === 1 ? 'film' : 'films'} through this brew, ${formatNumber(wear.ageH, 1)} h old` : `Brew ${formatNumber(wear.ageH, 1)} h old`,
        note: 'halves in about 4 h; each film in 500 ml takes 13 %',
        explanation: 'One film in 500 ml lengthens the next from 13 to 15 minutes. Fading is guessed to a factor of two either way.',
        fieldId: 'developerKind',
      };
    case 'temperature':
      return {
        label: formatQuantity(request.temperatureC, 'temperature', units),
        note: `against ${formatQuantity(knownTime?.temperatureC ?? 20, 'temperature', units)}`,
        explanation: 'Arrhenius, from the rate’s growth between 20 and 30 °C. The doubt is that growth, and 0.3 °C for the thermometer.',
        fieldId: 'temperatureC',
      };
    case 'agitation':
      return {
        label: agitationSchools[request.agitationId].name,
        note: 'against once a minute',
        explanation: 'More movement brings fresh developer to the film. The spread is that of hands; a stand time is much less sure.',
        fieldId: 'agitationId',
      };
    case 'age':
      return {
        label: bromideGPerL > 0 ? `Age, and ${formatNumber(bromideGPerL, 1)} g/l bromide` : 'Age and fog',
        note: `base + fog ${rangeWords(estimate.baseFogD, 2)} expected`,
        explanation: 'Age itself is not known to slow or speed development, but old gelatin behaves less surely: that is the doubt. Bromide slows development by one sixth for each gram.',
        fieldId: bromideGPerL > 0 ? 'bromideGPerL' : null,
      };
    case 'strategy':
      return strategy.id === 'hold'
        ? {
            label: 'Hold: the fresh-film time',
            note: `net gradient ${formatNumber(estimate.gradient.net, 2)} for ${formatNumber(estimate.gradient.target, 2)} wanted`,
            explanation: 'Keeps the fog down and takes the softer negative. Extend develops longer to win contrast back.',
            fieldId: 'strategyId',
          }
        : {
            label: estimate.gradient.capped ? 'Extend, as far as the cap allows' : 'Extend until the gradient is won back',
            note: `net gradient ${formatNumber(estimate.gradient.net, 2)} for ${formatNumber(estimate.gradient.target, 2)} wanted; Hold takes ${formatMinutes(estimate.freshTimeMin)}`,
            explanation: 'At most 15 % for each stop lost and 50 % in all, unless you lift the cap. Fog grows with the time.',
            fieldId: 'strategyId',
          };
    case 'target':
      return {
        label: target.pushStops === 0 ? `For ${purposes[target.purpose].name.toLowerCase()}` : `${purposes[target.purpose].name}, ${target.pushStops > 0 ? 'pushed' : 'pulled'} ${formatNumber(Math.abs(target.pushStops), 1)}`,
        note: estimate.gradient.reachable ? `average gradient ${formatNumber(estimate.gradient.target, 2)}` : `${formatNumber(estimate.gradient.target, 2)} is out of reach; ${formatNumber(estimate.gradient.bestReachable, 2)} is the best`,
        explanation: 'A stop of push aims at a gradient 1.18 times higher. The nearer to the film’s largest gradient, the less sure the time.',
        fieldId: 'purpose',
      };
  }
}

/** A range in words: the value, with its ends when they differ. */
export function rangeWords(range: { value: number; low: number; high: number }, decimals: number): string {
  const value = formatNumber(range.value, decimals);
  const low = formatNumber(range.low, decimals);
  const high = formatNumber(range.high, decimals);
  return low === high ? value : `${value} (${low}–${high})`;
}

/** A name within a sentence: its first letter small, unless it is a sign such as p-. */
export function lowerFirst(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1);
}
