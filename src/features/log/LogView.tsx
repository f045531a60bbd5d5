'use client';

import { createSortedRowModel, rowSortingFeature, sortFn_alphanumeric, sortFn_basic, tableFeatures, useTable, type ColumnDef } from '@tanstack/react-table';
import { format } from 'date-fns';
import { ArrowDown, ArrowUp } from 'lucide-react';
import Link from 'next/link';
import { useMemo } from 'react';
import { contrastGrades, fogGrades } from '@/core/outcome/grades';
import { runProgress } from '@/core/schedule/runState';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { useLog, type LogEntry } from '@/data/queries';
import { Empty, TinPicture } from '@/ui/Empty';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic } });

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

const columns: ColumnDef<typeof features, LogLine>[] = [
  { accessorKey: 'startedMs', header: 'When', sortFn: 'basic', cell: ({ row }) => <span className="whitespace-nowrap">{format(row.original.startedMs, 'd MMM yyyy')}</span> },
  {
    accessorKey: 'roll',
    header: 'Roll',
    sortFn: 'alphanumeric',
    cell: ({ row }) => (
      <>
        <Link href={`/rolls/${row.original.rollId}`} className="num text-ink no-underline hover:underline">
          {row.original.roll}
        </Link>
        <span className="block text-[13px] text-ink2">{row.original.film}</span>
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
        <span className="block text-[13px] text-ink2">{row.original.band}</span>
      </>
    ),
  },
  { accessorKey: 'developedS', header: 'Developed', sortFn: 'basic', sortUndefined: 'last', cell: ({ row }) => (row.original.developedS === null ? '–' : formatDuration(row.original.developedS)) },
  {
    accessorKey: 'verdict',
    header: 'Verdict',
    sortFn: 'alphanumeric',
    cell: ({ row }) => (
      <>
        {row.original.verdict}
        {row.original.note !== '' && <span className="block max-w-[34ch] text-[13px] text-ink2">{row.original.note}</span>}
      </>
    ),
  },
];

/** Every run, newest first, with what was planned, what was done, and how it came out. */
export function LogView() {
  const log = useLog();
  const lines = useMemo(() => (log ?? []).map(lineOf), [log]);
  const table = useTable({ features, columns, data: lines, getRowId: (line) => line.runId, initialState: { sorting: [{ id: 'startedMs', desc: true }] } });
  if (log === undefined) return <p aria-busy="true">Opening the log.</p>;
  return (
    <>
      <h1>Log</h1>
      {lines.length === 0 ? (
        <Empty picture={<TinPicture />} sentence="Nothing has been at the tank yet. Every run is written down here by itself, with its plan and its verdict." action={<Link href="/" className="act">To the bench</Link>} />
      ) : (
        <div className="mt-4 overflow-x-auto" role="region" aria-label="Log" tabIndex={0}>
          <table className="w-full border-collapse text-left">
            <thead>
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id}>
                  {group.headers.map((header) => {
                    const sorted = header.column.getIsSorted();
                    return (
                      <th key={header.id} scope="col" aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'} className="pr-5 pb-2 text-[13px] font-normal text-ink2">
                        <button type="button" className="inline-flex min-h-7 items-center gap-1 hover:underline" onClick={header.column.getToggleSortingHandler()}>
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
                    <td key={cell.id} className="py-2.5 pr-5">
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
