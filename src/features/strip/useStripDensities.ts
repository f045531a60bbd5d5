'use client';

import { useEffect, useState } from 'react';
import { patchesOf, type Patch } from '@/core/densitometry/patch';
import type { PatchDensity } from '@/core/densitometry/patchDensity';
import { readStrip, type PictureSamples, type StripFault } from '@/core/densitometry/readStrip';
import type { Transfer } from '@/core/densitometry/transfer';
import type { StripForm } from '@/core/evidence/stripForm';
import type { StripShot } from './useStripPictures';

/** Densities under the marks, or why there are none. */
export type StripDensities =
  { clear: PatchDensity | null; steps: PatchDensity[]; fault: null } | { clear: null; steps: []; fault: StripFault };

/** How long marks must rest before they are measured again, ms. */
const REST_MS = 90;

/** Measures what lies under the marks in every open picture, and again when they move; null until the first answer. */
export function useStripDensities(
  shots: readonly StripShot[],
  form: Pick<StripForm, 'light' | 'clear' | 'row' | 'channel'>,
  count: number,
  transfer: Transfer,
): StripDensities | null {
  const [found, setFound] = useState<StripDensities | null>(null);
  const key = JSON.stringify([form.light, form.clear, form.row, form.channel, count, transfer]);
  useEffect(() => {
    if (shots.every(({ role }) => role !== 'strip')) return;
    let gone = false;
    const timer = setTimeout(() => {
      const [light, clear, row, channel, patches, how] = JSON.parse(key) as [
        StripForm['light'],
        StripForm['clear'],
        StripForm['row'],
        StripForm['channel'],
        number,
        Transfer,
      ];
      void measure(shots, light, clear, patchesOf({ ...row, count: patches }), channel, how).then((answer) => {
        if (!gone) setFound(answer);
      });
    }, REST_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [shots, key]);
  return shots.some(({ role }) => role === 'strip') ? found : null;
}

async function measure(
  shots: readonly StripShot[],
  light: readonly Patch[],
  clear: Patch | null,
  row: readonly Patch[],
  channel: StripForm['channel'],
  transfer: Transfer,
): Promise<StripDensities> {
  const film = clear === null ? row : [clear, ...row];
  const places = [...light, ...film];
  const blankShot = shots.find(({ role }) => role === 'blank');
  const blanks = await blankShot?.picture.sample(places, channel, transfer);
  const pictures = await Promise.all(
    shots
      .filter(({ role }) => role === 'strip')
      .map(async ({ picture, exposure }): Promise<PictureSamples> => {
        const samples = await picture.sample(places, channel, transfer);
        const placed = places.map((at, index) => ({
          at,
          sample: samples[index] ?? null,
          blank: blanks?.[index] ?? null,
        }));
        return {
          light: placed.slice(0, light.length),
          film: placed.slice(light.length),
          exposure,
        };
      }),
  );
  const read = readStrip(pictures);
  if (!read.ok) return { clear: null, steps: [], fault: read.fault };
  const [first, ...rest] = read.patches;
  return clear === null
    ? { clear: null, steps: read.patches, fault: null }
    : { clear: first ?? null, steps: rest, fault: null };
}
