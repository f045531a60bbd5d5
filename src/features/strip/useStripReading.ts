'use client';

import { startTransition, useEffect, useMemo, useState } from 'react';
import type { StripPlan } from '@/core/evidence/stripForm';
import { stripReading, type ExposurePlan, type ReadDensities, type StripReading } from '@/core/evidence/stripReading';
import type { StripShot } from './useStripPictures';

/**
 * What densities say with their exposures. Those of a picture are worked out beside the page, behind its worker, and what was read
 * of the same picture before stays on show meanwhile; typed ones at once.
 * @param densities null while there are none
 * @param plan null until the fields have been read once
 * @param shot the picture that they come from; null where they were typed
 * @returns the reading, and whether it is of these densities and exposures or still of those before
 */
export function useStripReading(
  densities: ReadDensities | null,
  plan: StripPlan | null,
  shot: StripShot | null,
): { reading: StripReading | null; fresh: boolean } {
  const some = densities !== null && (densities.clear !== null || densities.steps.some(({ fault }) => fault === null));
  const key =
    plan === null || !some
      ? null
      : JSON.stringify({ logH: plan.logH, meteredIso: plan.meteredIso, numbered: plan.numbered });
  const picture = shot?.picture ?? null;
  const [found, setFound] = useState<{ of: readonly unknown[]; reading: StripReading } | null>(null);
  useEffect(() => {
    if (picture === null || densities === null || key === null) return;
    let gone = false;
    void picture.reading(densities, JSON.parse(key) as ExposurePlan).then((answer) => {
      if (!gone && answer !== null) startTransition(() => setFound({ of: [picture, densities, key], reading: answer }));
    });
    return () => {
      gone = true;
    };
  }, [picture, densities, key]);
  const typed = useMemo(
    () =>
      picture !== null || densities === null || key === null
        ? null
        : stripReading(densities, JSON.parse(key) as ExposurePlan),
    [picture, densities, key],
  );
  if (key === null || picture === null) return { reading: typed, fresh: true };
  if (found?.of[0] !== picture) return { reading: null, fresh: false };
  return { reading: found.reading, fresh: found.of[1] === densities && found.of[2] === key };
}
