import type { RollStanding, StageId } from './rollStages';

/** What to do next with a roll. */
export interface NextAction {
  label: string;
  /** Stage at which it is done; null when there is nothing left to do. */
  stage: StageId | null;
}

const actions: Record<StageId, string> = {
  identify: 'Add its age',
  expose: 'Expose it',
  choose: 'Choose a time',
  test: 'Choose a time',
  mix: 'Mix the brew',
  run: 'Go to the tank',
  judge: 'Judge it',
};

/**
 * The next action for a roll.
 * @param standing where the roll stands
 * @param running whether a run has begun and not ended
 */
export function nextAction(standing: RollStanding, running: boolean): NextAction {
  if (standing.forbidden) return { label: 'What to do', stage: 'identify' };
  if (running) return { label: 'Back to the tank', stage: 'run' };
  if (standing.atHand === null) return { label: 'Look back', stage: null };
  return { label: actions[standing.atHand], stage: standing.atHand };
}
