import type { TableName } from '../records/records';

/** A field that points to a record of another table. */
export interface Link {
  field: string;
  target: TableName;
  /** Whether the field may be empty or missing: then a link that leads nowhere is cleared. Else its record has no place. */
  nullable: boolean;
}

/** Every link between records, by the table that it starts from. Targets stand before their sources in `tableNames`. */
export const links: Partial<Record<TableName, readonly Link[]>> = {
  rolls: [
    { field: 'stockId', target: 'stocks', nullable: false },
    { field: 'boxId', target: 'boxes', nullable: true },
  ],
  plans: [
    { field: 'rollId', target: 'rolls', nullable: false },
    { field: 'brewId', target: 'brews', nullable: true },
  ],
  runs: [
    { field: 'rollId', target: 'rolls', nullable: false },
    { field: 'planId', target: 'plans', nullable: false },
    { field: 'brewId', target: 'brews', nullable: true },
  ],
  verdicts: [
    { field: 'runId', target: 'runs', nullable: false },
    { field: 'rollId', target: 'rolls', nullable: false },
  ],
  photos: [{ field: 'rollId', target: 'rolls', nullable: false }],
  evidence: [{ field: 'rollId', target: 'rolls', nullable: false }],
  readings: [
    { field: 'rollId', target: 'rolls', nullable: false },
    { field: 'evidenceId', target: 'evidence', nullable: true },
    { field: 'photoId', target: 'photos', nullable: true },
  ],
  prints: [
    { field: 'rollId', target: 'rolls', nullable: true },
    { field: 'pictureId', target: 'photos', nullable: true },
  ],
  mixes: [
    { field: 'rollId', target: 'rolls', nullable: true },
    { field: 'brewId', target: 'brews', nullable: true },
  ],
};
