import * as z from 'zod';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { substanceIds } from '../chemistry/substances';
import { organicAgentIds } from '../chemistry/organicAgents';
import { BROMIDE_LIMIT_G_PER_L } from '../chemistry/restrainer';
import { LEAST_DEVELOPING_PH, brewPh } from '../chemistry/ph/brewPh';
import { sodaForAcid } from '../chemistry/sodaForAcid';
import { coffeeEquivalent } from '../chemistry/coffeeEquivalent';
import { stockFamilyIds } from '../films/stockFamilies';
import { agitationSchoolIds } from '../schedule/agitationSchools';
import { movementSchema } from '../schedule/movement';
import { partsSchema } from '../chemistry/partsSchema';
import { ageSchema } from '../films/ageSchema';
import { limited } from '../schema/fields';
import { oneOf, within } from '../schema/within';

export const filmSchema = z.strictObject({
  familyId: oneOf('Stock family', stockFamilyIds),
  iso: within('Film speed', 0.1, 25600, 'ISO'),
  /** Own numbers in place of the family's. */
  own: z
    .strictObject({
      maximumGradient: within('Largest gradient', 0.3, 6),
      referenceTimeMin: within('Reference time', 0.5, 120, 'min'),
      freshBaseFogD: within('Fresh base + fog', 0, 2, 'D'),
      maximumDensityD: within('Largest density', 1, 6, 'D'),
      speedLossStopsPerYear: within('Speed loss per year at room temperature', 0, 1, 'stops'),
      fogDPerYear: within('Fog per year at room temperature', 0, 0.2, 'D'),
      gradientLossPerYear: within('Gradient loss per year at room temperature', 0, 0.1),
    })
    .partial()
    .default({}),
});

const concentrateSchema = z.strictObject({
  kind: z.literal('concentrate'),
  familyId: oneOf('Developer family', developerFamilyIds),
  parts: partsSchema,
});

/** A kitchen brew, field by field. */
export const improvisedDeveloperSchema = z.strictObject({
  kind: z.literal('improvised'),
  agents: z
    .array(
      z.strictObject({
        agentId: oneOf('Organic agent', organicAgentIds),
        amountPerL: within('Amount per litre', 0, 1000),
      }),
    )
    .max(8, 'Organic agents: give 8 at most.'),
  ascorbicGPerL: within('Ascorbic acid', 0, 100, 'g/l'),
  sodaGPerL: within('Washing soda', 0, 200, 'g/l'),
  /** What else is dissolved and bears on pH: citric acid and bicarbonate of tablets, borax, other sodas. */
  others: z
    .array(
      z.strictObject({
        substanceId: oneOf('Substance', substanceIds),
        amountPerL: within('Amount per litre', 0, 1000),
      }),
    )
    .max(12, 'Other substances: give 12 at most.')
    .default([]),
});

/** pH of the brews that were checked last: the records of a bench name the same few over and over. */
const checkedPh = new Map<string, number>();
const MOST_REMEMBERED = 500;

function rememberedPh(brew: z.infer<typeof improvisedDeveloperSchema>): number {
  const key = JSON.stringify(brew);
  const known = checkedPh.get(key);
  if (known !== undefined) return known;
  const ph = brewPh(brew);
  if (checkedPh.size >= MOST_REMEMBERED) checkedPh.clear();
  checkedPh.set(key, ph);
  return ph;
}

/** A kitchen brew that develops: with an agent, and alkaline enough. */
const improvisedSchema = improvisedDeveloperSchema.superRefine((brew, context) => {
  const equivalent = coffeeEquivalent(brew.agents);
  if (equivalent === 0) {
    context.addIssue({
      code: 'custom',
      path: ['agents'],
      message:
        'There is no coffee, tea or other organic agent in this brew. Soda and ascorbic acid alone show only the most over-exposed frames.',
    });
    return;
  }
  const ph = rememberedPh(brew);
  if (ph < LEAST_DEVELOPING_PH) {
    context.addIssue({
      code: 'custom',
      path: ['sodaGPerL'],
      message: `This brew comes to about pH ${ph.toFixed(1)}, and below ${LEAST_DEVELOPING_PH} it hardly develops: its acids use up ${sodaForAcid(brew.ascorbicGPerL, equivalent).toFixed(0)} g/l of washing soda. Take more soda: the usual brew has 54 g/l.`,
    });
  }
});

/** A one-bath developer-fixer, as mixed from its kit. */
const oneBathSchema = z.strictObject({ kind: z.literal('one-bath') });

/** Something that develops in a way that nobody has measured: it has a name, and what its own verdicts say. */
const otherSchema = z.strictObject({
  kind: z.literal('other'),
  name: z
    .string('Name of the developer: give a text.')
    .trim()
    .min(1, 'Name of the developer: give at least one letter.')
    .max(120, 'Name of the developer: give 120 letters at most.'),
});

export const developerSchema = z.discriminatedUnion(
  'kind',
  [concentrateSchema, improvisedSchema, oneBathSchema, otherSchema],
  'Developer: give a concentrate, an improvised brew or a one-bath.',
);

const nameSchema = (what: string) =>
  z
    .string(`${what}: give a text.`)
    .min(1, `${what}: give at least one letter.`)
    .max(200, `${what}: give 200 letters at most.`);

/** Everything that decides how a film develops: what estimates and evidence are about. */
export const situationShape = {
  film: filmSchema,
  age: ageSchema.default({ storage: [], yearsSd: 0, sinceExposure: [], xrayPasses: 0 }),
  developer: developerSchema,
  bromideGPerL: within('Potassium bromide', 0, BROMIDE_LIMIT_G_PER_L, 'g/l').default(0),
  /** Age and use of the brew when it is poured. */
  wear: z
    .strictObject({
      ageH: limited('brewAgeH').default(0),
      films: limited('jugFilms').default(0),
      volumeMl: limited('jugVolumeMl', 'Volume of the brew').default(500),
    })
    .default({ ageH: 0, films: 0, volumeMl: 500 }),
  /** Volume in the tank, which cools; left out, that of the whole brew. */
  tankMl: limited('jugVolumeMl', 'Volume in the tank').optional(),
  /** Spread of ln(rate) that the measuring of this brew left; left out, the usual one of its kind. */
  mixingLnSd: within('Spread of the mixing', 0, 2).optional(),
  temperatureC: limited('bathC'),
  /** Room temperature when it stands in air; left out for a bath that holds its temperature. */
  ambientC: limited('roomC').optional(),
  agitationId: oneOf('Agitation', agitationSchoolIds),
  /** A movement of one's own in place of the school's. */
  movement: movementSchema.optional(),
  /** Which stock, roll and mixed brew it is: evidence of the same one bears on it. Left out, it is the one at hand. */
  stockId: nameSchema('Stock').default('this stock'),
  rollId: nameSchema('Roll').default('this roll'),
  brewId: nameSchema('Brew').default('this brew'),
  /** The box that the roll came in with others: rolls of one box lay together all the time. Left out, it came alone. */
  lotId: nameSchema('Box').optional(),
  /** Whose bench it was, where it was somebody else’s: hand, thermometer and eye are theirs. Left out, it is this one. */
  benchId: nameSchema('Bench').optional(),
};

export const situationSchema = z.strictObject(situationShape);

/** What decides how a film develops, complete. */
export type SituationInput = z.infer<typeof situationSchema>;
