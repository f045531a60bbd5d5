'use client';

import { format } from 'date-fns';
import { ArrowDown, ArrowUp } from 'lucide-react';
import Link from 'next/link';
import { useDeferredValue, useMemo, useState, type CSSProperties } from 'react';
import { contrastGrades, fogGrades, images } from '@/core/outcome/grades';
import { MOST_COMPARED } from '@/core/learning/compareRuns';
import { developSeconds } from '@/core/plan/developSeconds';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import type { RunLine } from '@/data/lines';
import { isInside } from '@/core/outcome/neededTime';
import { logColumnIds, type LogColumnId } from '@/core/records/logColumns';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { followLog, useSettings } from '@/data/queries';
import { changeSettings } from '@/data/settings';
import { download } from '@/ui/download';
import { matching, useLines } from '@/data/useLines';
import { lowerFirst } from '@/core/units/lowerFirst';
import { classes } from '@/ui/classes';
import { Choice } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';
import { OtherBench } from '@/features/shell/OtherBench';
import { FoundPrints } from '@/features/print/FoundPrints';
import { Empty } from '@/ui/Empty';
import { LogPicture } from '@/ui/emptyPictures';
import { VirtualRows } from '@/ui/VirtualRows';

/** Columns of the log: how two lines compare by each, and how wide it is. */
const columns = {
  when: { name: 'When', width: '92px', compare: (a: RunLine, b: RunLine) => a.startedMs - b.startedMs },
  roll: { name: 'Roll', width: 'minmax(0,1.2fr)', compare: (a: RunLine, b: RunLine) => a.roll.localeCompare(b.roll) },
  developer: {
    name: 'Developer',
    width: 'minmax(0,1.3fr)',
    compare: (a: RunLine, b: RunLine) => a.developer.localeCompare(b.developer),
  },
  temperature: {
    name: 'Temperature',
    width: '84px',
    compare: (a: RunLine, b: RunLine) => a.temperatureC - b.temperatureC,
  },
  movement: {
    name: 'Agitation',
    width: 'minmax(0,1fr)',
    compare: (a: RunLine, b: RunLine) => (a.movement ?? '').localeCompare(b.movement ?? ''),
  },
  planned: { name: 'Planned', width: '96px', compare: (a: RunLine, b: RunLine) => a.plannedMin - b.plannedMin },
  developed: {
    name: 'Developed',
    width: '84px',
    compare: (a: RunLine, b: RunLine) => (a.developedS ?? Infinity) - (b.developedS ?? Infinity),
  },
  needed: {
    name: 'Needed',
    width: '84px',
    compare: (a: RunLine, b: RunLine) => (a.needed?.timeMin ?? Infinity) - (b.needed?.timeMin ?? Infinity),
  },
  band: {
    name: 'Likely range',
    width: '70px',
    compare: (a: RunLine, b: RunLine) => a.highMin / a.lowMin - b.highMin / b.lowMin,
  },
  verdict: {
    name: 'Verdict',
    width: 'minmax(0,1.5fr)',
    compare: (a: RunLine, b: RunLine) => (a.verdict?.contrast ?? 9) - (b.verdict?.contrast ?? 9),
  },
} as const;
type Column = keyof typeof columns;
const columnIds = Object.keys(columns) as Column[];

const isExtra = (id: Column): id is LogColumnId => (logColumnIds as readonly string[]).includes(id);

/** What an extra column is called where it is chosen. */
const extraNames: Record<LogColumnId, string> = {
  temperature: 'Temperature',
  movement: 'Agitation',
  needed: 'Time it would have needed',
  band: 'Whether the needed time fell inside the likely range',
};

/** Columns that a phone has room for: what the others hold stands under the roll and its time. */
const NARROW: readonly Column[] = ['roll', 'planned'];

/** Widths of the columns, the same in the head and in every row. */
const GRID = 'grid grid-cols-[minmax(0,1fr)_84px] gap-x-5 sm:grid-cols-[var(--log-columns)]';

function verdictWords({ verdict, phase }: RunLine): string {
  if (verdict === null) return phase === 'finished' ? 'not judged yet' : 'at the tank';
  if (verdict.image !== undefined && verdict.image !== 'there') return images[verdict.image].toLowerCase();
  const contrast = contrastGrades[String(verdict.contrast) as keyof typeof contrastGrades];
  return `${contrast}, ${fogGrades[verdict.fog].toLowerCase()}`;
}

