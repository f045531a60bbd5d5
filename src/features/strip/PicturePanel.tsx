'use client';

import { useState, type DragEvent } from 'react';
import { practiceStrip } from '@/core/kit/practiceStrip';
import type { FoundRow } from '@/core/densitometry/findRow';
import type { Transfer } from '@/core/densitometry/transfer';
import { clearBeside, extendedRow, turnedRow } from '@/core/densitometry/patch';
import { MOST_PATCHES, type StripForm } from '@/core/evidence/stripForm';
import { formatNumber } from '@/core/units/quantity';
import { shutterText } from '@/core/units/shutter';
import { useGivenFile } from '@/features/offline/useGivenFile';
import { FileButton } from '@/features/files/FileButton';
import { makeUpPicture } from '@/workers/strip';
import { PictureMarks } from './PictureMarks';
import { PositiveView } from './PositiveView';
import { seedOf } from './seedOf';
import type { PictureRole, StripPictures, StripShot } from './useStripPictures';

/** What files hold pictures that are read. */
export const PICTURES = 'image/jpeg,image/png,image/webp,image/tiff,.tif,.tiff';

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
    const { opaque, room } = found;
    // A made-up strip knows how many there are: what is missing is too thin to be seen.
    const row = known === undefined ? found.row : extendedRow(found.row, 'first', known - found.row.count);
    const clear = clearBeside(row, found.clear);
    change({
      row: {
        first: row.first,
        last: row.last,
        fill: row.fill,
        across: row.across,
        ...(row.perspective === undefined ? {} : { perspective: row.perspective }),
      },
      count: row.count,
      light: [],
      opaque,
      clear,
      // Thinner frames may lie where nothing was seen: then the numbering is asked for.
      numbered: known !== undefined || (room.before === 0 && room.after === 0),
      marked: true,
    });
    setNote(foundWords(row.count, clear !== null, known === undefined ? room : { before: 0, after: 0 }));
  };
  const take = async (file: Blob, name: string, role: PictureRole, instead: boolean): Promise<void> => {
    const strip = role === 'strip' && instead;
    const taken = await pictures.take(file, name, role, instead, strip && !form.marked);
    if (taken === null || !strip) return;
    if (form.marked) setNote('The marks are where they were. Find the row again if this picture lies otherwise.');
    else {
      const { shot, row } = taken;
      change({ transfer: shot.transfer.id, ...(shot.transfer.id === 'gamma' ? { gamma: shot.transfer.gamma } : {}) });
      place(row, 'No row was found by itself. Drag the two ends onto the first and the last patch.');
    }
  };
  const makeUp = async (): Promise<void> => {
    const { strip, firstStops, stepStops } = practiceStrip(seedOf(rollId));
    const picture = await makeUpPicture(strip);
    if (picture === null) return;
    change({ exposures: 'bracket', firstStops, stepStops, name: 'Practice strip', marked: false });
    const taken = await pictures.take(picture, 'made-up strip', 'strip', true, true);
    if (taken !== null) place(taken.row, 'No row was found by itself.', strip.stepsD.length);
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
          <GivenPicture take={(file) => void take(file, file.name, 'strip', true)} />
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
              onClick={() => change({ row: turnedRow(form.row), marked: true })}
            >
              Turn the row round
            </button>
            {count > 1 && <RowEnds form={form} count={count} change={change} />}
            <RowSize form={form} change={change} />
            <span className="text-ink2">Drag the marks, or move them by the arrow keys; with Shift, further.</span>
          </div>
          {!form.numbered && form.exposures !== 'unknown' && form.exposures !== 'wedge' && (
            <WhichExposure form={form} count={count} change={change} />
          )}
          <Shots
            expose={pictures.expose}
            shots={[first, ...more, ...(blank === undefined ? [] : [blank])]}
            drop={pictures.drop}
          />
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
        <p role="alert" className="mt-2 max-w-[72ch] border-s-4 border-danger ps-3 text-danger">
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
    const { count: more, ...row } = extendedRow({ ...form.row, count }, end, 1);
    change({ row, count: more, marked: true });
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

/** Frames that are too thin to be seen shift the numbering: which exposure the first patch had is asked before an index is said. */
function WhichExposure({ form, count, change }: Pick<PicturePanelProps, 'form' | 'count' | 'change'>) {
  const stops = (by: number): string => {
    const text = formatNumber(Math.abs(by), Number.isInteger(by) ? 0 : 1);
    return by === 0 ? '0' : by > 0 ? `+${text}` : `−${text}`;
  };
  const [first, step] = [Number(form.firstStops), Number(form.stepStops)];
  const bracket = form.exposures === 'bracket' && Number.isFinite(first) && Number.isFinite(step);
  return (
    <div role="group" aria-label="Which exposure the first patch had" className="mt-3 border-s-4 border-heat ps-3">
      <p className="max-w-[66ch]">
        Which exposure had the first of the {count} patches? Thinner frames may lie where the film looks clear.
      </p>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {(bracket ? [0, 1, 2, 3] : [0]).map((missed) => (
          <button
            key={missed}
            type="button"
            className="act"
            onClick={() =>
              change({ numbered: true, ...(bracket ? { firstStops: first + missed * step } : {}), marked: true })
            }
          >
            {bracket ? `${stops(first + missed * step)} stops` : 'The first one typed'}
          </button>
        ))}
      </div>
    </div>
  );
}

/** Stops that a person may state between two pictures. */
const STATED_STOPS = [-4, -3, -2, -1, 1, 2, 3, 4];

/** What is open, with what the camera wrote down or a person says. */
function Shots({
  shots,
  drop,
  expose,
}: {
  shots: readonly StripShot[];
  drop: (id: string) => void;
  expose: StripPictures['expose'];
}) {
  return (
    <ul className="mt-2 text-[14px] text-ink2">
      {shots.map((shot, index) => (
        <li key={shot.id} className="flex flex-wrap items-baseline gap-x-3">
          <span>
            {shot.role === 'blank' ? 'Bare light: ' : index > 0 ? 'Another exposure: ' : ''}
            {shot.name}, {shot.widthPx} × {shot.heightPx}, {shot.bits} bits
            {shot.exposure !== null &&
              shot.stops === undefined &&
              `, ${shutterText(shot.exposure.seconds)} s${shot.exposure.fNumber === null ? '' : ` at f/${formatNumber(shot.exposure.fNumber, 1)}`}`}
          </span>
          {shot.role === 'strip' && index > 0 && (shot.exposure === null || shot.stops !== undefined) && (
            <label className="flex items-baseline gap-2">
              against the first
              <select
                className="box w-auto py-1"
                value={shot.stops ?? ''}
                onChange={({ target }) => expose(shot.id, target.value === '' ? null : Number(target.value))}
              >
                <option value="">nobody knows</option>
                {STATED_STOPS.map((stops) => (
                  <option key={stops} value={stops}>
                    {Math.abs(stops)} {Math.abs(stops) === 1 ? 'stop' : 'stops'} {stops > 0 ? 'brighter' : 'darker'}
                  </option>
                ))}
              </select>
            </label>
          )}
          <button type="button" className="act-plain" onClick={() => drop(shot.id)}>
            Close<span className="sr-only"> {shot.name}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** A picture that another program shared to Aetas. */
function GivenPicture({ take }: { take: (file: File) => void }) {
  const { file, drop } = useGivenFile();
  if (file == null || !file.type.startsWith('image/')) return null;
  return (
    <button
      type="button"
      className="act"
      onClick={() => {
        take(file);
        drop();
      }}
    >
      Use “{file.name}”, which was shared
    </button>
  );
}
