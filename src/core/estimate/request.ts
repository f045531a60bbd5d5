import * as z from 'zod';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds } from '../chemistry/organicAgents';
import { BROMIDE_LIMIT_G_PER_L } from '../chemistry/restrainer';
import { sodaForAcid } from '../chemistry/sodaForAcid';
import { coffeeEquivalent } from '../chemistry/coffeeEquivalent';
import { stockFamilyIds } from '../films/stockFamilies';
import { purposeIds } from '../kinetics/targets';
import { agitationSchoolIds } from '../schedule/agitationSchools';

/** A number within a range, with one sentence that says what it is and which range it has. */
function within(what: string, min: number, max: number, unit = ''): z.ZodNumber {
  const sentence = `${what}: give a number from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
  return z.number(sentence).min(min, sentence).max(max, sentence);
}

const oneOf = <const T extends readonly [string, ...string[]]>(what: string, values: T) =>
  z.enum(values, `${what}: choose one of ${values.join(', ')}.`);

export const storageSegmentSchema = z.strictObject({
  years: within('Years in storage', 0, 150, 'years'),
  temperatureC: within('Storage temperature', -40, 60, '°C'),
  temperatureSdC: within('Spread of the storage temperature', 0, 20, '°C').default(2),
  humid: z.boolean('Humid: give true or false.').default(false),
});

export const partsSchema = z.strictObject({
  concentrate: within('Parts of concentrate', 0.1, 100),
  water: within('Parts of water', 0, 1000),
});

const filmSchema = z.strictObject({
  familyId: oneOf('Stock family', stockFamilyIds),
  iso: within('Film speed', 0.1, 25600, 'ISO'),
  /** Own numbers in place of the family's. */
  own: z
    .strictObject({
      maximumGradient: within('Largest gradient', 0.3, 6),
      referenceTimeMin: within('Reference time', 0.5, 120, 'min'),
      freshBaseFogD: within('Fresh base + fog', 0, 2, 'D'),
      maximumDensityD: within('Largest density', 1, 6, 'D'),
      speedLossStopsPerYear: within('Speed lost a room-year', 0, 1, 'stops'),
      fogDPerYear: within('Fog a room-year', 0, 0.2, 'D'),
      gradientLossPerYear: within('Gradient lost a room-year', 0, 0.1),
    })
    .partial()
    .default({}),
});

/** A roll whose year is a distribution, carried through its storage. It takes the place of `storage` and `yearsSd`. */
const datedSchema = z.strictObject({
  made: z
    .array(z.strictObject({ year: within('Year of manufacture', 1800, 2200), weight: within('Weight of a year', 0, 1) }))
    .min(1, 'Years of manufacture: give one at least.')
    .max(400, 'Years of manufacture: give 400 at most.')
    .refine((years) => Math.abs(years.reduce((sum, { weight }) => sum + weight, 0) - 1) < 1e-6, 'Years of manufacture: the weights must add up to 1.'),
  stays: z
    .array(
      z.strictObject({
        temperatureC: within('Storage temperature', -40, 60, '°C'),
        temperatureSdC: within('Spread of the storage temperature', 0, 20, '°C'),
        humid: z.boolean('Humid: give true or false.'),
        untilYear: within('Stay until', 1800, 2200).nullable(),
      }),
    )
    .min(1, 'Stays: give one at least.')
    .max(50, 'Stays: give 50 at most.'),
  nowYear: within('This year', 1800, 2200),
});

const ageSchema = z.strictObject({
  storage: z.array(storageSegmentSchema).max(50, 'Storage: give 50 stretches at most.').default([]),
  yearsSd: within('Doubt about the years', 0, 60, 'years').default(0),
  /** The years between exposure and now, for a film that was exposed long ago. */
  sinceExposure: z.array(storageSegmentSchema).max(50, 'Storage since exposure: give 50 stretches at most.').default([]),
  dated: datedSchema.optional(),
  /** Passes through an X-ray machine for hand baggage. */
  xrayPasses: within('X-ray passes', 0, 200).default(0),
});

const concentrateSchema = z.strictObject({
  kind: z.literal('concentrate'),
  familyId: oneOf('Developer family', developerFamilyIds),
  parts: partsSchema,
});

const improvisedSchema = z
  .strictObject({
    kind: z.literal('improvised'),
    agents: z
      .array(z.strictObject({ agentId: oneOf('Organic agent', organicAgentIds), amountPerL: within('Amount per litre', 0, 1000) }))
      .max(8, 'Organic agents: give 8 at most.'),
    ascorbicGPerL: within('Ascorbic acid', 0, 100, 'g/l'),
    sodaGPerL: within('Washing soda', 0, 200, 'g/l'),
  })
  .superRefine((brew, context) => {
    const equivalent = coffeeEquivalent(brew.agents);
    if (equivalent === 0) {
      context.addIssue({
        code: 'custom',
        path: ['agents'],
        message: 'There is no coffee, tea or other organic agent in this brew. Soda and ascorbic acid alone show only the most over-exposed frames.',
      });
      return;
    }
    const neutralised = sodaForAcid(brew.ascorbicGPerL, equivalent);
    if (brew.sodaGPerL <= neutralised) {
      context.addIssue({
        code: 'custom',
        path: ['sodaGPerL'],
        message: `The acids of this brew use up ${neutralised.toFixed(0)} g/l of washing soda before any is left to develop with. Take more soda: the usual brew has 54 g/l.`,
      });
    }
  });

/** What the estimator is asked. The interface, the worker and the route handler share this schema. */
export const estimateRequestSchema = z.strictObject({
  film: filmSchema,
  age: ageSchema.default({ storage: [], yearsSd: 0, sinceExposure: [], xrayPasses: 0 }),
  developer: z.discriminatedUnion('kind', [concentrateSchema, improvisedSchema], 'Developer: give a concentrate or an improvised brew.'),
  bromideGPerL: within('Potassium bromide', 0, BROMIDE_LIMIT_G_PER_L, 'g/l').default(0),
  /** Age and use of the brew when it is poured. */
  wear: z
    .strictObject({
      ageH: within('Age of the brew', 0, 48, 'h').default(0),
      films: within('Films already through the brew', 0, 30).default(0),
      volumeMl: within('Volume of the brew', 50, 20000, 'ml').default(500),
    })
    .default({ ageH: 0, films: 0, volumeMl: 500 }),
  temperatureC: within('Temperature', 5, 40, '°C'),
  agitationId: oneOf('Agitation', agitationSchoolIds),
  strategy: z
    .strictObject({
      id: oneOf('Strategy', ['hold', 'extend']),
      /** Lets Extend go beyond +15 % for each stop lost and +50 % in all. */
      liftCap: z.boolean('Lift the cap: give true or false.').default(false),
    })
    .default({ id: 'hold', liftCap: false }),
  target: z
    .strictObject({
      purpose: oneOf('Purpose', purposeIds),
      pushStops: within('Push', -3, 3, 'stops').default(0),
    })
    .default({ purpose: 'scan', pushStops: 0 }),
  /** A time that is known for this film, when fresh, in this developer. It replaces the family value. */
  knownTime: z
    .strictObject({
      timeMin: within('Known time', 0.5, 180, 'min'),
      temperatureC: within('Temperature of the known time', 5, 40, '°C'),
      source: oneOf('Source of the known time', ['leaflet', 'somebody', 'own']),
      /** Dilution of the known time, when it differs from the plan's. */
      parts: partsSchema.optional(),
    })
    .optional(),
});

export type EstimateRequest = z.infer<typeof estimateRequestSchema>;

/** What a caller may leave out: defaults fill in the rest. */
export type EstimateRequestInput = z.input<typeof estimateRequestSchema>;
