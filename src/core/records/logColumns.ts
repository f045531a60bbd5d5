/** Columns that the log can show besides the usual ones. */
export const logColumnIds = ['temperature', 'movement', 'needed', 'band'] as const;
export type LogColumnId = (typeof logColumnIds)[number];
