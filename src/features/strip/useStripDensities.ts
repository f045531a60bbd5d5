'use client';

import { startTransition, useEffect, useState } from 'react';
import { patchesOf, type Patch } from '@/core/densitometry/patch';
import type { PictureSamples, StripFault } from '@/core/densitometry/readStrip';
import type { WholeRead } from '@/core/densitometry/readStripWhole';
import type { CameraBelief } from '@/core/densitometry/cameraUnknowns';
import type { Transfer } from '@/core/densitometry/transfer';
import type { ReadDensities } from '@/core/evidence/stripReading';
import type { StripForm } from '@/core/evidence/stripForm';
import type { StripShot } from './useStripPictures';

/** Densities under the marks, or why there are none. */
export type StripDensities =
  | { fault: null; densities: ReadDensities; gains: WholeRead['gains']; samples: readonly PictureSamples[] }
  | { fault: StripFault };

/** How long marks must rest before they are measured again, ms. */
const REST_MS = 90;

/** What of the form moves a measurement. */
type Marks = Pick<StripForm, 'light' | 'opaque' | 'clear' | 'row' | 'channel'>;

/**
 * Measures what lies under the marks in every open picture, and again when they move.
 * @returns null until the first answer; and whether it is of these marks or still of those before
 */
export function useStripDensities(
  shots: readonly StripShot[],
  { light, opaque, clear, row, channel }: Marks,
  count: number,
  transfer: Transfer,
  camera: CameraBelief,
): { measured: StripDensities | null; fresh: boolean } {
  const [found, setFound] = useState<{ of: readonly unknown[]; shot: string; answer: StripDensities } | null>(null);
  const key = JSON.stringify([{ light, opaque, clear, row, channel }, count, transfer]);
  useEffect(() => {
    const [strip] = stripsOf(shots);
    if (strip === undefined) return;
    let gone = false;
    const timer = setTimeout(() => {
      const [marks, patches, how] = JSON.parse(key) as [Marks, number, Transfer];
      void measure(shots, marks, patches, how, camera).then((answer) => {
        // In parts: the page stays free while the curve and its doubt are worked out.
        if (!gone && answer !== null)
          startTransition(() => setFound({ of: [shots, key, camera], shot: strip.id, answer }));
      });
    }, REST_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [shots, key, camera]);
  // Another picture's densities are none of this one's.
  if (found === null || found.shot !== stripsOf(shots)[0]?.id) return { measured: null, fresh: false };
  return { measured: found.answer, fresh: found.of[0] === shots && found.of[1] === key && found.of[2] === camera };
}

const stripsOf = (shots: readonly StripShot[]): StripShot[] => shots.filter(({ role }) => role === 'strip');

async function measure(
  shots: readonly StripShot[],
  { light, opaque, clear, row, channel }: Marks,
  count: number,
  transfer: Transfer,
  camera: CameraBelief,
): Promise<StripDensities | null> {
  const patches = patchesOf({ ...row, count });
  const film = clear === null ? patches : [clear, ...patches];
  const places: Patch[] = [...light, ...film, ...(opaque === null ? [] : [opaque])];
  if (film.length === 0) return null;
  const blankShot = shots.find(({ role }) => role === 'blank');
  const strips = stripsOf(shots);
  const blanks = await blankShot?.picture.sample(places, channel, transfer);
  const pictures = await Promise.all(
    strips.map(async ({ picture, exposure }): Promise<PictureSamples | null> => {
      const [samples, survey] = await Promise.all([
        picture.sample(places, channel, transfer),
        picture.survey(channel, transfer),
      ]);
      if (survey === null) return null;
      const placed = places.map((at, index) => ({
        at,
        sample: samples[index] ?? null,
        blank: blanks?.[index] ?? null,
      }));
      const marked = {
        light: placed.slice(0, light.length),
        film: placed.slice(light.length, light.length + film.length),
      };
      return {
        survey,
        ...marked,
        ...(await picture.surroundings(marked, clear !== null, channel, transfer)),
        opaque: opaque === null ? null : (placed.at(-1)?.sample ?? null),
        exposure,
      };
    }),
  );
  const [first] = strips;
  const samples = pictures.flatMap((one) => one ?? []);
  if (first === undefined || samples.length !== pictures.length) return null;
  const answer = await first.picture.read(samples, camera);
  if (answer === null) return null;
  if (!answer.ok) return { fault: answer.fault };
  const { read, gains } = answer.whole;
  const [head, ...rest] = read.patches;
  const densities = clear === null ? { clear: null, steps: read.patches } : { clear: head ?? null, steps: rest };
  return {
    fault: null,
    densities: { ...densities, covariance: read.covariance, ownCovariance: read.ownCovariance },
    gains,
    samples,
  };
}
