import type { StepReport } from '@/data/folder';

const several = (count: number, one: string, more: string): string => (count === 1 ? `One ${one}` : `${count} ${more}`);
const later = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** What keeping in step did, in sentences. */
export function stepWords({ written, taken, held, busy, devices }: StepReport): string {
  return [
    devices.length === 0 ? 'No other device has written here yet.' : `Other devices: ${devices.join(', ')}.`,
    written === 0 && taken === 0
      ? 'Nothing new.'
      : `${several(written, 'change', 'changes')} written, ${later(several(taken, 'record', 'records'))} taken.`,
    ...(busy
      ? ['A run is under way, so nothing is changed under your hands: what others wrote is taken after it.']
      : []),
    ...(held > 0
      ? [`${several(held, 'record waits', 'records wait')} for a part that has not come into the folder yet.`]
      : []),
  ].join(' ');
}
