import * as z from 'zod';

/** A bath or rinse between developer and fixer. */
export const stopSchoolSchema = z.object({
  name: z.string(),
  acid: z.boolean(),
  baths: z.array(z.object({ name: z.string(), instruction: z.string(), durationS: z.number().positive() })).min(1),
});

export type StopSchool = z.infer<typeof stopSchoolSchema>;

const acidBath = { name: 'Acid stop', instruction: 'Pour in the stop and keep turning', durationS: 60 };
const waterChange = (name: string): StopSchool['baths'][number] => ({
  name,
  instruction: 'Fill with water, turn six times, pour out',
  durationS: 30,
});

/** What follows the developer. Source: common practice, no source. */
export const stopSchools = {
  acid: { name: 'Acid stop', acid: true, baths: [acidBath] },
  rinse: { name: 'Plain water, one rinse', acid: false, baths: [waterChange('Rinse')] },
  'three-rinses': {
    name: 'Plain water, three changes of six turns',
    acid: false,
    baths: [waterChange('Rinse 1 of 3'), waterChange('Rinse 2 of 3'), waterChange('Rinse 3 of 3')],
  },
  'water-then-acid': { name: 'Water first, then acid', acid: true, baths: [waterChange('Rinse'), acidBath] },
  'still-water': {
    name: 'Still water for 2 minutes',
    acid: false,
    baths: [{ name: 'Still water', instruction: 'Fill with water and leave it still', durationS: 120 }],
  },
} as const satisfies Record<string, StopSchool>;

export type StopSchoolId = keyof typeof stopSchools;
export const stopSchoolIds = Object.keys(stopSchools) as [StopSchoolId, ...StopSchoolId[]];
