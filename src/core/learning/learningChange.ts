import type { EvidenceItem } from '../estimate/observations';
import type { EvidenceRecord } from '../records/records';
import type { JudgedRun } from '../run/judgedRun';
import type { LearningFilm } from './benchEvidence';

/** What changed on a bench since it was last told. */
export interface LearningChange {
  films: readonly LearningFilm[];
  runs: readonly JudgedRun[];
  tests: readonly EvidenceRecord[];
  /** Rolls, runs and tests that are gone. */
  /** All pieces of other people’s logs, in the place of those before; missing while they stay. */
  guests?: readonly EvidenceItem[];
  gone: { rolls: readonly string[]; runs: readonly string[]; tests: readonly string[] };
}

/** Nothing that changed. */
export const noChange: LearningChange = { films: [], runs: [], tests: [], gone: { rolls: [], runs: [], tests: [] } };
