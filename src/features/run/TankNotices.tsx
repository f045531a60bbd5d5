'use client';

import type { BathJump } from '@/core/run/tankView';
import { formatDuration } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { dropDraft } from '@/data/drafts';
import { useDraftText } from '@/features/drafts/useDraft';

interface TankNoticesProps {
  unstored: string | null;
  /** By how much the computer's clock was set back, ms, below 0; 0 while it was not. */
  jumpMs: number;
  /** Time that was counted because the computer slept or its clock was set ahead, ms. */
  sleptMs: number;
  /** Signals that passed while the page slept; empty as a rule. */
  missed: string;
  leads: boolean | null;
  takeOver: () => void;
  jump: BathJump | null;
  units: UnitChoice;
  /** The clock was set by so much: the time that ran is kept. */
  onSet: (ms: number) => void;
  /** The computer slept: the time counts, as it does already. */
  onSlept: () => void;
  /** Pours the next bath in although it is far from this one, for a reason. */
  onAnyway: (why: string) => void;
}

const row = 'flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair px-4 py-2 sm:px-10';

/** What the tank has to say besides the run: storage, clocks, tabs, sleep, and baths that are far apart. */
export function TankNotices({
  unstored,
  jumpMs,
  sleptMs,
  missed,
  leads,
  takeOver,
  jump,
  units,
  onSet,
  onSlept,
  onAnyway,
}: TankNoticesProps) {
  const degrees = (celsius: number): string => formatQuantity(celsius, 'temperature', units);
  return (
    <>
      {unstored !== null && (
        <p role="alert" className="border-b-2 border-danger px-4 py-2 text-danger sm:px-10">
          <b>The clock goes on in this tab only.</b> {unstored} Leave this tab open: it tries again every few seconds.
        </p>
      )}
      {sleptMs > 0 && (
        <div role="alert" className={row}>
          <span className="max-w-[70ch]">
            This computer was asleep for {lengthOf(sleptMs)}, or its clock was set ahead by as much. The time is
            counted.
          </span>
          <button type="button" className="act min-h-11" onClick={onSlept}>
            It was asleep
          </button>
          <button type="button" className="act min-h-11" onClick={() => onSet(sleptMs)}>
            The clock was set: do not count it
          </button>
        </div>
      )}
      {jumpMs !== 0 && (
        <div role="alert" className={row}>
          <span className="max-w-[70ch]">
            This computer’s clock is {lengthOf(jumpMs)} behind the time that ran here: it was set back.
          </span>
          <button type="button" className="act min-h-11" onClick={() => onSet(jumpMs)}>
            Keep the time that ran
          </button>
        </div>
      )}
      {missed !== '' && (
        <p role="alert" className={row}>
          {missed}
        </p>
      )}
      {leads === false && (
        <p role="status" className={row}>
          Another tab controls this run; this one follows it.
          <button type="button" className="act" onClick={takeOver}>
            Control here
          </button>
        </p>
      )}
      {jump !== null && jump.level === 'warn' && (
        <p role="alert" className={row}>
          The next bath is at {degrees(jump.toC)}, this one at {degrees(jump.fromC)}: bring it nearer, or the gelatin
          may wrinkle.
        </p>
      )}
      {jump !== null && jump.level === 'stop' && (
        <FarApart key={jump.toC} from={degrees(jump.fromC)} to={degrees(jump.toC)} onAnyway={onAnyway} />
      )}
    </>
  );
}

/** A length of time as it reads. */
const lengthOf = (ms: number): string => formatDuration(Math.abs(Math.round(ms / 1000)));

/** Key of the draft of a reason for going on all the same. */
const WHY_DRAFT = 'far-apart';

/** Five degrees between two baths stop the hand, unless there is a reason. */
function FarApart({ from, to, onAnyway }: { from: string; to: string; onAnyway: (why: string) => void }) {
  const [why, setWhy] = useDraftText(WHY_DRAFT);
  return (
    <form
      role="alert"
      className={`${row} border-b-2 border-danger`}
      onSubmit={(event) => {
        event.preventDefault();
        if (why.trim() === '') return;
        onAnyway(`Poured in at ${to} after ${from}: ${why.trim()}`);
        void dropDraft(WHY_DRAFT).catch(() => undefined);
      }}
    >
      <span className="max-w-[60ch] text-danger">
        <b>Wait.</b> The next bath is at {to}, this one at {from}. The gelatin may crack into a net. Bring it within 3
        °C and read it again.
      </span>
      <label className="flex items-center gap-2">
        Or go on because
        <input className="box w-[220px]" maxLength={300} value={why} onChange={(event) => setWhy(event.target.value)} />
      </label>
      <button type="submit" className="act min-h-11" disabled={why.trim() === ''}>
        Pour it in anyway
      </button>
    </form>
  );
}
