import * as z from 'zod';
import { limited, nameField, text } from '../schema/fields';
import { within } from '../schema/within';
import { stopSchoolIds, stopSchools } from '../fixing/stopSchools';
import { washSchoolIds, washSchools } from '../fixing/washSchools';
import { wettingBathIds, wettingBaths } from '../fixing/wettingBaths';
import { agitationCues } from './agitationCues';
import { agitationSchools, type AgitationSchoolId } from './agitationSchools';
import { preSoakIds, preSoaks } from './preSoaks';

/** Choices for the wet steps around development. */
export const wetChoiceSchema = z.strictObject({
  preSoakId: z.enum(preSoakIds),
  stopId: z.enum(stopSchoolIds),
  fixMin: within('Fix', 0.5, 30, 'min'),
  washId: z.enum(washSchoolIds),
  wettingId: z.enum(wettingBathIds),
});

export type WetChoice = z.infer<typeof wetChoiceSchema>;

export const wetStepKinds = ['pre-soak', 'develop', 'stop', 'fix', 'wash', 'wetting'] as const;

export const agitationCueSchema = z.strictObject({
  startS: limited('stepS'),
  endS: limited('stepS'),
  turns: z.number().int().positive().max(10_000).nullable(),
});

/** One wet step of a run. */
export const wetStepSchema = z.strictObject({
  kind: z.enum(wetStepKinds),
  name: nameField('Step'),
  /** What the hands do, in the imperative. */
  instruction: text('Instruction', 400),
  durationS: limited('stepS'),
  cues: z.array(agitationCueSchema).max(5000),
});

export type WetStep = z.infer<typeof wetStepSchema>;

/** Seconds that one inversion of a tank takes. Source: our estimate. */
const SECONDS_PER_INVERSION = 2.5;

/** Black that the pre-bath left behind comes off wet. Source: common practice, no source. */
const LAST_WIPE = {
  name: 'Wipe the back',
  instruction: 'Draw the shiny side through wet fingers or a soft sponge until it stays clear',
  durationS: 60,
};

/** Agitation in the fixer. Source: common practice, no source. */
const FIX_AGITATION = agitationSchools['ten-each-minute'];

/**
 * The wet steps of a run, in order.
 * @param developS development time, s; above 0
 * @param agitationId agitation school in the developer
 * @param choice the user's choices for the other steps
 * @param oneBath whether developer and fixer are one bath: no stop and no fixer then
 * @returns steps from the pre-soak to the wetting bath
 */
export function wetSteps(
  developS: number,
  agitationId: AgitationSchoolId,
  choice: WetChoice,
  oneBath = false,
): WetStep[] {
  const school = agitationSchools[agitationId];
  const still = (kind: WetStep['kind'], bath: { name: string; instruction: string; durationS: number }): WetStep => ({
    kind,
    ...bath,
    cues: [],
  });
  const fixS = Math.round(choice.fixMin * 60);
  const wetting = wettingBaths[choice.wettingId];
  return [
    ...preSoaks[choice.preSoakId].baths.map((bath) => still('pre-soak', bath)),
    {
      kind: 'develop',
      name: oneBath ? 'Develop and fix' : 'Develop',
      instruction: school.gesture,
      durationS: developS,
      cues: agitationCues(school, developS),
    },
    ...(oneBath
      ? []
      : [
          ...stopSchools[choice.stopId].baths.map((bath) => still('stop', bath)),
          {
            kind: 'fix' as const,
            name: 'Fix',
            instruction: FIX_AGITATION.gesture,
            durationS: fixS,
            cues: agitationCues(FIX_AGITATION, fixS),
          },
        ]),
    ...washStepsOf(choice),
    ...(choice.preSoakId === 'rem-jet' ? [still('wash', LAST_WIPE)] : []),
    ...(wetting.durationS > 0 ? [still('wetting', { ...wetting, name: 'Wetting bath' })] : []),
  ];
}

function washStepsOf(choice: WetChoice): WetStep[] {
  const school = washSchools[choice.washId];
  const step = (name: string, instruction: string, durationS: number): WetStep => ({
    kind: 'wash',
    name,
    instruction,
    durationS,
    cues: [],
  });
  if (school.changes.length === 0)
    return [step('Wash', 'Let the water run at working temperature', school.runningMin * 60)];
  return school.changes.map((turns, index) =>
    step(
      `Wash ${index + 1} of ${school.changes.length}`,
      `Fill, turn ${turns} times, pour out`,
      turns * SECONDS_PER_INVERSION,
    ),
  );
}

/**
 * The wet choices to offer at first.
 * @param film what matters of the film and its brew
 * @returns common-practice defaults
 */
export function usualWetChoice(film: {
  remJet: boolean;
  longSoak: boolean;
  fixMin: number;
  carbonateBrew: boolean;
}): WetChoice {
  return {
    preSoakId: film.remJet ? 'rem-jet' : film.longSoak ? 'six-minutes' : 'one-minute',
    stopId: film.carbonateBrew ? 'three-rinses' : 'acid',
    fixMin: film.fixMin,
    washId: '5-10-20',
    wettingId: 'agent',
  };
}
