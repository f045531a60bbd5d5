'use client';

import type { Place } from '@/core/densitometry/patch';
import type { StripForm } from '@/core/evidence/stripForm';
import { FileButton } from '@/features/files/FileButton';
import { PictureMarks } from './PictureMarks';
import { PICTURES } from './PicturePanel';
import type { StripPictures } from './useStripPictures';

/** Edge of a place that a tap marks, as a share of the picture's longest edge: a gap is narrow. */
const GAP = 0.006;
const LIGHT = 0.03;

interface GapPanelProps {
  form: StripForm;
  change: (part: Partial<StripForm>) => void;
  pictures: StripPictures;
}

/** Base + fog of ordinary negatives: a picture of them on the light, and two taps. */
export function GapPanel({ form, change, pictures }: GapPanelProps) {
  const { shots, doing, fault } = pictures;
  const shot = shots.find(({ role }) => role === 'strip');
  const take = async (file: File): Promise<void> => {
    const taken = await pictures.take(file, file.name, 'strip', true);
    if (taken !== null) change({ clear: null, light: [], transfer: taken.shot.transfer.id });
  };
  const tap = ({ x, y }: Place): void => {
    if (form.clear === null) change({ clear: { x, y, along: GAP, across: GAP * 3, turn: 0 }, marked: true });
    else if (form.light.length === 0) change({ light: [{ x, y, along: LIGHT, across: LIGHT, turn: 0 }], marked: true });
  };
  const next =
    form.clear === null
      ? 'Tap the gap between two frames.'
      : form.light.length === 0
        ? 'Now tap the bare light beside the film.'
        : 'Both are marked: drag them, or begin again.';
  return (
    <div>
      {shot === undefined ? (
        <div className="flex min-h-[220px] flex-col items-start justify-center gap-4 border border-edge p-6">
          <p className="max-w-[58ch]">
            Lay the dry negatives on an even light, with some bare light beside them, and photograph them squarely.
          </p>
          <FileButton
            label="Picture of the negatives"
            className="act act-primary"
            accept={PICTURES}
            disabled={doing !== null}
            onFile={(file) => void take(file)}
          >
            Choose a picture
          </FileButton>
        </div>
      ) : (
        <>
          <p role="status" className="mb-2 font-[620]">
            {next}
          </p>
          <PictureMarks shot={shot} form={form} count={0} onTap={tap} onMove={(part) => change(part)} />
          <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[14px]">
            <button type="button" className="act-plain" onClick={() => change({ clear: null, light: [] })}>
              Begin again
            </button>
            <button type="button" className="act-plain" onClick={() => pictures.drop(shot.id)}>
              Another picture
            </button>
          </div>
        </>
      )}
      {doing !== null && <p role="status">{doing}…</p>}
      {fault !== null && (
        <p role="alert" className="mt-2 border-s-4 border-danger ps-3 text-danger">
          {fault}
        </p>
      )}
    </div>
  );
}
