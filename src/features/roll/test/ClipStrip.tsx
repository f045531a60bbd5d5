'use client';

import { patchGrey } from '@/core/densitometry/patchGrey';
import { curveBetween, negativeGreys, positiveGreys } from '@/core/densitometry/scene';
import type { OwnTimeOutlook } from '@/core/estimate/ownTime';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { AskForDay } from '@/features/scene/AskForDay';
import { ScenePicture } from '@/features/scene/ScenePicture';

interface ClipStripProps {
  /** What a clip would be after its time. */
  expected: OwnTimeOutlook;
  /** Exposures of its densities. */
  logH: readonly number[];
}

/** What the clip looks like when the film does as expected: beside it, a softer or harder one shows. */
export function ClipStrip({ expected, logH }: ClipStripProps) {
  const { densities, baseFogD, netGradient, timeMin } = expected;
  const curve = curveBetween(logH, densities);
  return (
    <figure className="max-w-[560px] space-y-1" data-testid="clip-strip">
      <div className="grid grid-cols-2 gap-x-3">
        <ScenePicture
          label="A clip as expected, as a negative"
          greys={negativeGreys(curve)}
          rim={patchGrey(baseFogD)}
        />
        <ScenePicture label="A clip as expected, scanned" greys={positiveGreys(curve, baseFogD)} />
      </div>
      <figcaption className="text-[14px] text-ink2">
        As expected after {formatMinutes(timeMin)}, if it was exposed as metered: base + fog {formatNumber(baseFogD, 2)}{' '}
        (the rim), gradient {formatNumber(netGradient, 2)}. Harder or softer than this changes the time.
      </figcaption>
      <AskForDay />
    </figure>
  );
}
