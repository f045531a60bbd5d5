import type { StrategyId } from '@/core/estimate/strategyIds';
import type { StrategyOutlook, StrategyReason } from '@/core/estimate/strategies';
import { LN_GRADIENT_PER_GRADE } from '@/core/outcome/grades';
import { formatNumber } from '@/core/units/quantity';

/** The strategies, and what each does. */
export const strategyWords: Record<StrategyId, { name: string; does: string }> = {
  hold: { name: 'Hold', does: 'fresh-film time, keeps fog down' },
  extend: { name: 'Extend', does: 'longer, to regain contrast' },
  stand: { name: 'Stand', does: 'very dilute, 45 to 75 min, hardly any agitation' },
};

/** Why one is recommended. */
export const strategyReasons: Record<StrategyReason, string> = {
  fresh: 'film this young has lost nothing worth regaining.',
  'one-bath': 'a one-bath runs to completion, whatever the strategy.',
  'heavy-fog':
    'the fog is heavy (over 0.6), and longer times only add to it. Use a restrainer, and work strong and cool.',
  'mixed-exposures':
    'the exposures are unknown or mixed. Dense areas exhaust the dilute developer while thin areas keep developing.',
  'win-back': 'the exposures are known and the fog is moderate, so longer development regains contrast.',
};

/** How contrasty a film would look beside what is wanted. */
export function lookWords(netGradient: number, target: number): string {
  const grades = Math.log(Math.max(0.02, netGradient) / target) / LN_GRADIENT_PER_GRADE;
  if (grades < -4) return 'next to nothing';
  if (grades < -2) return 'very soft';
  if (grades < -0.5) return 'soft';
  if (grades > 2) return 'very hard';
  return grades > 0.5 ? 'hard' : 'as wanted';
}

/** What separates the two darkest usable tones, and where they lie. */
export function shadowWords(shadows: StrategyOutlook['shadows']): string {
  if (shadows === null) return 'none usable';
  const { zoneStops, separationD } = shadows;
  const where = zoneStops === 0 ? 'from the deepest' : `${zoneStops} ${zoneStops === 1 ? 'stop' : 'stops'} up`;
  return `${formatNumber(separationD, 2)} D, ${where}`;
}
