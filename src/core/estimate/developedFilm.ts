import type { DevelopedFilm } from '../kinetics/characteristicCurve';
import type { Conditions } from './conditions';
import type { Development } from './development';
import { STAND_HIGHLIGHT_SHARE } from './stand';
import type { StrategyId } from './strategyIds';

/** The film after a time, as its characteristic curve is drawn from. */
export function developedFilm(
  { film }: Conditions,
  development: Development,
  timeMin: number,
  strategy: StrategyId,
): DevelopedFilm {
  return {
    gradient: development.gradientAt(timeMin),
    baseFogD: development.baseFogAt(timeMin),
    fogD: development.fogAt(timeMin),
    maximumDensityD: film.maximumDensityD,
    lossStops: development.aged.imageLossStops,
    highlightShare: strategy === 'stand' ? STAND_HIGHLIGHT_SHARE : 1,
  };
}
