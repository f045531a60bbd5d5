import { format } from 'date-fns';
import { jugState } from '@/core/chemistry/jugState';
import type { Brew } from '@/core/formats/records';
import type { RollDossier } from '@/data/queries';

const numerals = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];

/** Rolls that only wait for hands: dated, exposed, and neither forbidden nor at the tank. */
function canGo({ standing }: RollDossier): boolean {
  return !standing.forbidden && (['choose', 'test', 'mix', 'run'] as const).some((stage) => stage === standing.atHand);
}

/** The bench in two sentences: what can be done, and how long the brew lasts. */
export function benchHeadline(dossiers: readonly RollDossier[], brews: readonly Brew[], nowMs: number): string[] {
  const ready = dossiers.filter(canGo).length;
  const count = numerals[ready] ?? String(ready);
  const first = ready === 0 ? 'Nothing waits for the tank.' : `${count} ${ready === 1 ? 'roll' : 'rolls'} can go today.`;
  const lasting = brews
    .map((brew) => jugState({ ...brew, wears: brew.developer.kind === 'improvised' }, nowMs))
    .filter((state) => state.goodUntilMs !== null && state.goodUntilMs > nowMs)
    .map((state) => state.goodUntilMs ?? 0);
  if (lasting.length === 0) return [first];
  return [first, `The brew is good until about ${format(roundToHalfHour(Math.max(...lasting)), 'HH:mm')}.`];
}

function roundToHalfHour(instantMs: number): number {
  const half = 30 * 60_000;
  return Math.floor(instantMs / half) * half;
}
