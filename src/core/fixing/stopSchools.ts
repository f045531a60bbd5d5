import { readyBaths, type Bath } from '../schedule/baths';

/** A bath or rinse between developer and fixer. */
export interface StopSchool {
  name: string;
  baths: readonly Bath[];
}

const acid = (seconds: number): Bath => ({ ...readyBaths['acid-stop'], length: { kind: 'time', seconds } });
const rinse = (name: string): Bath => ({ ...readyBaths.rinse, name });

/** What follows the developer. Source: common practice, no source. */
export const stopSchools = {
  acid: { name: 'Acid stop', baths: [acid(60)] },
  'short-acid': { name: 'Acid stop, 30 s', baths: [acid(30)] },
  rinse: { name: 'Plain water, one rinse', baths: [rinse('Rinse')] },
  'three-rinses': {
    name: 'Plain water, three changes of six turns',
    baths: [rinse('Rinse 1 of 3'), rinse('Rinse 2 of 3'), rinse('Rinse 3 of 3')],
  },
  'water-then-acid': { name: 'Water first, then acid', baths: [rinse('Rinse'), acid(60)] },
  'still-water': { name: 'Still water for 2 minutes', baths: [readyBaths['still-water']] },
  'still-water-then-acid': {
    name: 'Still water for 2 minutes, then acid',
    baths: [readyBaths['still-water'], acid(60)],
  },
  none: { name: 'None', baths: [] },
} as const satisfies Record<string, StopSchool>;

export type StopSchoolId = keyof typeof stopSchools;
export const stopSchoolIds = Object.keys(stopSchools) as [StopSchoolId, ...StopSchoolId[]];
