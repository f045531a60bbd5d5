import { dot, times } from '../inference/vectors';
import { logBand } from './band';
import { Development } from './development';
import type { EstimateContext } from './estimate';
import { observationsOf, type Observation, type EvidenceItem, type Reading } from './observations';
import { settingOf } from './pieces';
import { deviationsOf } from './posterior';
import type { SituationInput } from './situationSchema';

/** A test that is still possible, and the band that it would leave. */
export interface NextTest {
  id: 'drop' | 'clip' | 'clip-by-eye' | 'roll';
  /** Time at which to take the clip or the sacrificial roll, min; null for a drop test. */
  atMin: number | null;
  /** Band that is left as a rule, around the time as it stands now. */
  lowMin: number;
  highMin: number;
  /** Width of that band ÷ width of the band now, in ln. */
  widthRatio: number;
}

/** What would narrow it, the best first, and whether any of it is worth the trouble. */
export interface NextTests {
  tests: NextTest[];
  /** True when the best test would narrow the band by less than a tenth: doing nothing more is then an answer. */
  enough: boolean;
}

/** Share of the estimate at which a clip is taken: short of it, so that the clip itself can still be rescued. Source: our choice. */
export const CLIP_SHARE = 0.9;

/** A band that is narrowed by less than a tenth is hardly narrowed. Source: our choice. */
const WORTH_RATIO = 0.9;

/** Known developer of a drop test when nothing else is said: the one that family times are stated in. */
export const USUAL_KNOWN_DEVELOPER: SituationInput['developer'] = {
  kind: 'concentrate',
  familyId: 'mq-borax',
  parts: { concentrate: 1, water: 0 },
};

/**
 * The value of every test that is still possible: the band of ln(time) after the information that it would add.
 * @param worked an estimate with its posterior
 * @returns tests, the best first. Source: linear updating of a normal posterior (textbook); noises see observations.
 */
export function nextTests(worked: EstimateContext): NextTests {
  const { request, estimate } = worked;
  const { timeMin } = estimate;
  const setting = settingOf(request);
  const reading = (
    id: NextTest['id'],
    method: 'densities' | 'eye',
    atMin: number,
    of: SituationInput = setting,
  ): { id: NextTest['id']; atMin: number; piece: EvidenceItem } => ({
    id,
    atMin,
    piece: {
      evidence: {
        kind: 'clip',
        id: `next ${id}`,
        timeMin: atMin,
        gradient: worked.prediction.film.netGradientAt(atMin),
        baseFogD: worked.prediction.film.baseFogAt(atMin),
        speed: null,
        method,
        setting: {},
      },
      setting: of,
    },
  });
  const candidates: { id: NextTest['id']; atMin: number | null; piece: EvidenceItem }[] = [
    ...(request.developer.kind === 'one-bath'
      ? []
      : [
          {
            id: 'drop' as const,
            atMin: null,
            piece: {
              evidence: {
                kind: 'drop' as const,
                id: 'next drop',
                rateRatio: 1,
                lnSd: 0,
                known: USUAL_KNOWN_DEVELOPER,
                setting: {},
              },
              setting,
            },
          },
        ]),
    reading('clip', 'densities', timeMin * CLIP_SHARE),
    reading('clip-by-eye', 'eye', timeMin * CLIP_SHARE),
    reading('roll', 'densities', timeMin, anotherRoll(setting)),
  ];
  const tests = candidates
    .map(({ id, atMin, piece }): NextTest => {
      const widthRatio = narrowedBy(worked, piece);
      const { low, high } = logBand(timeMin, estimate.lnSd * widthRatio);
      return { id, atMin, lowMin: low, highMin: high, widthRatio };
    })
    .sort((a, b) => a.widthRatio - b.widthRatio);
  return { tests, enough: (tests[0]?.widthRatio ?? 1) > WORTH_RATIO };
}

/** Names under which another roll and its brew are followed. */
const ANOTHER_ROLL = 'another roll';

/**
 * The setting of another roll of the same film: what belongs to this roll alone, such as how it was kept, is another one's there. A
 * jug that stands ready serves both; otherwise it has a brew of its own.
 */
function anotherRoll(setting: SituationInput): SituationInput {
  const ownBrew = setting.brewId === `brew of ${setting.rollId}`;
  return { ...setting, rollId: ANOTHER_ROLL, brewId: ownBrew ? `brew of ${ANOTHER_ROLL}` : setting.brewId };
}

/**
 * How far one more piece would narrow an estimate.
 * @param worked an estimate with its posterior
 * @param piece what may be found, with its whole setting
 * @returns width of the band with it ÷ width without, in ln: 0 to 1. Source: as `nextTests`
 */
export function narrowedBy(worked: EstimateContext, piece: EvidenceItem): number {
  const now = lnVariance(worked);
  const after = varianceAfter(worked, observationsOf([piece], null, worked.fit.released).observations);
  return now === 0 ? 1 : Math.sqrt(Math.max(0, after) / now);
}

function lnVariance({ posterior, slopes }: EstimateContext): number {
  return dot(times(posterior.covariance, slopes), slopes);
}

/** Step of the finite differences, in standard deviations of the prior. */
const STEP = 1e-2;

/**
 * Variance of ln(time) after observations: each takes away what it shares with ln(time), one after the other.
 */
function varianceAfter(
  { posterior, slopes, fit, covariances }: EstimateContext,
  observations: readonly Observation[],
): number {
  const timeKeys = posterior.situation.unknowns.map(({ key }) => key);
  const rows = observations.flatMap((observation) =>
    observation.readings.map((reading) => ({ sd: reading.sd, slopes: linearRow(observation, reading, fit.meanOf) })),
  );
  const keys = [...new Set([...timeKeys, ...rows.flatMap((row) => [...row.slopes.keys()])])];
  // What happens in one run only is new in the run to come.
  const size = keys.length;
  const covariance = covariances(keys);
  const slopeOf = new Map(timeKeys.map((key, index) => [key, slopes[index] as number]));
  // What the time does not hang on has no slope, and neither has what a row does not.
  const time = Float64Array.from(keys, (key) => slopeOf.get(key) ?? 0);
  for (const row of rows) {
    const j = Float64Array.from(keys, (key) => row.slopes.get(key) ?? 0);
    const shared = times(covariance, j);
    const variance = dot(shared, j) + row.sd ** 2;
    for (let a = 0; a < size; a++) {
      const line = covariance[a] as Float64Array;
      for (let b = 0; b < size; b++)
        line[b] = (line[b] as number) - ((shared[a] as number) * (shared[b] as number)) / variance;
    }
  }
  return dot(times(covariance, time), time);
}

function linearRow(observation: Observation, reading: Reading, meanOf: (key: string) => number): Map<string, number> {
  const at = (bumped: string | null): number =>
    reading.model(
      observation.situations.map(
        (situation) =>
          new Development(
            situation.conditions,
            deviationsOf(
              situation,
              situation.unknowns.map(({ key }) => meanOf(key) + (key === bumped ? STEP : 0)),
            ),
          ),
      ),
    );
  const centre = at(null);
  const keys = new Set(observation.situations.flatMap(({ unknowns }) => unknowns.map(({ key }) => key)));
  return new Map([...keys].map((key) => [key, (at(key) - centre) / STEP]));
}
