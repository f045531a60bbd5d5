import { coffeeEquivalent } from '@/core/chemistry/coffeeEquivalent';
import { ALKALINITY_EXPONENT, improvisedRate } from '@/core/chemistry/improvisedStrength';
import { REFERENCE_BREW_PH } from '@/core/chemistry/ph/brewPh';
import { isOneShot } from '@/core/chemistry/concentrateWear';
import { lowerFirst } from '@/core/units/lowerFirst';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { movementName } from '@/core/schedule/movementName';
import { differences } from '@/core/brewing/finishMix';
import type { Brew } from '@/core/records/records';
import { differenceWords } from './brewWords';
import { developerFamilies } from '@/core/chemistry/developerFamilies';
import type { EstimateRequest } from '@/core/estimate/request';
import type { Estimate, LedgerRow } from '@/core/estimate/result';
import { purposes } from '@/core/kinetics/targets';
import { stockFamilies } from '@/core/films/stockFamilies';
import { ONE_BATH_AGITATION_C, ONE_BATH_MIN_PER_FILM_AND_LITRE, ONE_BATH_TIMES } from '@/core/kinetics/oneBath';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';

/** How a source mark reads. */
export const sourceWords: Record<LedgerRow['source'], string> = {
  published: 'published relation',
  practice: 'common practice, no source',
  estimate: 'our estimate',
  user: 'your own figure',
};

/** What each row is about, before there are figures. */
export const rowNames: Record<LedgerRow['id'], string> = {
  base: 'Film and developer',
  dilution: 'Dilution',
  strength: 'Strength of the brew',
  wear: 'Age and use of the brew',
  temperature: 'Temperature',
  agitation: 'Agitation',
  bromide: 'Bromide',
  age: 'Age and fog',
  strategy: 'Strategy',
  target: 'Target',
};

/** A ledger row in words. */
export interface RowWords {
  label: string;
  note: string;
  /** How the row is computed, in a sentence or two. */
  explanation: string;
}

