import type { StepReport } from '@/data/folder';

const several = (count: number, one: string, more: string): string => (count === 1 ? `one ${one}` : `${count} ${more}`);

/** What keeping in step did, in sentences. */
export function stepWords({ written, taken, held, busy, devices }: StepReport): string {
  return [
    devices.length === 0 ? 'No other device has written here yet.' : `With ${devices.join(', ')}.`,
    written === 0 && taken === 0
      ? 'Nothing was new.'
      : `${several(written, 'change', 'changes')} written, ${several(taken, 'record', 'records')} taken.`,
    ...(busy
      ? ['A run is under way, so nothing is changed under your hands: what others wrote is taken after it.']
      : []),
    ...(held > 0
      ? [`${several(held, 'record waits', 'records wait')} for a part that has not come into the folder yet.`]
      : []),
  ].join(' ');
}
