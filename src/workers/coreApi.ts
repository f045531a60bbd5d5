import { readBackup, writeBackup } from '@/core/formats/backup';
import type { EstimateRequest } from '@/core/estimate/request';
import type { Piece } from '@/core/estimate/observations';
import { glance, study, type Glance, type Study } from '@/core/estimate/study';
import { nearestPieces, type LearningRecords } from '@/core/learning/benchEvidence';
import { learnFrom } from '@/core/learning/learning';
import { noRecords } from '@/core/records/tables';
import { benchTimes, type RollInHand } from '@/core/plan/benchTimes';
import type { Brew } from '@/core/records/records';

/** Pieces of evidence listed for a roll at the most. */
const LISTED = 24;

/** What the bench has learned, as it was last told. */
let learning = learnFrom(noRecords(), 0);

/** A study with the evidence that bears on it most directly. */
export type RollStudy = Study & { listed: Piece[] };

/** What the worker does for the page: calls of core, and the bench's evidence kept between them. */
export const coreApi = {
  /** Takes in the records that estimates learn from. */
  learn: (records: LearningRecords, nowYear: number): void => {
    learning = learnFrom(records, nowYear);
  },
  study: (request: EstimateRequest, muted: readonly string[]): RollStudy => {
    const listed = nearestPieces(learning.pieces, request, LISTED);
    return { ...study(request, learning.fitFor(request, muted), listed), listed };
  },
  /** The estimate and its curve alone, while a slider moves. */
  glance: (request: EstimateRequest, muted: readonly string[]): Glance =>
    glance(request, learning.fitFor(request, muted), nearestPieces(learning.pieces, request, LISTED)),
  benchTimes: (rolls: readonly RollInHand[], jugs: readonly Brew[], nowMs: number) =>
    benchTimes(rolls, jugs, nowMs, learning),
  readBackup: (text: string) => readBackup(text),
  writeBackup,
};

export type CoreApi = typeof coreApi;
