import { readBathForm, type BathForm } from '../schedule/bathForm';
import type { Plan } from '../records/records';
import type { Bath } from '../schedule/baths';
import { agitationSchools } from '../schedule/agitationSchools';
import { wetSteps, type WetStep } from '../schedule/wetSteps';
import { developSeconds } from './developSeconds';

/** The movement of a plan: its own, else its school's. */
export function movementOf({ movement, agitationId }: Pick<Plan, 'movement' | 'agitationId'>) {
  return movement ?? { name: agitationSchools[agitationId].name, movement: agitationSchools[agitationId].movement };
}

/** A fixing bath in a weaker fixer. */
function fixedLonger(bath: Bath, slower: number): Bath {
  return bath.kind === 'fix' && bath.length.kind === 'time'
    ? { ...bath, length: { ...bath.length, seconds: Math.round(bath.length.seconds * slower) } }
    : bath;
}

/**
 * The steps of a pinned plan, as they go to the tank.
 * @param plan what was decided
 * @param pinned the time that was pinned
 * @param slower how many times as long as planned the fixer at hand takes, by its dilution
 */
export function runSteps(
  plan: Pick<Plan, 'movement' | 'agitationId' | 'baths' | 'pourIn' | 'developer'>,
  pinned: NonNullable<Plan['pinned']>,
  slower = 1,
): WetStep[] {
  return wetSteps(
    developSeconds(pinned),
    movementOf(plan).movement,
    slower === 1 ? plan.baths : plan.baths.map((bath) => fixedLonger(bath, slower)),
    plan.developer.kind === 'one-bath',
    plan.pourIn,
  );
}

/**
 * The step of each bath while the list is written: a bath that does not read yet has none, and the others keep theirs.
 * @param forms the list as it is written
 * @param plan what was decided besides
 * @param pinned the time that was pinned
 * @returns steps by the key of their bath
 */
export function stepsByKey(
  forms: readonly BathForm[],
  plan: Pick<Plan, 'movement' | 'agitationId' | 'pourIn' | 'developer'>,
  pinned: NonNullable<Plan['pinned']>,
): Map<string, WetStep> {
  return new Map(
    forms.flatMap((form): [string, WetStep][] => {
      const bath = readBathForm(form);
      const [step] = bath.ok ? runSteps({ ...plan, baths: [bath.value] }, pinned) : [];
      return step === undefined ? [] : [[form.key, step]];
    }),
  );
}