/** Every run, newest first, with what was planned, what was done, and how it came out. */
export function LogView() {
  const found = useLines(followLog);
  const [wanted, setWanted] = useState('');
  const searched = useDeferredValue(wanted);
  /** Runs that are ticked to be compared; null while nobody compares. */
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const [sort, setSort] = useState<{ by: Column; down: boolean }>({ by: 'when', down: true });
  const lines = found?.lines;
  const settings = useSettings();
  const extras = settings.logColumns ?? [];
  const visible = columnIds.filter((id) => !isExtra(id) || extras.includes(id));
  const grid = { '--log-columns': visible.map((id) => columns[id].width).join(' ') } as CSSProperties;
  const sorted = useMemo(() => {
    if (lines === undefined) return [];
    if (sort.by === 'when') return sort.down ? lines : [...lines].reverse();
    const { compare } = columns[sort.by];
    return [...lines].sort((a, b) => (sort.down ? compare(b, a) : compare(a, b)));
  }, [lines, sort]);
  /** The developer whose runs are shown; null for all. */
  const [developer, setDeveloper] = useState<string | null>(null);
  const developers = useMemo(() => [...new Set((lines ?? []).map((line) => line.developer))].sort(), [lines]);
  const shown = useMemo(() => {
    const found = matching(sorted, searched);
    return developer === null ? found : found.filter((line) => line.developer === developer);
  }, [sorted, searched, developer]);
  if (found === undefined) return <p aria-busy="true">Opening the log.</p>;
  if (found.lines.length === 0)
    return (
      <>
        <h1>Log</h1>
        <Empty
          picture={<LogPicture />}
          beside={<OtherBench />}
          sentence="No run yet. Each one will stand here with its likely range, and with where the negative fell in it."
          action={
            <Link href="/" className="act">
              Go to the bench
            </Link>
          }
        />
      </>
    );
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="flex flex-wrap items-baseline gap-x-6">
          <h1>Log</h1>
          <Link href="/log/learned" className="act-plain">
            What Aetas has learned
          </Link>
          <Link href="/trials" className="act-plain">
            Trials
          </Link>
          <Link href="/prints" className="act-plain">
            Prints
          </Link>
          {picked === null ? (
            <button type="button" className="act-plain" onClick={() => setPicked([])}>
              Compare runs
            </button>
          ) : picked.length < 2 ? (
            <span className="text-ink2">
              Tick two to {MOST_COMPARED} runs.{' '}
              <button type="button" className="act-plain" onClick={() => setPicked(null)}>
                Not now
              </button>
            </span>
          ) : (
            <Link
              href={`/log/compare?${picked.map((id) => `run=${encodeURIComponent(id)}`).join('&')}`}
              className="act-plain"
            >
              Compare these {picked.length}
            </Link>
          )}
          <button
            type="button"
            className="act-plain"
            onClick={() =>
              void import('@/features/files/runsCsv').then(({ runsCsv }) =>
                download(runsCsv(shown), 'aetas-runs.csv', 'text/csv'),
              )
            }
          >
            Save these as CSV
          </button>
        </div>
        <div className="flex w-full flex-wrap gap-3 sm:w-auto">
          <div className="w-full sm:w-56">
            <Choice
              id="log-developer"
              label="Runs in"
              quietLabel
              value={developer ?? ''}
              options={[{ value: '', name: 'Any developer' }, ...developers.map((name) => ({ value: name, name }))]}
              onChange={(value) => setDeveloper(value === '' ? null : value)}
            />
          </div>
          <div className="mt-1 w-full sm:w-72">
            <label htmlFor="search" className="sr-only">
              Search the log
            </label>
            <input
              id="search"
              type="search"
              className="box"
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
              placeholder="roll, film, developer, note"
            />
          </div>
        </div>
      </div>
      <p role="status" className="mt-1 text-[13px] text-ink2">
        {shown.length === 0
          ? 'No run is like that. Try fewer words, or any developer.'
          : `${shown.length} of ${found.lines.length}${found.all ? '' : ' or more'} runs`}
      </p>
      {searched.trim() !== '' && <FoundPrints wanted={searched} />}
      <details className="mt-2 text-[14px]">
        <summary className="cursor-pointer text-ink2">Columns</summary>
        <div className="mt-1 flex flex-wrap gap-x-6">
          {logColumnIds.map((id) => (
            <Tick
              key={id}
              id={`column-${id}`}
              label={extraNames[id]}
              checked={extras.includes(id)}
              onChange={(on) =>
                void changeSettings({
                  logColumns: logColumnIds.filter((one) => (one === id ? on : extras.includes(one))),
                }).catch(() => undefined)
              }
            />
          ))}
        </div>
      </details>
      <div className={classes(GRID, 'mt-3 pb-1 text-[13px] text-ink2')} style={grid} role="group" aria-label="Sort by">
        {visible.map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={sort.by === id}
            className={classes(
              'min-h-7 items-center gap-1 text-start hover:underline',
              NARROW.includes(id) ? 'inline-flex' : 'hidden sm:inline-flex',
            )}
            onClick={() => setSort({ by: id, down: sort.by === id ? !sort.down : id === 'when' })}
          >
            {columns[id].name}
            {sort.by === id && (sort.down ? <ArrowDown aria-hidden size={14} /> : <ArrowUp aria-hidden size={14} />)}
          </button>
        ))}
      </div>
      <VirtualRows rows={shown} rowPx={64} height="min(70vh, 760px)" keyOf={({ id }) => id} label="Runs">
        {(line) => (
          <LogRow
            line={line}
            extras={extras}
            grid={grid}
            units={settings}
            picked={picked?.includes(line.id)}
            onPick={
              picked === null
                ? undefined
                : () =>
                    setPicked(
                      picked.includes(line.id)
                        ? picked.filter((id) => id !== line.id)
                        : [...picked, line.id].slice(-MOST_COMPARED),
                    )
            }
          />
        )}
      </VirtualRows>
    </>
  );
}

