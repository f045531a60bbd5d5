'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { verdictWords } from '@/core/outcome/verdictWords';
import { developSeconds } from '@/core/plan/developSeconds';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { liquids } from '@/core/schedule/baths';
import { runProgress } from '@/core/run/runProgress';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatNumber, formatQuantity } from '@/core/units/quantity';
import { giftOfNote } from '@/core/formats/gift';
import { labNote, readingWords } from '@/core/formats/labNote';
import { GiveButton } from '@/features/offline/GiveButton';
import type { Run } from '@/core/records/records';
import { usePhotos, useRollNames, useRun, useRunRecord, useSettings, type RunRecordData } from '@/data/queries';
import { usePrintsOfRoll } from '@/data/prints';
import { NotHere } from '@/features/shell/NotHere';
import { classes } from '@/ui/classes';
import { useTitle } from '@/ui/useTitle';

/** A difference from the plan that is marked, s. Source: our choice. */
const MARKED_S = 10;

/** One run to be read again: what was planned, what happened, bath by bath, and how it came out. */
export function RunRecord({ runId }: { runId: string }) {
  const found = useRunRecord(runId);
  if (found === undefined) return <p aria-busy="true">Opening the run.</p>;
  if (found === null) return <NotHere table="runs" id={runId} what="This run" />;
  return <Record {...found} />;
}

