'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { planEvening, type Evening, type EveningItem } from '@/core/evening/evening';
import { eveningFormSchema, dayOf, eveningZeroMs, readEveningForm, type EveningForm } from '@/core/evening/eveningForm';
import { eveningRoll } from '@/core/evening/eveningWish';
import { useSettings, useSettledBench, type Bench } from '@/data/queries';
import { download } from '@/ui/download';
import { useDraft } from '@/features/drafts/useDraft';
import { OtherBench } from '@/features/shell/OtherBench';
import { Empty } from '@/ui/Empty';
import { EveningPicture } from '@/ui/emptyPictures';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { useNow } from '@/ui/useNow';
import { EveningStrip } from './EveningStrip';
import { RollOrder } from './RollOrder';
import { TankFields } from './TankFields';
import { clockTime, problemWords, shiftWords } from './eveningWords';

/** Rolls, tanks and jugs of one evening on one clock. */
export function EveningView() {
  const nowMs = useNow(30_000);
  const bench = useSettledBench();
  const { form, change } = useDraft<EveningForm>(
    'evening',
    eveningFormSchema,
    (kept) => kept ?? { from: '19:00', tanks: 1, reel: 'plastic', waterH: 2, order: [] },
  );
  if (bench === undefined || form === null) return <p aria-busy="true">Opening the evening.</p>;
  // An hour is given for today, or for the evening that is still going on.
  const dated = (part: Partial<EveningForm>): void =>
    change({ day: 'from' in part ? dayOf(nowMs) : dayOf(eveningZeroMs(form, nowMs)), ...part });
  return <EveningPlan bench={bench} form={form} change={dated} nowMs={nowMs} />;
}

interface EveningPlanProps {
  bench: Bench;
  form: EveningForm;
  change: (part: Partial<EveningForm>) => void;
  nowMs: number;
}

function EveningPlan({ bench, form, change, nowMs }: EveningPlanProps) {
  const units = useSettings();
  const zeroMs = eveningZeroMs(form, nowMs);
  const nowMin = (nowMs - zeroMs) / 60_000;
  const clock = (minutes: number): string => clockTime(zeroMs, minutes);
  const ready = bench.dossiers.flatMap((dossier) => eveningRoll(dossier, zeroMs) ?? []);
  const chosen = form.order.flatMap((id) => ready.find((roll) => roll.id === id) ?? []);
  const read = readEveningForm(form, zeroMs);
  const errors = read.ok ? {} : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const evening = read.ok && chosen.length > 0 ? planEvening({ ...read.value, rolls: chosen }) : null;
  if (ready.length === 0)
    return (
      <>
        <h1>The evening</h1>
        <Empty
          picture={<EveningPicture />}
          beside={<OtherBench />}
          sentence="An evening is laid out from rolls whose time is chosen. Choose a time for one, and it waits here."
          action={
            <Link href="/" className="act act-primary" data-next-step>
              Go to the bench
            </Link>
          }
        />
      </>
    );
  return (
    <>
      <h1>{evening === null ? 'Which rolls tonight?' : `The last film hangs at ${clock(evening.endsMin)}.`}</h1>
      <div className="mt-4 grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,420px)]">
        <div className="no-print grid max-w-[680px] content-start gap-4 sm:grid-cols-2">
          <div className="flex items-end gap-2">
            <Field id="from" label="Start at" error={errors.from}>
              <input
                id="from"
                className="box num aria-invalid:border-2 aria-invalid:border-danger"
                inputMode="numeric"
                autoComplete="off"
                aria-invalid={errors.from === undefined ? undefined : true}
                value={form.from}
                onChange={(event) => change({ from: event.target.value })}
              />
            </Field>
            <button type="button" className="act shrink-0" onClick={() => change({ from: format(nowMs, 'HH:mm') })}>
              From now
            </button>
          </div>
          <TankFields form={form} change={change} error={errors.tanks} />
          <Quantity
            id="waterH"
            label="Let water stand"
            kind="hours"
            units={units}
            value={form.waterH}
            onChange={(waterH) => change({ waterH })}
            error={errors.waterH}
          />
        </div>
        <RollOrder ready={ready} order={form.order} onOrder={(order) => change({ order })} />
      </div>
      {evening !== null && (
        <section aria-labelledby="strip" className="mt-6">
          <h2 id="strip" className="sr-only">
            The evening, drawn to scale
          </h2>
          <EveningStrip
            evening={evening}
            clock={clock}
            nowMin={nowMin}
            lanes={[
              { lane: 'kitchen', name: 'Kitchen' },
              ...chosen.map(({ id, label }) => ({ lane: `roll:${id}` as const, name: label })),
            ]}
          />
          <Moved evening={evening} />
          <Times
            evening={evening}
            clock={clock}
            names={new Map(chosen.map(({ id, label }) => [`roll:${id}`, label]))}
          />
          <button
            type="button"
            className="act mt-4"
            onClick={() => {
              const ahead = evening.items.filter((item) => item.ahead);
              void import('./calendar').then(({ calendarOf }) =>
                download(calendarOf(ahead, zeroMs), 'aetas-evening.ics', 'text/calendar'),
              );
            }}
          >
            Add to calendar
          </button>
        </section>
      )}
    </>
  );
}

/** What the plan moved by itself, and what it could not mend. */
function Moved({ evening: { shifts, problems } }: { evening: Evening }) {
  if (shifts.length + problems.length === 0) return null;
  return (
    <ul className="mt-4 max-w-[78ch] space-y-1" aria-label="What the plan changed">
      {problems.map((problem) => (
        <li key={problem.what} className="border-s-4 border-danger ps-2 text-danger">
          {problemWords(problem)}
        </li>
      ))}
      {shifts.map((shift) => (
        <li key={`${shift.what} ${shift.why}`} className="border-s-4 border-edge ps-2">
          {shiftWords(shift)}
        </li>
      ))}
    </ul>
  );
}

/** The same as a list of times, for reading and for print. */
function Times({
  evening,
  clock,
  names,
}: {
  evening: Evening;
  clock: (minutes: number) => string;
  names: ReadonlyMap<EveningItem['lane'], string>;
}) {
  return (
    <table className="mt-5 w-full measure text-start">
      <caption className="text-start font-[620]">Minute by minute</caption>
      <tbody>
        {evening.items.map((item) => (
          <tr key={item.id} className="border-t border-hair">
            <td className="num w-[76px] py-1">{clock(item.startMin)}</td>
            <td className="py-1">{item.what}</td>
            <td className="py-1 text-ink2">{names.get(item.lane) ?? ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
