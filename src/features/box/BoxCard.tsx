'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { Roll } from '@/core/records/records';
import { newBox, putInBox, useBox, useBoxes } from '@/data/boxes';
import { Choice } from '@/ui/Choice';
import { outcomeWords } from './boxWords';

const ALONE = '';

/** Which box a roll came in, and what its sisters showed. */
export function BoxCard({ roll }: { roll: Roll }) {
  const boxes = useBoxes();
  const [name, setName] = useState('');
  if (boxes === undefined) return <p aria-busy="true">Opening the boxes.</p>;
  const boxId = roll.boxId ?? ALONE;
  return (
    <div className="max-w-[560px] space-y-4">
      <p className="max-w-[62ch] text-[14px] text-ink2">
        Rolls that lay together in one attic, tin or brick aged alike. Once one of them is judged, the others’ times
        move with it.
      </p>
      {boxes.length > 0 && (
        <Choice
          id="box"
          label="It came in"
          value={boxId}
          options={[
            { value: ALONE, name: 'No box: it came alone' },
            ...boxes.map(({ id, name }) => ({ value: id, name })),
          ]}
          onChange={(value) => void putInBox(roll.id, value === ALONE ? null : value)}
        />
      )}
      {boxId === ALONE ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (name.trim() !== '') void newBox(roll.id, name).then(() => setName(''));
          }}
        >
          <div className="min-w-0 flex-1">
            <label htmlFor="newBox" className="font-[620]">
              Name of a new box
            </label>
            <input
              id="newBox"
              className="box mt-1"
              autoComplete="off"
              maxLength={120}
              placeholder="where it came from, and when"
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </div>
          <button type="submit" className="act">
            Make a box
          </button>
        </form>
      ) : (
        <Sisters roll={roll} boxId={boxId} />
      )}
    </div>
  );
}

function Sisters({ roll, boxId }: { roll: Roll; boxId: string }) {
  const found = useBox(boxId);
  if (found == null) return null;
  const sisters = found.dossiers.filter((dossier) => dossier.roll.id !== roll.id);
  return (
    <div>
      {sisters.length === 0 ? (
        <p className="text-ink2">It is alone in it so far.</p>
      ) : (
        <ul aria-label="Its sisters">
          {sisters.map((dossier) => (
            <li key={dossier.roll.id} className="rule-row flex flex-wrap gap-x-4">
              <Link href={`/rolls/${encodeURIComponent(dossier.roll.id)}`} className="act-plain">
                {dossier.roll.label}
              </Link>
              <span className="text-ink2">{outcomeWords(dossier)}</span>
            </li>
          ))}
        </ul>
      )}
      <Link href={`/boxes/${encodeURIComponent(boxId)}`} className="act mt-3 inline-flex">
        Open the box
      </Link>
    </div>
  );
}
