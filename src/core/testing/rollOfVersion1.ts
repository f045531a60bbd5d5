/**
 * A roll as version 1 stored it.
 * @param part what differs
 */
export function rollOfVersion1(part: { id: string; [field: string]: unknown }): Record<string, unknown> {
  return {
    createdMs: 1,
    updatedMs: 1,
    label: 'Tin 1',
    stockId: 's',
    formatId: 'sheet45',
    expiredYear: 1971,
    expiredYearSd: 2,
    storageId: 'cellar',
    exposure: { state: 'unknown', year: null, index: null },
    note: '',
    ...part,
  };
}