function Record({ run, roll, stock, brew, verdict }: RunRecordData) {
  const units = useSettings();
  const photos = usePhotos(roll.id);
  const prints = usePrintsOfRoll(roll.id);
  const shared = useSharedTank(run);
  useTitle(`Run: ${roll.label}`);
  const { setup, pinned, steps } = run;
  const progress = runProgress(steps, run.events);
  const movement = run.movementName ?? (setup === null ? 'not noted' : agitationSchools[setup.agitationId].name);
  const facts: [string, string][] = [
    ['Film', stock.name],
    ['Developer', run.developerName],
    ['Temperature', formatQuantity(run.temperatureC, 'temperature', units)],
    ['Agitation', movement],
    ...(run.volumeMl === undefined
      ? []
      : [['Volume', formatQuantity(run.volumeMl, 'volume', units)] as [string, string]]),
    ...(shared === '' ? [] : [['In the tank', `with ${shared}`] as [string, string]]),
    ...(setup === null || setup.bromideGPerL === 0
      ? []
      : [['Bromide', `${formatNumber(setup.bromideGPerL, 1)} g/l`] as [string, string]]),
    [
      'Jug',
      brew === undefined
        ? 'not kept on the bench'
        : `${brew.name} · ${brew.code}, mixed ${format(brew.mixedMs, 'd MMM HH:mm')}${setup === null ? '' : `, ${formatNumber(setup.wear.ageH, 1)} h old, ${formatNumber(setup.wear.films, 1)} films before`}`,
    ],
    [
      'Time',
      `${formatDuration(developSeconds(pinned))}${pinned.own === true ? ', my own' : ''}; 80 % likely between ${formatMinutes(pinned.lowMin)} and ${formatMinutes(pinned.highMin)}`,
    ],
  ];
  return (
    <article>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1>{roll.label}</h1>
        <p className="text-ink2">
          {progress.startedMs === null ? 'not begun' : format(progress.startedMs, 'd MMM yyyy, HH:mm')}
        </p>
        <span className="no-print ms-auto flex gap-4">
          <Link href={`/rolls/${encodeURIComponent(roll.id)}`} className="act-plain">
            The roll
          </Link>
          <button
            type="button"
            className="act-plain"
            onClick={() =>
              void import('./saveLabNote').then(({ saveLabNote }) =>
                saveLabNote({ run, roll, stock, brew, verdict, prints: prints ?? [] }, photos ?? []),
              )
            }
          >
            Save as a lab note
          </button>
          <GiveButton
            gift={giftOfNote(
              roll.label,
              labNote({ run, roll, stock, brew, verdict, prints: prints ?? [], pictures: [] }, (atMs) =>
                format(atMs, 'd MMM yyyy, HH:mm'),
              ),
            )}
            name={roll.label}
            className="act-plain"
          />
          <button type="button" className="act-plain" onClick={() => window.print()}>
            Print it
          </button>
        </span>
      </div>
      {verdict !== undefined && (
        <p className="mt-3 max-w-[70ch] text-[17px]">
          {verdictWords(verdict)}.
          {verdict.note !== '' && <span className="block text-[15px] text-ink2">{verdict.note}</span>}
        </p>
      )}
      <div className="mt-5 grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
        <dl>
          {facts.map(([name, value]) => (
            <div key={name} className="rule-row flex gap-4 py-1.5">
              <dt className="w-[108px] shrink-0 text-ink2">{name}</dt>
              <dd className="min-w-0 wrap-anywhere">{value}</dd>
            </div>
          ))}
        </dl>
        <div>
          <table className="w-full border-collapse">
            <caption className="sr-only">Baths as planned and as they went</caption>
            <thead>
              <tr className="text-start text-[13px] text-ink2">
                <th scope="col" className="py-1 font-normal">
                  Bath
                </th>
                <th scope="col" className="py-1 text-end font-normal">
                  Planned
                </th>
                <th scope="col" className="py-1 text-end font-normal">
                  It took
                </th>
              </tr>
            </thead>
            <tbody>
              {steps.map((step, index) => {
                const tookS = progress.tookS[index] ?? null;
                const off = tookS !== null && Math.abs(tookS - step.durationS) > MARKED_S && step.untilClear !== true;
                return (
                  <tr key={index} className="border-t border-hair align-baseline">
                    <th scope="row" className="py-1.5 text-start font-normal">
                      {step.name}
                      <span className="block text-[13px] leading-tight text-ink2">
                        {step.liquid !== undefined && `${liquids[step.liquid]}${step.cues.length > 0 ? '; ' : ''}`}
                        {step.cues.length > 0 && movementWords(step.cues)}
                      </span>
                    </th>
                    <td className="num py-1.5 ps-4 text-end">
                      {step.untilClear === true ? 'until clear' : formatDuration(step.durationS)}
                    </td>
                    <td className={classes('num py-1.5 ps-4 text-end', off && 'text-heat')}>
                      {tookS === null ? '–' : formatDuration(tookS)}
                      {off && <span className="sr-only">, not as planned</span>}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {progress.readings.length > 0 && (
            <ul aria-label="Thermometer" className="mt-4 flex flex-wrap gap-x-4 text-[14px]">
              {progress.readings.map((reading) => (
                <li key={reading.atMs}>{readingWords(reading, run)}</li>
              ))}
            </ul>
          )}
          {progress.notes.length > 0 && (
            <ul aria-label="Notes" className="mt-4 space-y-1 text-[14px]">
              {progress.notes.map(({ text, atMs }) => (
                <li key={atMs}>
                  {format(atMs, 'HH:mm')} {text}
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
    </article>
  );
}

/** Other rolls of the same tank, by name; empty where it was alone. */
function useSharedTank(run: Run): string {
  const led = useRun(run.tankRunId ?? run.id)?.run ?? run;
  const ids = [led.rollId, ...(led.alongside ?? []).map(({ rollId }) => rollId)].filter((id) => id !== run.rollId);
  return useRollNames(ids)
    .map(({ label }) => label)
    .join(', ');
}

/** How often and how the tank was to be moved. */
function movementWords(cues: readonly { startS: number; endS: number; turns: number | null }[]): string {
  const turns = cues.map((cue) => cue.turns);
  if (turns.every((n) => n !== null))
    return `${cues.length === 1 ? '' : `${cues.length} times, `}${[...new Set(turns)].join(' and ')} turns`;
  return cues.length === 1 ? 'moved once' : `moved ${cues.length} times`;
}
