'use client';

import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import { format } from 'date-fns';
import { ArrowDown, ArrowUp } from 'lucide-react';
import Link from 'next/link';
import { useMemo } from 'react';
import { contrastGrades, fogGrades } from '@/core/outcome/grades';
import { runProgress } from '@/core/schedule/runState';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { useLog, type LogEntry } from '@/data/queries';
import { lowerFirst } from '@/features/words/ledgerWords';
import { classes } from '@/ui/classes';
import { Empty, TinPicture } from '@/ui/Empty';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

/** One line of the log, flat. */
interface LogLine {
  runId: string;
  rollId: string;
  startedMs: number;
  roll: string;
  film: string;
  developer: string;
  plannedMin: number;
  band: string;
  developedS: number | null;
  verdict: string;
  note: string;
}

function lineOf({ run, roll, stock, verdict }: LogEntry): LogLine {
  const progress = runProgress(run.steps, run.events);
  const develop = run.steps.findIndex((step) => step.kind === 'develop');
  return {
    runId: run.id,
    rollId: roll.id,
    startedMs: progress.startedMs ?? run.createdMs,
    roll: roll.label,
    film: stock.name,
    developer: run.developerName,
    plannedMin: run.pinned.timeMin,
    band: `${formatMinutes(run.pinned.lowMin)}–${formatMinutes(run.pinned.highMin)}`,
    developedS: progress.tookS[develop] ?? null,
    verdict:
      verdict === undefined
        ? progress.phase === 'finished'
          ? 'not judged yet'
          : 'at the tank'
        : `${contrastGrades[String(verdict.contrast) as keyof typeof contrastGrades]}, ${fogGrades[verdict.fog].toLowerCase()}`,
    note: verdict?.note ?? '',
  };
}

function dayOf({ startedMs }: LogLine): string {
  return format(startedMs, 'd MMM yyyy');
}

function Verdict({ line: { verdict, note } }: { line: LogLine }) {
  return (
    <>
      {verdict}
      {note !== '' && <span className="block max-w-[34ch] text-[13px] text-ink2">{note}</span>}
    </>
  );
}

/** Columns that a phone has no room for: what they hold stands under the roll and its time. */
const WIDE_ONLY = ['startedMs', 'developer', 'developedS', 'verdict'];

const columns: ColumnDef<typeof features, LogLine>[] = [
  {
    accessorKey: 'startedMs',
    header: 'When',
    sortFn: 'basic',
    cell: ({ row }) => <span className="whitespace-nowrap">{dayOf(row.original)}</span>,
  },
  {
    accessorKey: 'roll',
    header: 'Roll',
    sortFn: 'alphanumeric',
    cell: ({ row }) => (
      <>
        <Link href={`/rolls/${row.original.rollId}`} className="num text-ink no-underline hover:underline">
          {row.original.roll}
        </Link>
        <span className="block text-[13px] text-ink2">
          {row.original.film}
          <span className="sm:hidden">
            {' '}
            in {lowerFirst(row.original.developer)}, {dayOf(row.original)}
          </span>
        </span>
        <span className="mt-1 block text-[14px] sm:hidden">
          <Verdict line={row.original} />
        </span>
      </>
    ),
  },
  { accessorKey: 'developer', header: 'Developer', sortFn: 'alphanumeric' },
  {
    accessorKey: 'plannedMin',
    header: 'Planned',
    sortFn: 'basic',
    cell: ({ row }) => (
      <>
        <span className="num text-[17px]">{formatMinutes(row.original.plannedMin)}</span>
        <span className="block text-[13px] whitespace-nowrap text-ink2">{row.original.band}</span>
        {row.original.developedS !== null && (
          <span className="block text-[13px] sm:hidden">took {formatDuration(row.original.developedS)}</span>
        )}
      </>
    ),
  },
  {
    accessorKey: 'developedS',
    header: 'Developed',
    sortFn: 'basic',
    sortUndefined: 'last',
    cell: ({ row }) => (row.original.developedS === null ? '–' : formatDuration(row.original.developedS)),
  },
  {
    accessorKey: 'verdict',
    header: 'Verdict',
    sortFn: 'alphanumeric',
    cell: ({ row }) => <Verdict line={row.original} />,
  },
];

/** Every run, newest first, with what was planned, what was done, and how it came out. */
export function LogView() {
  const log = useLog();
  const lines = useMemo(() => (log ?? []).map(lineOf), [log]);
  const table = useTable({
    features,
    columns,
    data: lines,
    getRowId: (line) => line.runId,
    initialState: { sorting: [{ id: 'startedMs', desc: true }] },
  });
  if (log === undefined) return <p aria-busy="true">Opening the log.</p>;
  return (
    <>
      <h1>Log</h1>
      {lines.length === 0 ? (
        <Empty
          picture={<TinPicture />}
          sentence="Nothing has been at the tank yet. Every run is written down here by itself, with its plan and its verdict."
          action={
            <Link href="/" className="act">
              To the bench
            </Link>
          }
        />
      ) : (
        <div className="mt-4 overflow-x-auto" role="region" aria-label="Log" tabIndex={0}>
          <table className="w-full border-collapse text-left">
            <thead>
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id}>
                  {group.headers.map((header) => {
                    const sorted = header.column.getIsSorted();
                    return (
                      <th
                        key={header.id}
                        scope="col"
                        aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                        className={classes(
                          'pr-5 pb-2 text-[13px] font-normal text-ink2',
                          WIDE_ONLY.includes(header.column.id) && 'hidden sm:table-cell',
                        )}
                      >
                        <button
                          type="button"
                          className="inline-flex min-h-7 items-center gap-1 hover:underline"
                          onClick={header.column.getToggleSortingHandler()}
                        >
                          <table.FlexRender header={header} />
                          {sorted === 'asc' && <ArrowUp aria-hidden size={14} />}
                          {sorted === 'desc' && <ArrowDown aria-hidden size={14} />}
                        </button>
                      </th>
                    );
                  })}
                </tr>
              ))}
            </thead>
            <tbody>
              {table.getRowModel().rows.map((row) => (
                <tr key={row.id} className="border-t border-hair align-top">
                  {row.getAllCells().map((cell) => (
                    <td
                      key={cell.id}
                      className={classes(
                        'py-2.5 pr-5 last:pr-0',
                        WIDE_ONLY.includes(cell.column.id) && 'hidden sm:table-cell',
                      )}
                    >
                      <table.FlexRender cell={cell} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </>
  );
}
