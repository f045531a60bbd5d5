import type { EvidenceItem } from '../estimate/observations';
import { failure, success, type Result } from '../schema/result';
import type { LearningRecords } from './benchEvidence';
import { MOST_GUEST_PIECES, guestLogSchema, type GuestLog } from '../evidence/guestLogSchema';
import { GrowingEvidence } from './learning';

/**
 * What somebody’s records say as evidence.
 * @param records their stocks, rolls, runs, verdicts and tests
 * @param name whose they are
 * @param nowYear this year
 * @returns the log; a failure where there is nothing in it to learn from. Times of charts stay out: they are no runs of theirs
 */
export function guestLog(records: LearningRecords, name: string, nowYear: number): Result<GuestLog> {
  const pieces = GrowingEvidence.of(records, nowYear)
    .pieces()
    .filter(({ evidence }) => evidence.kind !== 'chart')
    .slice(-MOST_GUEST_PIECES);
  if (pieces.length === 0)
    return failure({
      path: 'runs',
      message: 'There is nothing to learn from in it: no run that was judged, and no test.',
    });
  const used = new Set(pieces.map(({ setting }) => setting.stockId));
  const stocks = records.stocks.flatMap((stock) =>
    used.has(stock.id) ? [{ id: stock.id, name: stock.name, familyId: stock.familyId }] : [],
  );
  const read = guestLogSchema.safeParse({ name: name.trim(), stocks, pieces: pieces.map(plainPiece) });
  return read.success
    ? success(read.data)
    : failure({ path: read.error.issues[0]?.path.join('.') ?? '', message: read.error.issues[0]?.message ?? '' });
}

/** A piece as a file holds it: fields that are undefined are left out. */
function plainPiece(piece: EvidenceItem): unknown {
  return JSON.parse(JSON.stringify(piece)) as unknown;
}
