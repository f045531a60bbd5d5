import { readyBaths, type Bath } from '../schedule/baths';

/** A way of washing: changes of water, or running water. */
export interface WashSchool {
  name: string;
  baths: readonly Bath[];
}

const fillAndDump = (...changes: number[]): WashSchool => ({
  name: `${changes.length} changes: ${changes.join(', ')} turns`,
  baths: changes.map((turns, index) => ({
    ...readyBaths.change,
    name: `Wash ${index + 1} of ${changes.length}`,
    length: { kind: 'turns', turns },
  })),
});
const running = (minutes: number): WashSchool => ({
  name: `Running water, ${minutes} min`,
  baths: [{ ...readyBaths.running, name: 'Wash', length: { kind: 'time', seconds: minutes * 60 } }],
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
