import * as z from 'zod';

/** A way of washing: changes of water with inversions, or minutes of running water. */
export const washSchoolSchema = z.object({
  name: z.string(),
  /** Inversions in each change of water; empty for running water. */
  changes: z.array(z.number().int().positive()),
  runningMin: z.number().nonnegative(),
});

export type WashSchool = z.infer<typeof washSchoolSchema>;

const fillAndDump = (...changes: number[]): WashSchool => ({
  name: `Fill and dump ${changes.join('-')}`,
  changes,
  runningMin: 0,
});
const running = (runningMin: number): WashSchool => ({
  name: `Running water ${runningMin} min`,
  changes: [],
  runningMin,
});

/** Wash schools. Source: common practice, no source. */
export const washSchools = {
  '5-10-20': fillAndDump(5, 10, 20),
  '5-10-15-20': fillAndDump(5, 10, 15, 20),
  '3-6-12-24': fillAndDump(3, 6, 12, 24),
  'running-5': running(5),
  'running-10': running(10),
  'running-20': running(20),
} as const satisfies Record<string, WashSchool>;

export type WashSchoolId = keyof typeof washSchools;
export const washSchoolIds = Object.keys(washSchools) as [WashSchoolId, ...WashSchoolId[]];
