import type { StrategyId } from '@/core/estimate/strategyIds';
import type { StrategyOutlook, StrategyReason } from '@/core/estimate/strategies';
import { formatNumber } from '@/core/units/quantity';

/** The strategies, and what each does. */
export const strategyWords: Record<StrategyId, { name: string; does: string }> = {
  hold: { name: 'Hold', does: 'fresh-film time, fog kept down' },
  extend: { name: 'Extend', does: 'longer, to win contrast back' },
  stand: { name: 'Stand', does: 'very dilute, 45 to 75 min, hardly moved' },
};

/** Why one is recommended. */
export const strategyReasons: Record<StrategyReason, string> = {
  fresh: 'film this young has nothing to win back.',
  'one-bath': 'a one-bath runs to its own end, whatever the strategy.',
  'heavy-fog': 'the fog is heavy (over 0.6). Longer times only feed it. Take a restrainer, and work strong and cool.',
  'mixed-exposures':
    'nobody knows how it was exposed, or it was exposed unevenly. Dense parts exhaust the thin developer, thin parts go on.',
  'win-back': 'the exposures are known and the fog is moderate, so longer development wins contrast back.',
};

/** What separates the two darkest usable tones, and where they lie. */
export function shadowWords(shadows: StrategyOutlook['shadows']): string {
  if (shadows === null) return 'none usable';
  const { zoneStops, separationD } = shadows;
  const where = zoneStops === 0 ? 'from the deepest' : `${zoneStops} ${zoneStops === 1 ? 'stop' : 'stops'} up`;
  return `${formatNumber(separationD, 2)} D, ${where}`;
}
