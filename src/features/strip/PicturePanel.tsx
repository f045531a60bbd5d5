'use client';

import { useState, type DragEvent } from 'react';
import { practiceStrip } from '@/core/kit/practiceStrip';
import type { FoundRow } from '@/core/densitometry/findRow';
import type { Transfer } from '@/core/densitometry/transfer';
import { clearBeside, extendedRow } from '@/core/densitometry/patch';
import { MOST_PATCHES, type StripForm } from '@/core/evidence/stripForm';
import { formatNumber } from '@/core/units/quantity';
import { shutterText } from '@/core/units/shutter';
import { FileButton } from '@/features/files/FileButton';
import { makeUpPicture } from '@/workers/strip';
import { PictureMarks } from './PictureMarks';
import { PositiveView } from './PositiveView';
import { seedOf } from './seedOf';
import type { PictureRole, StripPictures, StripShot } from './useStripPictures';

const PICTURES = 'image/jpeg,image/png,image/webp,image/tiff,.tif,.tiff';

interface PicturePanelProps {
  form: StripForm;
  change: (part: Partial<StripForm>) => void;
  count: number;
  transfer: Transfer;
  pictures: StripPictures;
  rollId: string;
}

/** The pictures of a strip, with the marks on the first of them. */
export function PicturePanel({ form, change, count, transfer, pictures, rollId }: PicturePanelProps) {
  const { shots, doing, fault } = pictures;
  const [note, setNote] = useState<string | null>(null);
  const [first, ...more] = shots.filter(({ role }) => role === 'strip');
  const blank = shots.find(({ role }) => role === 'blank');

  const place = (found: FoundRow | null, said: string, known?: number): void => {
    if (found === null) {
      setNote(said);
      return;
    }
    const { light, room } = found;
    // A made-up strip knows how many there are: what is missing is too thin to be seen.
    const row = known === undefined ? found.row : extendedRow(found.row, 'first', known - found.row.count);
    const clear = clearBeside(row, found.clear);
    change({
      row: { first: row.first, last: row.last, fill: row.fill, across: row.across },
      count: row.count,
      light,
      clear,
      marked: true,
    });
    setNote(foundWords(row.count, clear !== null, known === undefined ? room : { before: 0, after: 0 }));
  };
  const take = async (file: Blob, name: string, role: PictureRole, instead: boolean): Promise<void> => {
    const shot = await pictures.take(file, name, role, instead);
    if (shot === null || role === 'blank' || !instead) return;
    if (form.marked) setNote('The marks are where they were. Find the row again if this picture lies otherwise.');
    else {
      change({ transfer: shot.transfer.id, ...(shot.transfer.id === 'gamma' ? { gamma: shot.transfer.gamma } : {}) });
      place(
        await shot.picture.find(shot.transfer),
        'No row was found by itself. Drag the two ends onto the first and the last patch.',
      );
    }
  };
  const makeUp = async (): Promise<void> => {
    const { strip, firstStops, stepStops } = practiceStrip(seedOf(rollId));
    const picture = await makeUpPicture(strip);
    if (picture === null) return;
    change({ exposures: 'bracket', firstStops, stepStops, name: 'Practice strip', marked: false });
    const shot = await pictures.take(picture, 'made-up strip', 'strip', true);
    if (shot !== null)
      place(await shot.picture.find(shot.transfer), 'No row was found by itself.', strip.stepsD.length);
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    const [file] = event.dataTransfer.files;
    if (file !== undefined) void take(file, file.name, 'strip', true);
  };

  return (
    <div onDragOver={(event) => event.preventDefault()} onDrop={drop}>
      {first === undefined ? (
        <div className="flex min-h-[300px] flex-col items-start justify-center gap-4 border border-dashed border-edge p-6">
          <p className="max-w-[58ch]">
            Lay the dry strip on an even light, with some bare light and some clear film in view, and photograph it
            squarely. Or scan it as a positive, with every correction off. JPEG, PNG, WebP and TIFF are read; nothing
            leaves this machine.
          </p>
          <FileButton
            label="Picture of the strip"
            className="act act-primary"
            accept={PICTURES}
            disabled={doing !== null}
            onFile={(file) => void take(file, file.name, 'strip', true)}
          >
            Choose a picture
          </FileButton>
          <button type="button" className="act-plain" disabled={doing !== null} onClick={() => void makeUp()}>
            Try it on a made-up strip
          </button>
          {form.marked && (
            <p className="text-[14px] text-ink2">Marks and numbers are kept; the picture is not. Choose it again.</p>
          )}
        </div>
      ) : (
        <>
          <PictureMarks shot={first} form={form} count={count} onMove={(part) => change({ ...part, marked: true })} />
          <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1 text-[14px]">
            <button
              type="button"
              className="act-plain"
              onClick={() =>
                void first.picture.find(transfer).then((found) => place(found, 'No row was found by itself.'))
              }
            >
              Find the row
            </button>
            <button
              type="button"
              className="act-plain"
              onClick={() => change({ row: { ...form.row, first: form.row.last, last: form.row.first }, marked: true })}
            >
              Turn the row round
            </button>
            {count > 1 && <RowEnds form={form} count={count} change={change} />}
            <RowSize form={form} change={change} />
            <span className="text-ink2">Drag the marks, or move them by the arrow keys; with Shift, further.</span>
          </div>
          <Shots shots={[first, ...more, ...(blank === undefined ? [] : [blank])]} drop={pictures.drop} />
          <div className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[14px]">
            <FileButton
              label="Another picture of the strip"
              className="act-plain"
              accept={PICTURES}
              onFile={(file) => void take(file, file.name, 'strip', true)}
            >
              Another strip
            </FileButton>
            <FileButton
              label="Another exposure of the same strip"
              className="act-plain"
              accept={PICTURES}
              onFile={(file) => void take(file, file.name, 'strip', false)}
            >
              Add a darker or brighter exposure
            </FileButton>
            <FileButton
              label="Picture of the bare light"
              className="act-plain"
              accept={PICTURES}
              onFile={(file) => void take(file, file.name, 'blank', false)}
            >
              Add the bare light alone
            </FileButton>
            <PositiveView shot={first} form={form} transfer={transfer} />
          </div>
        </>
      )}
      {doing !== null && (
        <p role="status" className="mt-2">
          {doing}…{' '}
          <button type="button" className="act-plain" onClick={pictures.cancel}>
            Cancel
          </button>
        </p>
      )}
      {fault !== null && (
        <p role="alert" className="mt-2 max-w-[72ch] border-l-4 border-danger pl-3 text-danger">
          {fault}
        </p>
      )}
      {note !== null && first !== undefined && (
        <p role="status" className="mt-2 text-[14px]">
          {note}
        </p>
      )}
    </div>
  );
}