/** Puts a ledger row into words; with the jug at hand, what went into it against what was wanted. */
export function rowWords(
  row: LedgerRow,
  request: EstimateRequest,
  estimate: Estimate,
  units: UnitChoice,
  jug: Brew | null = null,
): RowWords {
  const { developer, knownTime, wear, target, bromideGPerL } = request;
  const concentrate = developer.kind === 'concentrate' ? developerFamilies[developer.familyId] : null;
  const ofOneBath = developer.kind === 'one-bath' ? oneBathRow(row, request, estimate, units) : null;
  if (ofOneBath !== null) return ofOneBath;
  switch (row.id) {
    case 'base':
      return knownTime === undefined
        ? {
            label: baseLabel(request),
            note: baseNote(row, request, estimate, units),
            explanation:
              'Each class of film has a usual time in each class of developer, known to about a quarter either way, and for unusual kitchen agents to a factor of nearly two. Tests, leaflets’ times and verdicts for this stock or developer adjust it.',
          }
        : {
            label: 'The time you know',
            note: `${formatMinutes(knownTime.timeMin)} for fresh film at ${formatQuantity(knownTime.temperatureC, 'temperature', units)}, carried to 20 °C and the usual strength`,
            explanation:
              'It replaces the family value. A leaflet is trusted to 12 %, somebody else’s time to 20 %, your own repeated time to 7 %.',
          };
    case 'dilution':
      return {
        label:
          developer.kind === 'concentrate'
            ? `Dilution ${developer.parts.concentrate}+${developer.parts.water}`
            : 'Dilution',
        note: [
          concentrate === null
            ? ''
            : `usual is ${concentrate.referenceParts.concentrate}+${concentrate.referenceParts.water}`,
          asMixedWords(jug, units),
        ]
          .filter(Boolean)
          .join('; '),
        explanation:
          'The rate follows the share of concentrate, raised to a power typical of the developer class. That power is only roughly known.',
      };
    case 'strength':
      if (developer.kind !== 'improvised') {
        return {
          label: 'Mixing',
          note:
            request.mixingLnSd === undefined
              ? 'as usual'
              : `measured to ± ${Math.max(1, Math.round(request.mixingLnSd * 100))} % of its strength`,
          explanation:
            'No two mixes are quite the same. How finely each amount was measured decides how much they differ.',
        };
      }
      return {
        label: 'Strength of the brew',
        note: [
          asMixedWords(jug, units),
          estimate.ph === null ? 'as mixed' : `pH ${formatNumber(estimate.ph, 1)}`,
          'against soda 54, ascorbic acid 16, coffee 40 g/l',
          isLearned(row, developer, estimate.ph) ? 'adjusted from your runs' : '',
        ]
          .filter(Boolean)
          .join('; '),
        explanation:
          'Both agents multiply: coffee to the power 0.8, ascorbic acid to the power 0.25. Each pH above the reference brew makes it 1.7 times as fast. Brands of coffee differ by a quarter.',
      };
    case 'wear':
      return {
        label:
          wear.films > 0
            ? `${Number(wear.films.toFixed(1))} ${wear.films === 1 ? 'film' : 'films'} through this brew, ${formatNumber(wear.ageH, 1)} h old`
            : `Brew ${formatNumber(wear.ageH, 1)} h old`,
        ...(developer.kind === 'concentrate'
          ? {
              note: isOneShot(developer)
                ? 'a one-shot, poured away as a rule'
                : 'a tenth longer for each film in a litre',
              explanation: isOneShot(developer)
                ? 'A working solution that is used once has only so much concentrate: each film takes the least amount that one needs, and what is left works on, weaker. Standing, it halves in about 12 hours. Both are estimates, good to a factor of two.'
                : 'Each film in a litre of stock lengthens the next by about a tenth.',
            }
          : {
              note: 'halves in about 4 h; each film in 500 ml takes 13 %',
              explanation:
                'One film in 500 ml lengthens the next from 13 to 15 minutes. Fading is an estimate, good to a factor of two either way.',
            }),
      };
    case 'temperature':
      return {
        label: formatQuantity(request.temperatureC, 'temperature', units),
        note: `against ${formatQuantity(20, 'temperature', units)}${request.ambientC === undefined ? '' : `; ${formatQuantity(request.ambientC, 'temperature', units)} in the room`}`,
        explanation: `Arrhenius, from how much the rate grows between 20 and 30 °C. The doubt is in that growth, plus 0.3 °C for the thermometer.${request.ambientC === undefined ? '' : ' The tank drifts towards room temperature; the time allows for it.'}`,
      };
    case 'agitation':
      return {
        label:
          request.movement === undefined ? agitationSchools[request.agitationId].name : movementName(request.movement),
        note:
          request.movement === undefined
            ? 'against once a minute'
            : 'your own; by the share of time in motion, against once a minute',
        explanation:
          'More agitation brings fresh developer to the film. The spread is between different hands; a stand time is much less certain.',
      };
    case 'age':
      return {
        label: 'Age and fog',
        note: `base + fog ${rangeWords(estimate.baseFogD, 2)} expected`,
        explanation:
          'Age is not known to slow or speed development, but old gelatin is less predictable: that is the doubt.',
      };
    case 'bromide':
      return {
        label: 'Bromide',
        note: bromideGPerL > 0 ? `${formatNumber(bromideGPerL, 1)} g/l` : 'none',
        explanation:
          'The restrainer keeps fog down and slows development by one sixth per gram in a litre. It costs about a quarter of a stop per gram.',
      };
    case 'strategy':
      return strategyRow(request, estimate);
    case 'target':
      return {
        label:
          target.pushStops === 0
            ? `For ${purposes[target.purpose].name.toLowerCase()}`
            : `${purposes[target.purpose].name}, ${target.pushStops > 0 ? 'pushed' : 'pulled'} ${formatNumber(Math.abs(target.pushStops), 1)}`,
        note: estimate.gradient.reachable
          ? `average gradient ${formatNumber(estimate.gradient.target, 2)}`
          : `${formatNumber(estimate.gradient.target, 2)} is out of reach; ${formatNumber(estimate.gradient.bestReachable, 2)} is the best`,
        explanation:
          'A stop of push aims at a gradient 1.18 times higher. The nearer to the film’s largest gradient, the less certain the time.',
      };
  }
}

/** Whether the strength of a brew is another than its recipe makes it: then earlier runs have moved it. */
function isLearned(
  { ratio }: LedgerRow,
  developer: Extract<EstimateRequest['developer'], { kind: 'improvised' }>,
  ph: number | null,
): boolean {
  if (ratio === null || ph === null) return false;
  const byRecipe =
    improvisedRate({
      coffeeEquivalentGPerL: coffeeEquivalent(developer.agents),
      ascorbicGPerL: developer.ascorbicGPerL,
    }) * Math.exp(ALKALINITY_EXPONENT.mean * (ph - REFERENCE_BREW_PH));
  return Math.abs(Math.log(ratio * byRecipe)) >= NOTICED;
}

