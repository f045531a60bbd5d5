import type { OwnTimeOutlook } from '@/core/estimate/ownTime';
import { formatNumber } from '@/core/units/quantity';

/** How a time of one's own stands to the estimate. */
export function ownTimeWords({ ratio, place }: Pick<OwnTimeOutlook, 'ratio' | 'place'>): string {
  const percent = Math.round(Math.abs(ratio - 1) * 100);
  const how = percent === 0 ? 'Yours is the estimate' : `Yours is ${percent} % ${ratio < 1 ? 'shorter' : 'longer'}`;
  return place === 'inside' ? `${how}, inside the likely range` : `${how}, outside the likely range`;
}

/** What a time of one's own would give. */
export function ownOutlookWords({ netGradient, baseFogD, shadows }: OwnTimeOutlook, target: number): string {
  const shadowText =
    shadows === null ? 'no usable shadow separation' : `shadows part by ${formatNumber(shadows.separationD, 2)} D`;
  return `It would give a net gradient of ${formatNumber(netGradient, 2)} (target ${formatNumber(target, 2)}), base + fog ${formatNumber(baseFogD, 2)}, and ${shadowText}.`;
}

/** Why a time outside of the band wants a second look; null within it. */
export function ownTimeCaution({ place }: Pick<OwnTimeOutlook, 'place'>): string | null {
  if (place === 'shorter')
    return 'Shorter than the whole likely range: expect it thin. It is your film; the estimate stays beside it.';
  if (place === 'longer')
    return 'Longer than the whole likely range: expect it dense, with more fog. It is your film; the estimate stays beside it.';
  return null;
}
