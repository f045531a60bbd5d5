import type { Fit } from '../estimate/fit';
import type { EvidenceItem } from '../estimate/observations';
import { rateSign } from '../estimate/parameters';
import { situationOf } from '../estimate/situation';
import { Z80 } from '../estimate/band';

/** What a factor belongs to. */
export type FactorKind = 'stock' | 'developer' | 'pair' | 'school' | 'eye';

/** What a bench has learned of one thing: its factor on the time, against what was expected before. */
export interface LearnedFactor {
  kind: FactorKind;
  /** Stock id, class of developer, both, or school of movement. */
  key: string;
  /** Factor on the time, and its 80 % band; for the eye, grades. */
  factor: number;
  low: number;
  high: number;
  /** The band before anything was learned. */
  priorLow: number;
  priorHigh: number;
  /** Pieces of evidence that touched it. */
  pieces: number;
}

const kinds = {
  lnStock: 'stock',
  lnDeveloper: 'developer',
  lnPair: 'pair',
  lnAgitation: 'school',
  eyeGrades: 'eye',
} as const satisfies Record<string, FactorKind>;

/** A factor whose doubt has shrunk by less than this share is not worth a line. Source: our choice. */
const LEARNED_SHARE = 0.05;

/**
 * What a bench has learned, thing by thing.
 * @param fit the fit of all its evidence
 * @param pieces that evidence
 * @returns factors whose doubt has shrunk, those with the most evidence first
 */
export function learnedFactors(fit: Fit, pieces: readonly EvidenceItem[]): LearnedFactor[] {
  const found = new Map<string, { id: keyof typeof kinds; sd: number; owner: string; pieces: number }>();
  for (const { setting } of pieces) {
    // What somebody else’s hand and eye are is no trait of this bench.
    if (setting.benchId !== undefined) continue;
    for (const { id, sd, key } of situationOf(setting, '', fit.released).unknowns) {
      if (!(id in kinds)) continue;
      const known = found.get(key);
      if (known !== undefined) known.pieces += 1;
      else found.set(key, { id: id as keyof typeof kinds, sd, owner: key.split('|').slice(2).join('|'), pieces: 1 });
    }
  }
  return [...found]
    .flatMap(([key, { id, sd, owner, pieces: count }]): LearnedFactor[] => {
      const left = Math.sqrt(Math.max(0, fit.covariance(key, key)));
      if (left > 1 - LEARNED_SHARE) return [];
      const mean = fit.meanOf(key) * sd;
      const spread = Z80 * sd * left;
      if (id === 'eyeGrades')
        return [
          {
            kind: 'eye',
            key: owner,
            factor: mean,
            low: mean - spread,
            high: mean + spread,
            priorLow: -Z80 * sd,
            priorHigh: Z80 * sd,
            pieces: count,
          },
        ];
      // What quickens shortens the time.
      const sign = -(rateSign[id] ?? 1);
      return [
        {
          kind: kinds[id],
          key: owner,
          factor: Math.exp(sign * mean),
          low: Math.exp(sign * mean - spread),
          high: Math.exp(sign * mean + spread),
          priorLow: Math.exp(-Z80 * sd),
          priorHigh: Math.exp(Z80 * sd),
          pieces: count,
        },
      ];
    })
    .sort((a, b) => b.pieces - a.pieces || a.key.localeCompare(b.key));
}
