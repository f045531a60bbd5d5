import { jugState } from '@/core/brewing/keeping';
import type { Brew } from '@/core/records/records';
import type { RollDossier } from '@/data/queries';

const numerals = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];

/** Rolls that only wait for hands: dated, exposed, and neither forbidden nor at the tank. */
function canGo({ standing }: RollDossier): boolean {
  return !standing.forbidden && (['choose', 'test', 'mix', 'run'] as const).some((stage) => stage === standing.atHand);
}

/** The bench in two sentences: what can be done, and how long the brew lasts. */
export function benchHeadline(
  dossiers: readonly RollDossier[],
  brews: readonly Brew[],
  nowMs: number,
  poor: ReadonlySet<string> = new Set(),
): string[] {
  const ready = dossiers.filter((dossier) => canGo(dossier) && !poor.has(dossier.roll.id)).length;
  const count = numerals[ready] ?? String(ready);
  const first =
    ready === 0
      ? 'No roll is ready to develop.'
      : `${count} ${ready === 1 ? 'roll is' : 'rolls are'} ready to develop.`;
  const lasting = brews
    .filter(({ developer }) => developer?.kind === 'improvised')
    .map((brew) => jugState(brew, nowMs))
    .filter((state) => state.goodUntilMs !== null && state.goodUntilMs > nowMs)
    .map((state) => state.goodUntilMs ?? 0);
  if (lasting.length === 0) return [first];
  return [first, `The brew is good until about ${hourWords(Math.max(...lasting))}.`];
}

const hours: readonly string[] = [
  'twelve',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
];

/** The half hour before an instant, as people say it. */
function hourWords(instantMs: number): string {
  const date = new Date(instantMs);
  const hour = hours[date.getHours() % 12] ?? '';
  return date.getMinutes() < 30 ? hour : `half past ${hour}`;
}
