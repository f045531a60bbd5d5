'use client';

import { useState } from 'react';
import type { EvidenceRecord, Roll } from '@/core/records/records';
import { formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { dropEvidence, restoreEvidence, useEvidenceNotes } from '@/data/evidence';
import type { RollDossier } from '@/data/queries';
import { classes } from '@/ui/classes';
import { stale } from '@/ui/stale';
import { conflictWords, pieceOrigin, pieceWords } from '@/features/words/evidenceWords';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

/** Lines shown before the rest is asked for. */
const SHOWN = 6;

/** Everything that bears on the time, line by line; each can be switched off to see what it does. */
export function EvidenceList({
  dossier,
  plan,
  rolls,
  units,
}: {
  dossier: RollDossier;
  plan: CurrentPlan;
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
  units: UnitChoice;
}) {
  const { analysis, form, state, change } = plan;
  const [all, setAll] = useState(false);
  const [taken, setTaken] = useState<EvidenceRecord | null>(null);
  const notes = useEvidenceNotes((analysis?.listed ?? []).map(({ evidence }) => evidence.id));
  if (analysis === null) return null;
  const { listed, effects, guests, estimate } = analysis;
  const lines = all ? listed : listed.slice(0, SHOWN);
  const rollId = dossier.roll.id;
  const toggle = (id: string): void =>
    change({ muted: form.muted.includes(id) ? form.muted.filter((other) => other !== id) : [...form.muted, id] });
  return (
    <section aria-labelledby="evidence">
      <h2 id="evidence">Evidence used</h2>
      {listed.length === 0 && (
        <p className="mt-2 max-w-[52ch]">
          Only the class of film and developer so far. Tests, leaflets’ times and judged runs of the same stock or
          developer appear here.
        </p>
      )}
      {guests.map(({ name, pieces, timeWithoutMin }) => (
        <p key={name} className="mt-1 max-w-[62ch] text-[14px]">
          Log of {name}: {pieces} of its runs and tests {pieces === 1 ? 'bears' : 'bear'} on this; without{' '}
          {pieces === 1 ? 'it' : 'them'} <b className="num">{formatMinutes(timeWithoutMin)}</b>.
        </p>
      ))}
      <ul className="mt-2">
        {lines.map((piece) => {
          const { id } = piece.evidence;
          const off = form.muted.includes(id);
          const effect = effects.find(({ pieceId }) => pieceId === id);
          const conflicts = estimate.conflicts.filter(({ pieceId }) => pieceId === id);
          return (
            <li
              key={id}
              className="rule-row grid grid-cols-[20px_minmax(0,1fr)] items-baseline gap-x-3 gap-y-1 sm:grid-cols-[20px_minmax(0,1fr)_auto]"
            >
              <input
                id={`piece-${id}`}
                type="checkbox"
                className="relative top-[3px] size-5"
                checked={!off}
                onChange={() => toggle(id)}
              />
              <label htmlFor={`piece-${id}`} className="min-w-0 cursor-pointer">
                <span className={classes(off && 'text-ink2 line-through')}>{pieceWords(piece)}</span>
                <span className="block text-[13px] leading-tight text-ink2">
                  {[pieceOrigin(piece, analysis.request, rolls, units), notes.get(id)].filter(Boolean).join(' · ')}
                </span>
                {conflicts.map((conflict) => (
                  <span key={conflict.measure} className="mt-1 block border-s-4 border-heat ps-2 text-[14px]">
                    {conflictWords(conflict)}
                  </span>
                ))}
              </label>
              <span className="col-start-2 text-[14px] text-ink2 sm:col-start-3 sm:text-end sm:whitespace-nowrap">
                <span {...stale(state === 'mending')}>
                  {off || effect === undefined ? 'switched off' : `without it ${formatMinutes(effect.timeWithoutMin)}`}
                </span>
                {piece.setting.rollId === rollId && piece.evidence.kind !== 'verdict' && (
                  <button
                    type="button"
                    className="act-plain ms-3"
                    onClick={() => void dropEvidence(id).then((record) => setTaken(record ?? null))}
                  >
                    Remove
                  </button>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {listed.length > SHOWN && (
        <button type="button" className="act-plain mt-1" onClick={() => setAll(!all)}>
          {all ? 'Show the nearest only' : `Show ${listed.length - SHOWN} more, from other rolls`}
        </button>
      )}
      {taken !== null && (
        <p className="mt-3" role="status">
          Removed.{' '}
          <button
            type="button"
            className="act-plain"
            onClick={() => void restoreEvidence(taken).then(() => setTaken(null))}
          >
            Bring it back
          </button>
        </p>
      )}
    </section>
  );
}
