import type { EvidenceEffect } from '../estimate/evidenceEffects';
import type { LedgerRowId } from '../estimate/parameters';
import type { Estimate } from '../estimate/result';
import type { Pinned } from '../records/records';

/** Why a time moved since it was pinned. */
export type ShiftReason =
  { kind: 'evidence'; pieceId: string; ratio: number } | { kind: 'row'; rowId: LedgerRowId; ratio: number };

export interface PinShift {
  /** Time now ÷ pinned time. */
  ratio: number;
  /** What moved it, the largest first. */
  reasons: ShiftReason[];
}

/** A change smaller than this is none. Source: our choice, below what a hand can pour. */
const NOTICED = 0.01;

/** How many reasons are told. */
const MOST_REASONS = 3;

/**
 * How far an estimate has moved since it was pinned, and why: the evidence that came later, else the rows of the ledger that
 * changed.
 * @param pinned what was pinned
 * @param estimate the estimate as it stands
 * @param effects what each piece of evidence does to it now
 * @returns the shift; null when it is too small to notice
 */
export function pinShift(
  pinned: Pinned,
  estimate: Pick<Estimate, 'timeMin' | 'ledger'>,
  effects: readonly EvidenceEffect[],
): PinShift | null {
  const ratio = estimate.timeMin / pinned.timeMin;
  if (Math.abs(Math.log(ratio)) < NOTICED) return null;
  const known = new Set(pinned.evidenceIds);
  const fromEvidence = effects
    .filter(({ pieceId }) => !known.has(pieceId))
    .map(({ pieceId, timeWithoutMin }): ShiftReason => ({
      kind: 'evidence',
      pieceId,
      ratio: estimate.timeMin / timeWithoutMin,
    }));
  const before = new Map(pinned.ledger.map((row) => [row.id, row.ratio ?? row.timeMin]));
  const fromRows = estimate.ledger.flatMap((row): ShiftReason[] => {
    const then = before.get(row.id);
    return then === undefined ? [] : [{ kind: 'row', rowId: row.id, ratio: (row.ratio ?? row.timeMin) / then }];
  });
  const told = fromEvidence.some(large) ? fromEvidence : fromRows;
  return {
    ratio,
    reasons: told
      .filter(large)
      .sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
      .slice(0, MOST_REASONS),
  };
}

function large({ ratio }: ShiftReason): boolean {
  return Math.abs(Math.log(ratio)) >= NOTICED;
}