function foundWords(count: number, withClear: boolean, room: { before: number; after: number }): string {
  const sentences = [`A row of ${count} was found${withClear ? '' : ', without clear film'}.`];
  const most = Math.max(room.before, room.after);
  if (most > 0)
    sentences.push(
      `At one end there is room for ${most === 1 ? 'another patch' : `${most} more`}: a frame too thin to be seen is not found, so add it.`,
    );
  return [...sentences, 'Look at every mark before you trust it.'].join(' ');
}

/** One patch more at either end. */
function RowEnds({ form, count, change }: Pick<PicturePanelProps, 'form' | 'change' | 'count'>) {
  const extend = (end: 'first' | 'last'): void => {
    const { first, last, count: more } = extendedRow({ ...form.row, count }, end, 1);
    change({ row: { ...form.row, first, last }, count: more, marked: true });
  };
  return (
    <>
      <button type="button" className="act-plain" disabled={count >= MOST_PATCHES} onClick={() => extend('first')}>
        One more before
      </button>
      <button type="button" className="act-plain" disabled={count >= MOST_PATCHES} onClick={() => extend('last')}>
        One more after
      </button>
    </>
  );
}

/** How large the patches are. */
function RowSize({ form, change }: Pick<PicturePanelProps, 'form' | 'change'>) {
  const scale = (by: number): void =>
    change({
      row: {
        ...form.row,
        fill: Math.min(1, Math.max(0.1, form.row.fill * by)),
        across: Math.min(0.25, Math.max(0.002, form.row.across * by)),
      },
      marked: true,
    });
  return (
    <>
      <button type="button" className="act-plain" onClick={() => scale(1 / 1.15)}>
        Smaller patches
      </button>
      <button type="button" className="act-plain" onClick={() => scale(1.15)}>
        Larger patches
      </button>
    </>
  );
}

/** What is open, with what the camera wrote down. */
function Shots({ shots, drop }: { shots: readonly StripShot[]; drop: (id: string) => void }) {
  return (
    <ul className="mt-2 text-[14px] text-ink2">
      {shots.map((shot, index) => (
        <li key={shot.id} className="flex flex-wrap gap-x-3">
          <span>
            {shot.role === 'blank' ? 'Bare light: ' : index > 0 ? 'Another exposure: ' : ''}
            {shot.name}, {shot.widthPx} × {shot.heightPx}, {shot.bits} bits
            {shot.exposure !== null &&
              `, ${shutterText(shot.exposure.seconds)} s${shot.exposure.fNumber === null ? '' : ` at f/${formatNumber(shot.exposure.fNumber, 1)}`}`}
          </span>
          <button type="button" className="act-plain" onClick={() => drop(shot.id)}>
            Close<span className="sr-only"> {shot.name}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
