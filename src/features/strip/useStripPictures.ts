'use client';

import { useEffect, useRef, useState } from 'react';
import { StripPicture } from '@/workers/strip';
import type { CameraExposure } from '@/core/densitometry/cameraExposure';
import type { FoundRow } from '@/core/densitometry/findRow';
import type { OpenedPicture } from '@/workers/stripPicture';

/** What a picture shows: the strip, or the light without it. */
export type PictureRole = 'strip' | 'blank';

/** A picture that is open. */
export interface StripShot extends OpenedPicture {
  id: string;
  role: PictureRole;
  name: string;
  picture: StripPicture;
  /** Stops over the first picture, where a person said so. */
  stops?: number | null;
}

/** A picture that was opened, with its row where that was looked for and found. */
export interface TakenPicture {
  shot: StripShot;
  row: FoundRow | null;
}

/** Pictures of a strip, and what is being done with the next one. */
export interface StripPictures {
  shots: StripShot[];
  /** What is being done, in words; null while nothing is. */
  doing: string | null;
  /** Why the last one was not taken. */
  fault: string | null;
  /**
   * Opens a picture; a strip's first picture takes the place of the one before when told so. A row is looked for before the
   * picture shows, so that nothing is measured under marks that do not lie on it yet.
   */
  take: (
    file: Blob,
    name: string,
    role: PictureRole,
    instead: boolean,
    findRow?: boolean,
  ) => Promise<TakenPicture | null>;
  /** Says by how many stops a picture was exposed more than the first one, where its camera does not; null for nobody knows. */
  expose: (id: string, stops: number | null) => void;
  cancel: () => void;
  drop: (id: string) => void;
}

/** An exposure by its stops alone. */
const statedStops = (stops: number): CameraExposure => ({ seconds: 2 ** stops, fNumber: null, iso: null });

/** Opens pictures, each behind a worker of its own, and lets them go with the page. */
export function useStripPictures(): StripPictures {
  const [shots, setShots] = useState<StripShot[]>([]);
  const [doing, setDoing] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const opening = useRef<StripPicture | null>(null);
  const open = useRef<StripShot[]>([]);
  const show = (next: StripShot[]): void => {
    open.current = next;
    setShots(next);
  };
  useEffect(
    () => () => {
      opening.current?.close();
      for (const { picture } of open.current) picture.close();
    },
    [],
  );
  const take: StripPictures['take'] = async (file, name, role, instead, findRow = false) => {
    opening.current?.close();
    setFault(null);
    setDoing('Reading the file');
    const picture = new StripPicture();
    opening.current = picture;
    const opened = await picture.open(file, setDoing);
    if (opening.current !== picture) return null;
    if (opened.ok && findRow) setDoing('Looking for the row');
    const row = opened.ok && findRow ? await picture.find(opened.value.transfer) : null;
    // Cancelled, or another picture was chosen meanwhile.
    if (opening.current !== picture) return null;
    opening.current = null;
    setDoing(null);
    if (!opened.ok) {
      picture.close();
      setFault(`${name}: ${opened.problems[0]?.message ?? ''}`);
      return null;
    }
    const shot: StripShot = { ...opened.value, id: crypto.randomUUID(), role, name, picture };
    const stays = open.current.filter((one) => !(instead || (role === 'blank' && one.role === 'blank')));
    for (const one of open.current) if (!stays.includes(one)) one.picture.close();
    show([...stays, shot]);
    return { shot, row };
  };
  return {
    shots,
    doing,
    fault,
    take,
    expose: (id, stops) =>
      show(
        open.current.map((one) =>
          one.id === id
            ? { ...one, exposure: stops === null ? null : statedStops(stops), stops }
            : one.role === 'strip' && one === open.current.find(({ role }) => role === 'strip') && one.exposure === null
              ? { ...one, exposure: statedStops(0), stops: 0 }
              : one,
        ),
      ),
    cancel: () => {
      opening.current?.close();
      opening.current = null;
      setDoing(null);
    },
    drop: (id) => {
      open.current.find((one) => one.id === id)?.picture.close();
      show(open.current.filter((one) => one.id !== id));
    },
  };
}
