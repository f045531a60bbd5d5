'use client';

import { useState } from 'react';
import { PHOTO_EDGE_PX } from '@/core/records/photoSize';
import type { Photo, Print } from '@/core/records/records';
import { keepScan } from '@/data/prints';
import { FileButton } from '@/features/files/FileButton';
import { Choice } from '@/ui/Choice';
import { reducePhoto } from '@/workers/photo';

interface PrintPictureProps {
  /** The print as it is kept; null for one that is begun. */
  print: Print | null;
  /** Pictures of its roll. */
  photos: readonly Photo[];
  pictureId: string | null;
  onPicture: (pictureId: string | null) => void;
}

/** The picture that areas are drawn on: a frame of the roll, or a scan of the print itself. */
export function PrintPicture({ print, photos, pictureId, onPicture }: PrintPictureProps) {
  const [fault, setFault] = useState<string | null>(null);
  const shown = photos.filter(({ id, of, frame }) => (of === 'print' ? id === pictureId : frame !== undefined));
  const take = async (kept: Print & { rollId: string }, file: File): Promise<void> => {
    const reduced = await reducePhoto(file, PHOTO_EDGE_PX);
    setFault(reduced.ok ? null : `${file.name}: ${reduced.problems[0]?.message ?? ''}`);
    if (!reduced.ok) return;
    onPicture(await keepScan(kept, { ...reduced.value, name: file.name.slice(0, 200) }));
  };
  const kept = print !== null && print.rollId !== null ? { ...print, rollId: print.rollId } : null;
  if (shown.length === 0 && kept === null) return null;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
      {shown.length > 0 && (
        <Choice
          id="pictureId"
          label="Picture"
          value={shown.some(({ id }) => id === pictureId) ? (pictureId ?? '') : ''}
          options={[
            { value: '', name: 'a plain frame' },
            ...shown.map(({ id, of, frame }) => ({
              value: id,
              name: of === 'print' ? 'the scan of this print' : `frame ${frame}`,
            })),
          ]}
          onChange={(id) => onPicture(id === '' ? null : id)}
          inline
        />
      )}
      {kept !== null && (
        <FileButton
          label="Scan of the print"
          className="act-plain"
          accept="image/*"
          onFile={(file) => void take(kept, file).catch(() => setFault('It was not stored. Try once more.'))}
        >
          {photos.some(({ id, of }) => of === 'print' && id === pictureId) ? 'Another scan' : 'Add a scan of it'}
        </FileButton>
      )}
      {fault !== null && (
        <p role="alert" className="w-full text-danger">
          {fault}
        </p>
      )}
    </div>
  );
}
