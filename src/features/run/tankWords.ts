import type { AgitationCue } from '@/core/schedule/agitationCues';
import type { TankView } from '@/core/schedule/runState';
import type { WetStep } from '@/core/schedule/wetSteps';
import { formatDuration } from '@/core/units/duration';
import type { TankSignal } from './useTankSignals';

/** What the hands do now, in the largest type. */
export function handsWords(step: WetStep, view: TankView): string {
  if (view.over) return 'Pour out';
  if (view.pourOut) return 'Start pouring out';
  if (step.cues.length === 0) return step.instruction;
  if (view.hands.current !== null) return withTurns(step.instruction, view.hands.current);
  return 'Leave it still';
}

function withTurns(gesture: string, cue: AgitationCue): string {
  return cue.turns === null ? gesture : `${gesture}, ${cue.turns} times`;
}

/** The line under the time. */
export function nextWords(view: TankView, nextStep: WetStep | undefined): string {
  const then = nextStep === undefined ? 'then hang it up' : `then ${nextStep.name.toLowerCase()}`;
  if (view.over) return `late; ${then.replace('then', 'next:')}.`;
  const turns = view.nextTurnS === null ? '' : ` Next turns in ${formatDuration(Math.ceil(view.nextTurnS))}.`;
  return `to pour out, ${then}.${turns}`;
}

/** What hands should notice at this moment. */
export function signalOf(step: WetStep, view: TankView): TankSignal {
  if (view.over) return 'over';
  if (view.pourOut) return 'pour';
  if (step.cues.length === 0) return null;
  return view.hands.current === null ? 'still' : 'move';
}
