import { format } from 'date-fns';
import type { TankView } from '@/core/run/tankView';
import type { AgitationCue } from '@/core/schedule/agitationCues';
import type { StepView } from '@/core/run/runProgress';
import type { TankSignalKind } from '@/core/run/tankSignals';
import type { WetStep } from '@/core/schedule/wetSteps';
import type { TimingError } from '@/core/outcome/tankOutlook';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';

/** What the hands do now, in the largest type. */
export function handsWords(step: WetStep, view: StepView): string {
  if (view.over) return 'Pour out';
  if (view.pourOut) return 'Start pouring out';
  if (step.cues.length === 0 || tellsTurns(step)) return step.instruction;
  if (view.hands.current !== null) return withTurns(step.instruction, view.hands.current);
  return 'Leave it still';
}

/** A change of water says its turns by itself. */
function tellsTurns({ instruction, cues }: WetStep): boolean {
  return cues.length === 1 && cues[0]?.turns !== null && instruction.includes(`${cues[0]?.turns ?? ''} times`);
}

function withTurns(gesture: string, cue: AgitationCue): string {
  return cue.turns === null ? gesture : `${gesture}, ${cue.turns} times`;
}

/** The line under the hands' word. */
export function nextWords(view: StepView, nextStep: WetStep | undefined): string {
  const then = nextStep === undefined ? 'then hang it up' : `then ${nextStep.name.toLowerCase()}`;
  if (view.remainingS === Infinity) return `until it runs clear, ${then}.`;
  if (view.over) return `Late. ${then.replace('then', 'Next:')}.`;
  const turns = view.nextTurnS === null ? '' : ` Next turns in ${formatDuration(Math.ceil(view.nextTurnS))}.`;
  return `to pour out, ${then}.${turns}`;
}

/** What hands should notice at this moment; for the drawing of the gesture. */
export function signalOf(step: WetStep, view: StepView): 'move' | 'still' | 'pour' | 'over' | null {
  if (view.over) return 'over';
  if (view.pourOut) return 'pour';
  if (step.cues.length === 0) return null;
  return view.hands.current === null ? 'still' : 'move';
}

/** A signal, said aloud. */
export function spokenWords(step: WetStep, kind: TankSignalKind, atS: number): string {
  switch (kind) {
    case 'ready':
      return 'Get ready';
    case 'move': {
      const cue = step.cues.find(({ startS }) => startS === atS);
      return cue === undefined ? step.instruction : withTurns(step.instruction, cue);
    }
    case 'still':
      return 'Rest';
    case 'pour':
      return 'Start pouring out';
    case 'over':
      return 'Time is up';
  }
}

/** Signals that passed while the page slept. */
export function missedWords(missed: readonly { atS: number; kind: TankSignalKind }[]): string {
  const told = missed.filter(({ kind }) => kind !== 'ready');
  const names = { ready: 'get ready', move: 'move', still: 'rest', pour: 'pour out', over: 'the end' } as const;
  const last = told.at(-1);
  if (last === undefined) return '';
  const many = told.length === 1 ? '' : ` and ${told.length - 1} more`;
  return `This page was asleep and missed “${names[last.kind]}” at ${formatDuration(last.atS)}${many}.`;
}

/** Grades below this are not worth a word. */
const HARDLY = 0.2;

/** What a late or an early hand means, in words. */
export function slipWords(
  { seconds, small, grades }: TimingError,
  { lowMin, highMin }: { lowMin: number; highMin: number },
): string {
  const by = Math.abs(seconds);
  const late = seconds >= 0;
  const when = `${by < 90 ? `${Math.round(by)} s` : `${formatDuration(Math.round(by))} min`} ${late ? 'late' : 'early'}`;
  if (small) return `${when}: small beside the doubt (${formatMinutes(lowMin)}–${formatMinutes(highMin)}).`;
  if (grades === null) return `${when}: ${late ? 'harder and more fogged' : 'softer and thinner'} than planned.`;
  return `${when}: ${gradesWords(grades)}.`;
}

function gradesWords(grades: number): string {
  const by = Math.abs(grades);
  const which = grades >= 0 ? 'harder' : 'softer';
  if (by < HARDLY) return `hardly ${which}`;
  if (by < 0.75) return `about half a grade ${which}`;
  if (by < 1.25) return `about a grade ${which}`;
  return `about ${formatNumber(Math.round(by * 2) / 2, by % 1 === 0 ? 0 : 1)} grades ${which}`;
}

/** What the clock shows: what is left, what is over, or the time of the day at which the film was hung. */
export function clockWords({ progress, step, view }: TankView): string {
  if (progress.phase === 'finished') return progress.finishedMs === null ? '' : format(progress.finishedMs, 'HH:mm');
  if (view === null) return formatDuration(step.durationS);
  if (view.over) return `+${formatDuration(-view.remainingS)}`;
  return formatDuration(step.untilClear === true ? Math.floor(view.elapsedS) : Math.ceil(view.remainingS));
}

/** The words of the primary button. */
export function primaryWords(
  phase: TankView['progress']['phase'],
  nextName: string | undefined,
  practising: boolean,
): string {
  if (phase === 'finished') return practising ? 'Another practice run' : 'Go to the verdict';
  if (phase === 'ready') return `${nextName ?? 'It'} is in: start`;
  return nextName === undefined ? 'Hung to dry' : `${nextName}: it is in`;
}
