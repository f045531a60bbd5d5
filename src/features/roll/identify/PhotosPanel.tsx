'use client';

import { useRef, useState } from 'react';
import { PHOTO_EDGE_PX } from '@/core/records/photoSize';
import type { Photo } from '@/core/records/records';
import { dropPhoto, keepPhoto, restorePhoto } from '@/data/photos';
import { usePhotos } from '@/data/queries';
import { reducePhoto } from '@/workers/photo';
import { useObjectUrl } from '@/ui/useObjectUrl';

/** A kept photograph; one that does not open says so in its place. */
function Picture({ photo }: { photo: Photo }) {
  const url = useObjectUrl(photo.jpeg);
  const [broken, setBroken] = useState(false);
  if (broken)
    return (
      <p className="flex h-36 w-36 items-center border border-danger p-2 text-[13px] text-danger">
        This photograph does not open any more. Remove it, or open a file that has it.
      </p>
    );
  // Kept in the browser's own records: there is nothing for an image server to do.
  return (
    <img
      src={url ?? undefined}
      decoding="async"
      alt={`Photograph ${photo.name}`}
      width={photo.widthPx}
      height={photo.heightPx}
      className="h-36 w-auto border border-edge"
      onError={() => setBroken(true)}
    />
  );
}

/** Photographs of the roll and its box, kept with it. */
export function PhotosPanel({ rollId }: { rollId: string }) {
  // Pictures of frames stand with their sleeve.
  const photos = (usePhotos(rollId) ?? []).filter(({ frame, of }) => frame === undefined && of === undefined);
  const file = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const [dropped, setDropped] = useState<Photo | null>(null);
  const take = async (files: File[]): Promise<void> => {
    setBusy(true);
    const found: string[] = [];
    for (const chosen of files) {
      const reduced = await reducePhoto(chosen, PHOTO_EDGE_PX);
      if (reduced.ok)
        await keepPhoto(rollId, { ...reduced.value, name: chosen.name.slice(0, 200) }).catch(() => undefined);
      else found.push(`${chosen.name}: ${reduced.problems[0]?.message ?? ''}`);
    }
    setFaults(found);
    setBusy(false);
  };
  return (
    <div>
      <p className="mt-1 text-[13px] text-ink2">
        Box, edge print, backing. They are resized to {PHOTO_EDGE_PX} px and kept in this browser; the originals are
        not.
      </p>
      <ul className="mt-2 flex flex-wrap gap-3">
        {photos.map((photo) => (
          <li key={photo.id}>
            <Picture photo={photo} />
            <button
              type="button"
              className="act-plain text-[13px] text-ink2"
              onClick={() => void dropPhoto(photo.id).then((gone) => setDropped(gone ?? null))}
            >
              Remove<span className="sr-only"> {photo.name}</span>
            </button>
          </li>
        ))}
      </ul>
      {faults.map((fault) => (
        <p key={fault} role="alert" className="mt-2 border-s-4 border-danger ps-2 text-danger">
          {fault}
        </p>
      ))}
      <input
        ref={file}
        type="file"
        accept="image/*"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label="Photographs of the roll"
        onChange={(event) => {
          void take([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <div className="mt-2 flex flex-wrap gap-3">
        <button type="button" className="act min-h-9 py-1" disabled={busy} onClick={() => file.current?.click()}>
          {busy ? 'Resizing' : 'Add photographs'}
        </button>
        {dropped !== null && (
          <button
            type="button"
            className="act min-h-9 py-1"
            onClick={() => void restorePhoto(dropped).then(() => setDropped(null))}
          >
            Put {dropped.name} back
          </button>
        )}
      </div>
    </div>
  );
}