interface LogRowProps {
  line: RunLine;
  extras: readonly LogColumnId[];
  grid: CSSProperties;
  units: UnitChoice;
  picked: boolean | undefined;
  /** Missing while nobody compares. */
  onPick: (() => void) | undefined;
}

function LogRow({ line, extras, grid, units, picked, onPick }: LogRowProps) {
  const day = format(line.startedMs, 'd MMM yyyy');
  const words = verdictWords(line);
  const verdict = (
    <>
      {words}
      {line.verdict !== null && line.verdict.note !== '' && (
        <span className="line-clamp-3 block text-[13px] text-ink2">{line.verdict.note}</span>
      )}
    </>
  );
  return (
    <div className={classes(GRID, 'border-t border-hair py-2.5')} style={grid}>
      <span className="hidden whitespace-nowrap sm:block">
        <Link prefetch={false} href={`/log/${encodeURIComponent(line.id)}`} className="text-ink">
          {day}
        </Link>
      </span>
      <span className="min-w-0 wrap-anywhere">
        {onPick !== undefined && (
          <input
            type="checkbox"
            className="me-2 size-5 align-[-3px]"
            aria-label={`Compare ${line.roll}, ${day}`}
            checked={picked === true}
            onChange={onPick}
          />
        )}
        <Link
          prefetch={false}
          href={`/rolls/${encodeURIComponent(line.rollId)}`}
          className="num text-ink no-underline hover:underline"
        >
          {line.roll}
        </Link>
        <span className="block text-[13px] text-ink2">
          {line.film}
          <span className="sm:hidden">
            {' '}
            in {lowerFirst(line.developer)}, {day}
          </span>
        </span>
        <span className="mt-1 block text-[14px] sm:hidden">{verdict}</span>
      </span>
      <span className="hidden min-w-0 wrap-anywhere sm:block">{line.developer}</span>
      {extras.includes('temperature') && (
        <span className="hidden sm:block">{formatQuantity(line.temperatureC, 'temperature', units)}</span>
      )}
      {extras.includes('movement') && (
        <span className="hidden min-w-0 text-[14px] wrap-anywhere sm:block">{line.movement ?? '–'}</span>
      )}
      <span>
        <span className="num text-[17px]">
          {formatDuration(developSeconds({ timeMin: line.plannedMin, own: line.plannedOwn }))}
        </span>
        <span className="block text-[13px] whitespace-nowrap text-ink2">
          {formatMinutes(line.lowMin)}–{formatMinutes(line.highMin)}
        </span>
        {line.developedS !== null && (
          <span className="block text-[13px] sm:hidden">took {formatDuration(line.developedS)}</span>
        )}
      </span>
      <span className="hidden sm:block">{line.developedS === null ? '–' : formatDuration(line.developedS)}</span>
      {extras.includes('needed') && (
        <span className="hidden sm:block">{line.needed == null ? '–' : formatMinutes(line.needed.timeMin)}</span>
      )}
      {extras.includes('band') && (
        <span className="hidden sm:block">
          {line.needed == null
            ? '–'
            : isInside({ neededMin: line.needed.timeMin, lowMin: line.lowMin, highMin: line.highMin })
              ? 'inside'
              : 'outside'}
        </span>
      )}
      <span className="hidden min-w-0 wrap-anywhere sm:block">{verdict}</span>
    </div>
  );
}
