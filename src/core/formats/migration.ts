/** Records as read from an older database or file: of an unknown shape until they are checked. */
export type RawRecords = Record<string, unknown[]>;

/** One named step from a record shape to the next. The database and exported files take the same steps. */
export interface Migration {
  /** Version of the shape that the step produces; steps are numbered 2, 3, … without gaps. */
  to: number;
  name: string;
  /** Tables that it changes or adds; it leaves all others as they are. */
  tables: readonly string[];
  change: (records: RawRecords) => RawRecords;
  /**
   * Tables of large records whose rows it changes one by one, and whose older rows can be told from the newer ones: no copy of them
   * is kept. `change` does the same to them.
   */
  eachRow?: Readonly<Record<string, (row: unknown) => unknown>>;
}
