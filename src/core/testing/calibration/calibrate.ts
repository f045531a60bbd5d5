import { estimate, fitOf } from '../../estimate/estimate';
import type { EvidenceInput } from '../../estimate/evidenceSchema';
import { CLIP_SHARE } from '../../estimate/nextTests';
import { estimateRequestSchema, type EstimateRequest } from '../../estimate/request';
import { chance } from './chance';
import { wildRoll, type WildRoll } from './wildRoll';

/** One line of the calibration table. */
export interface CalibrationLine {
  what: string;
  rolls: number;
  /** Share of rolls whose true time lies in the 80 % band. */
  coverage: number;
  /** Median of |ln(estimate / truth)|. */
  medianError: number;
  /** The same for the chart time unchanged, and for ten per cent more for each decade. */
  unchangedError: number;
  perDecadeError: number;
  /** Median width of the band in ln, as a standard deviation. */
  medianLnSd: number;
}

interface Outcome {
  lnError: number;
  inside: boolean;
  lnSd: number;
  unchanged: number;
  perDecade: number;
}

/** Most pieces of evidence that a roll gets. */
const PIECES = 3;

/**
 * Estimates simulated rolls and counts how often the truth lies in the band.
 * @param rolls number of rolls; each gets 0 to 3 pieces of any kind, then one and two clips read by densities
 * @param seed any integer
 * @returns lines by amount of evidence. Chart times are the class's time carried to the temperature, the strength and the
 * agitation at hand by the model itself, so that the rules of thumb differ from it only in what they make of age.
 */
export function calibrate(rolls: number, seed: number): CalibrationLine[] {
  const luck = chance(seed);
  const byLine = new Map<string, Outcome[]>();
  const note = (what: string, outcome: Outcome): void => void byLine.set(what, [...(byLine.get(what) ?? []), outcome]);
  for (let index = 0; index < rolls; index++) {
    const roll = wildRoll(luck);
    const rules = thumbRules(roll);
    let evidence: EvidenceInput[] = [];
    for (let pieces = 0; pieces <= PIECES; pieces++) {
      const { outcome, timeMin } = judge(roll, evidence, rules);
      note(pieces === 1 ? '1 piece' : `${pieces} pieces`, outcome);
      evidence = [...evidence, roll.anyPiece(timeMin, `piece ${pieces + 1}`)];
    }
    let clips: EvidenceInput[] = [];
    for (let count = 0; count <= 2; count++) {
      const { outcome, timeMin } = judge(roll, clips, rules);
      if (count > 0) note(count === 1 ? '1 clip by densities' : '2 clips by densities', outcome);
      clips = [...clips, roll.clip(timeMin * CLIP_SHARE, 'densities', `clip ${count + 1}`)];
    }
  }
  return [...byLine].map(([what, outcomes]) => ({
    what,
    rolls: outcomes.length,
    coverage: outcomes.filter(({ inside }) => inside).length / outcomes.length,
    medianError: median(outcomes.map(({ lnError }) => lnError)),
    unchangedError: median(outcomes.map(({ unchanged }) => unchanged)),
    perDecadeError: median(outcomes.map(({ perDecade }) => perDecade)),
    medianLnSd: median(outcomes.map(({ lnSd }) => lnSd)),
  }));
}

function judge(
  { request, trueTimeMin }: WildRoll,
  evidence: readonly EvidenceInput[],
  rules: { unchangedMin: number; perDecadeMin: number },
): { outcome: Outcome; timeMin: number } {
  const full: EstimateRequest = estimateRequestSchema.parse({ ...request, evidence });
  const { timeMin, band, lnSd } = estimate(full, fitOf(full));
  const off = (minutes: number): number => Math.abs(Math.log(minutes / trueTimeMin));
  return {
    timeMin,
    outcome: {
      lnError: off(timeMin),
      inside: trueTimeMin >= band.lowMin && trueTimeMin <= band.highMin,
      lnSd,
      unchanged: off(rules.unchangedMin),
      perDecade: off(rules.perDecadeMin),
    },
  };
}

function thumbRules({ request }: WildRoll): { unchangedMin: number; perDecadeMin: number } {
  const unchangedMin = estimate({ ...request, strategy: { id: 'hold', liftCap: false } }).timeMin;
  const years = request.age.storage.reduce((sum, segment) => sum + segment.years, 0);
  return { unchangedMin, perDecadeMin: unchangedMin * (1 + 0.1 * (years / 10)) };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return ((sorted[Math.ceil(middle) - 1] ?? 0) + (sorted[Math.floor(middle)] ?? 0)) / 2;
}
