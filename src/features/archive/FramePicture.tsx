'use client';

import { useState } from 'react';
import { PHOTO_EDGE_PX } from '@/core/records/photoSize';
import type { Photo } from '@/core/records/records';
import { dropPhoto, keepPhoto, restorePhoto, tellScan } from '@/data/photos';
import { FileButton } from '@/features/files/FileButton';
import { reducePhoto } from '@/workers/photo';

/** The picture of one frame: chosen, said how it was scanned, and taken away again. */
export function FramePicture({ rollId, frame, photo }: { rollId: string; frame: number; photo: Photo | undefined }) {
  const [fault, setFault] = useState<string | null>(null);
  const [dropped, setDropped] = useState<Photo | null>(null);
  const [scanned, setScanned] = useState(photo?.scanned ?? '');
  const take = async (file: File): Promise<void> => {
    const reduced = await reducePhoto(file, PHOTO_EDGE_PX);
    setFault(reduced.ok ? null : `${file.name}: ${reduced.problems[0]?.message ?? ''}`);
    if (!reduced.ok) return;
    if (photo !== undefined) await dropPhoto(photo.id);
    await keepPhoto(rollId, { ...reduced.value, name: file.name.slice(0, 200), frame });
  };
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <FileButton
        label={`Picture of frame ${frame}`}
        className="act-plain"
        accept="image/*"
        onFile={(file) => void take(file).catch(() => setFault('It was not stored. Try once more.'))}
      >
        {photo === undefined ? 'Add its picture' : 'Another picture'}
      </FileButton>
      {photo !== undefined && (
        <>
          <label className="flex items-center gap-2 text-[14px]">
            Scanned
            <input
              className="box min-h-[34px] w-52 py-1"
              autoComplete="off"
              maxLength={200}
              placeholder="flatbed, 3200 dpi, as a positive"
              value={scanned}
              onChange={(event) => {
                setScanned(event.target.value);
                void tellScan(photo.id, event.target.value).catch(() => undefined);
              }}
            />
          </label>
          <button
            type="button"
            className="act-plain text-ink2"
            onClick={() => void dropPhoto(photo.id).then((gone) => setDropped(gone ?? null))}
          >
            Take it away
          </button>
        </>
      )}
      {dropped !== null && photo === undefined && (
        <button
          type="button"
          className="act-plain"
          onClick={() => void restorePhoto(dropped).then(() => setDropped(null))}
        >
          Put {dropped.name} back
        </button>
      )}
      {fault !== null && (
        <p role="alert" className="w-full text-danger">
          {fault}
        </p>
      )}
    </div>
  );
}