/** Rows that a one-bath has of its own: it develops and fixes at once, and runs to its end by itself. Null for the others. */
function oneBathRow(row: LedgerRow, request: EstimateRequest, estimate: Estimate, units: UnitChoice): RowWords | null {
  const { knownTime, wear } = request;
  const degrees = (celsius: number): string => formatQuantity(celsius, 'temperature', units);
  const [cold, middle, warm] = ONE_BATH_TIMES;
  switch (row.id) {
    case 'base':
      return knownTime !== undefined
        ? null
        : {
            label: baseLabel(request),
            note: baseNote(row, request, estimate, units),
            explanation: `${formatMinutes(cold.timeMin)} at ${degrees(cold.temperatureC)}, whatever the film. The developer works until the fixer beside it has taken the silver that is left, so longer changes little, and shorter leaves the film milky.`,
          };
    case 'wear':
      return {
        label:
          wear.films > 0
            ? `${Number(wear.films.toFixed(1))} ${wear.films === 1 ? 'film' : 'films'} through this bath`
            : 'No film through this bath yet',
        note: `${formatNumber(ONE_BATH_MIN_PER_FILM_AND_LITRE * 60, 0)} s more for each film in a litre`,
        explanation:
          'Each film leaves its silver in the bath, and the next one takes a little longer to clear. How long the bath has stood is not counted.',
      };
    case 'temperature':
      return {
        label: degrees(request.temperatureC),
        note: `against ${[cold, middle, warm].map(({ timeMin, temperatureC }) => `${formatMinutes(timeMin)} at ${degrees(temperatureC)}`).join(', ')}`,
        explanation: `Those are the usual times. Colder, warmer and in between, the time follows them smoothly; it is rounded last, and up.`,
      };
    case 'agitation':
      return {
        label:
          request.movement === undefined ? agitationSchools[request.agitationId].name : movementName(request.movement),
        note: 'the time stays',
        explanation: `Gentle agitation up to about ${degrees(ONE_BATH_AGITATION_C.gentleTo)}, without a pause from about ${degrees(ONE_BATH_AGITATION_C.continuousFrom)} on, either between. It evens out the film and hardly changes the time, since the bath runs to its own end.`,
      };
    case 'strategy':
      return {
        label: 'It runs to its own end',
        note: `net gradient ${formatNumber(estimate.gradient.net, 2)}`,
        explanation: 'Developing longer gains nothing here: the fixer in the bath stops it. Hold is the only strategy.',
      };
    case 'target':
      return {
        label: 'Contrast',
        note: `average gradient about ${formatNumber(estimate.gradient.target, 2)}, as it comes`,
        explanation:
          'Neither a push nor another purpose changes the time. For more contrast choose another developer, or a harder grade when printing.',
      };
    default:
      return null;
  }
}

/** What went into a jug against what was wanted; empty where nobody weighed. */
function asMixedWords(jug: Brew | null, units: UnitChoice): string {
  if (jug === null || jug.parts.length === 0) return '';
  const differing = differences(jug.parts);
  return differing.length === 0
    ? 'weighed as planned'
    : `weighed: ${differing.map((difference) => differenceWords(difference, units)).join(', ')}`;
}

/** A range in words: the value, with its ends when they differ. */
export function rangeWords(range: { value: number; low: number; high: number }, decimals: number): string {
  const value = formatNumber(range.value, decimals);
  const low = formatNumber(range.low, decimals);
  const high = formatNumber(range.high, decimals);
  return low === high ? value : `${value} (${low}–${high})`;
}

/** A film in a developer, by class. */
export function baseLabel({
  film,
  developer,
}: {
  film: Pick<EstimateRequest['film'], 'familyId'>;
  developer: EstimateRequest['developer'];
}): string {
  const stock = stockFamilies[film.familyId].name;
  switch (developer.kind) {
    case 'concentrate':
      return `${stock}, in ${lowerFirst(developerFamilies[developer.familyId].name)}`;
    case 'improvised':
      return `${stock}, in the standard coffee brew`;
    case 'one-bath':
      return 'One-bath developer-fixer, fresh';
    case 'other':
      return `${stock}, in ${developer.name}`;
  }
}

function baseNote(
  row: LedgerRow,
  { developer }: EstimateRequest,
  { familyTimeMin }: Estimate,
  units: UnitChoice,
): string {
  const at = formatQuantity(developer.kind === 'one-bath' ? ONE_BATH_TIMES[0].temperatureC : 20, 'temperature', units);
  if (row.source === 'user') return `fresh film at ${at}, to the scan gradient; a leaflet’s time decides it`;
  const moved = row.timeMin / familyTimeMin;
  return `fresh film at ${at}, to the scan gradient${Math.abs(Math.log(moved)) < NOTICED ? '' : `; the family’s ${formatMinutes(familyTimeMin)}, adjusted from your runs`}`;
}

/** A change of the base that is smaller is not told. */
const NOTICED = 0.01;

function strategyRow({ strategy }: EstimateRequest, { gradient, freshTimeMin }: Estimate): RowWords {
  const nets = `net gradient ${formatNumber(gradient.net, 2)} for ${formatNumber(gradient.target, 2)} wanted`;
  switch (strategy.id) {
    case 'hold':
      return {
        label: 'Hold: the fresh-film time',
        note: nets,
        explanation: 'Keeps the fog down and accepts a softer negative. Extend develops longer to regain contrast.',
      };
    case 'extend':
      return {
        label: gradient.capped ? 'Longer, up to the cap' : 'Longer, to restore contrast',
        note: `${nets}; Hold takes ${formatMinutes(freshTimeMin)}`,
        explanation: 'At most +15 % per stop lost and +50 % in total, unless you lift the cap. Fog grows with time.',
      };
    case 'stand':
      return {
        label: gradient.capped ? 'Stand, held within 45 to 75 min' : 'Stand',
        note: nets,
        explanation:
          'Dense areas exhaust the dilute developer around them while thin areas keep developing, so highlights stay low. Without agitation in the first half minute it comes out uneven. This time is the least certain of the three.',
      };
  }
}
