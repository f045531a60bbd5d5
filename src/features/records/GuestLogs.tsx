'use client';

import { useState } from 'react';
import { guestWords } from '@/core/learning/guestWords';
import type { GuestLog } from '@/core/evidence/guestLogSchema';
import type { Problem } from '@/core/schema/result';
import { keepGuest, removeGuest, useGuests } from '@/data/guests';
import { useStocks } from '@/data/queries';
import { FileButton } from '@/features/files/FileButton';
import { Refused } from '@/features/files/Refused';
import { coreWorker } from '@/workers/core';
import { Field, describedBy } from '@/ui/Field';

/** The name that a log has until somebody gives it one; it is never stored. */
const UNNAMED = 'somebody';

type Looked =
  | { kind: 'nothing' }
  | { kind: 'reading'; name: string }
  | { kind: 'refused'; name: string; problems: Problem[] }
  | { kind: 'failed'; words: string }
  | { kind: 'seen'; log: GuestLog };

/** Other people’s logs: looked at first, then named and counted, each with its way off again. */
export function GuestLogs({ busy }: { busy: boolean }) {
  const guests = useGuests();
  const stocks = useStocks() ?? [];
  const [looked, setLooked] = useState<Looked>({ kind: 'nothing' });
  const [name, setName] = useState('');
  const [asked, setAsked] = useState(false);
  const look = (file: File): void => {
    setLooked({ kind: 'reading', name: file.name });
    setAsked(false);
    coreWorker()
      .readGuestLog(file, UNNAMED, Date.now())
      .then(
        (read) =>
          setLooked(
            read.ok ? { kind: 'seen', log: read.value } : { kind: 'refused', name: file.name, problems: read.problems },
          ),
        (error: unknown) =>
          setLooked({ kind: 'failed', words: error instanceof Error ? error.message : 'The file could not be read.' }),
      );
  };
  const missing = name.trim() === '' ? 'Whose log it is: give a name.' : undefined;
  const take = (log: GuestLog): void => {
    setAsked(true);
    if (missing !== undefined) return;
    keepGuest({ ...log, name: name.trim() }).then(
      () => {
        setLooked({ kind: 'nothing' });
        setName('');
        setAsked(false);
      },
      (error: unknown) =>
        setLooked({
          kind: 'failed',
          words: error instanceof Error ? error.message : 'It was not stored. Try once more.',
        }),
    );
  };
  return (
    <>
      {guests !== undefined && guests.length > 0 && (
        <ul className="mb-3 border-b border-hair" aria-label="Logs that count">
          {guests.map((guest) => (
            <li key={guest.id} className="rule-row flex flex-wrap items-baseline justify-between gap-x-5 gap-y-1">
              <span className="min-w-0">
                <b>{guest.name}</b> <span className="text-[14px] text-ink2">{guestWords(guest, stocks)}</span>
              </span>
              <button type="button" className="act-plain text-[14px]" onClick={() => void removeGuest(guest)}>
                Take it off<span className="sr-only">: log of {guest.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <FileButton
        label="File of somebody’s bench"
        className="act"
        accept=".zip,.json,application/zip,application/json"
        disabled={busy || looked.kind === 'reading'}
        onFile={look}
      >
        Look at a file
      </FileButton>
      {looked.kind === 'reading' && <p role="status">Reading “{looked.name}”.</p>}
      {looked.kind === 'refused' && <Refused name={looked.name} problems={looked.problems} />}
      {looked.kind === 'failed' && (
        <p role="alert" className="mt-2 border-s-4 border-danger ps-3 text-danger">
          {looked.words}
        </p>
      )}
      {looked.kind === 'seen' && (
        <div className="mt-3 max-w-[560px] border-s-4 border-chem ps-4" data-testid="guest-seen">
          <p>{guestWords(looked.log, stocks)}</p>
          <Field id="guest-name" label="Whose log it is" error={asked ? missing : undefined}>
            <input
              id="guest-name"
              className="box mt-1"
              autoComplete="off"
              maxLength={80}
              aria-invalid={asked && missing !== undefined ? true : undefined}
              aria-describedby={describedBy('guest-name', undefined, asked ? missing : undefined)}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </Field>
          <p className="mt-3 flex flex-wrap gap-3">
            <button type="button" className="act act-primary" onClick={() => take(looked.log)}>
              Let it count
            </button>
            <button type="button" className="act-plain" onClick={() => setLooked({ kind: 'nothing' })}>
              Leave it
            </button>
          </p>
        </div>
      )}
    </>
  );
}
