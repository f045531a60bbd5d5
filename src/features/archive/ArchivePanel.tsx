'use client';

import Link from 'next/link';
import { useState } from 'react';
import { emptyArchive, readArchive, withWords, wordsOf } from '@/core/archive/archive';
import { imageOf } from '@/core/outcome/grades';
import { useFramePictures, useSettings, type RollDossier } from '@/data/queries';
import { usePrintsOfRoll } from '@/data/prints';
import { archivePart } from '@/data/typedParts';
import { useTypedPart } from '@/features/drafts/useTypedPart';
import { describedBy, Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { FramePicture } from './FramePicture';
import { Sleeve } from './Sleeve';

/** Where a roll that has pictures is kept: what it was cut into, and what is on its frames. */
export function ArchivePanel({ dossier: { roll, verdict } }: { dossier: RollDossier }) {
  const units = useSettings();
  const { form, change, errors } = useTypedPart(archivePart, roll.id, roll.archive ?? emptyArchive);
  const [chosen, setChosen] = useState<number | null>(null);
  const pictures = useFramePictures(roll.id);
  const prints = usePrintsOfRoll(roll.id) ?? [];
  if (verdict === undefined || imageOf(verdict.defects) !== 'there') return null;
  const read = readArchive(form);
  const number = (id: 'frames' | 'perStrip' | 'cameOut', label: string) => (
    <Quantity
      id={id}
      label={label}
      kind="count"
      units={units}
      optional={id === 'cameOut'}
      value={form[id] ?? ''}
      onChange={(value) => change({ ...form, [id]: value })}
      error={errors[id]}
    />
  );
  return (
    <section aria-labelledby="kept" className="mt-6 mb-4 measure">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h2 id="kept">Where it is kept</h2>
        <Link href={`/rolls/${encodeURIComponent(roll.id)}/sleeve`} className="act-plain">
          The page for its sleeve
        </Link>
        <Link href={`/prints/new?roll=${encodeURIComponent(roll.id)}&sheet=contact`} className="act-plain">
          Contact sheet
        </Link>
        <Link href={`/prints/new?roll=${encodeURIComponent(roll.id)}`} className="act-plain">
          Print from it
        </Link>
      </div>
      {prints.length > 0 && (
        <ul className="mt-1" aria-label="Prints of this roll">
          {prints.map(({ id, name, final }) => (
            <li key={id}>
              Printed:{' '}
              <Link href={`/prints/${encodeURIComponent(id)}`} className="act-plain">
                {name}
              </Link>
              {final && <span className="ms-3 text-[13px] text-chem">the one that hangs</span>}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 grid grid-cols-3 gap-4 sm:grid-cols-[minmax(0,1fr)_110px_120px_120px]">
        <div className="max-sm:col-span-3">
          <Field id="place" label="Place" hint="as binder 2, page 14" error={errors.place}>
            <input
              id="place"
              className="box"
              autoComplete="off"
              aria-describedby={describedBy('place', 'as binder 2, page 14', errors.place)}
              value={form.place}
              onChange={(event) => change({ ...form, place: event.target.value })}
            />
          </Field>
        </div>
        {number('frames', 'Frames')}
        {number('perStrip', 'On a strip')}
        {number('cameOut', 'Came out')}
      </div>
      {read.ok && (
        <div className="mt-4">
          {chosen === null || chosen > read.value.frames ? (
            <p className="mb-3 text-[14px] text-ink2">
              Touch a frame to write who or what is on it. A search finds it.
            </p>
          ) : (
            <div className="mb-3 max-w-[560px]">
              <label htmlFor="frameWords" className="font-[620]">
                On frame {chosen}
              </label>
              <input
                key={chosen}
                id="frameWords"
                className="box mt-1"
                autoComplete="off"
                autoFocus
                maxLength={500}
                placeholder="people, place, day"
                value={wordsOf(form, chosen)}
                onChange={(event) => change(withWords(form, chosen, event.target.value))}
                onKeyDown={(event) => {
                  if (event.key === 'Enter' && chosen < read.value.frames) setChosen(chosen + 1);
                }}
              />
            </div>
          )}
          {chosen !== null && chosen <= read.value.frames && (
            <FramePicture key={`picture-${chosen}`} rollId={roll.id} frame={chosen} photo={pictures.get(chosen)} />
          )}
          <Sleeve archive={read.value} chosen={chosen} onChoose={setChosen} pictures={pictures} />
        </div>
      )}
    </section>
  );
}
