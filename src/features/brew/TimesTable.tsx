'use client';

import * as z from 'zod';
import { useState } from 'react';
import {
  guessColumns,
  pastedTable,
  readTimesTable,
  timeColumnIds,
  timeColumnsSchema,
  type TimeColumnId,
  type TimeColumns,
} from '@/core/brewing/timesTable';
import type { LeafletTime } from '@/core/brewing/leaflet';
import type { Parts } from '@/core/chemistry/dilution';
import { formatMinutes } from '@/core/units/duration';
import { useSettings } from '@/data/queries';
import { partsWords } from '@/features/dilution/dilutionWords';
import { useDraft } from '@/features/drafts/useDraft';
import { FileButton } from '@/features/files/FileButton';
import { Choice } from '@/ui/Choice';

const names: Record<TimeColumnId, string> = {
  film: 'Film',
  time: 'Time',
  dilution: 'Dilution',
  temperature: 'Temperature',
};

/** A column that is none: a list has no empty value. */
const NONE = '';

/** Lines and faults shown. */
const SHOWN = 5;

const formSchema = z.object({ text: z.string().max(400_000), columns: timeColumnsSchema.nullable() });
type TableForm = z.infer<typeof formSchema>;

interface TimesTableProps {
  letters: readonly { letter: string; parts: Parts }[];
  usual: Parts;
  /** Takes times in; tells how many were new. */
  onTake: (times: readonly LeafletTime[]) => Promise<number>;
}

/** Times of a notebook or a forum, as a table: its columns are named once, and kept for the next. */
export function TimesTable({ letters, usual, onTake }: TimesTableProps) {
  const units = useSettings();
  const { form, change } = useDraft<TableForm>(
    'times-table',
    formSchema,
    (kept) => kept ?? { text: '', columns: null },
  );
  const [said, setSaid] = useState<string | null>(null);
  if (form === null) return null;
  const table = form.text.trim() === '' ? null : pastedTable(form.text);
  const columns = table === null ? null : guessColumns(table.columns, form.columns ?? {});
  const read = table === null || columns === null ? null : readTimesTable(table, columns, letters, usual, units);
  const name = (id: TimeColumnId, column: string): void =>
    change({ columns: { ...(columns as TimeColumns), [id]: column } });
  const take = (): void => {
    if (read === null) return;
    onTake(read.times).then(
      (added) => {
        setSaid(added === 1 ? '1 time was new.' : `${added} times were new.`);
        change({ text: '', columns });
      },
      (error: unknown) => setSaid(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  };
  return (
    <details className="mt-4">
      <summary className="act-plain">A whole table, of a notebook or from elsewhere</summary>
      <textarea
        aria-label="Table of times"
        className="box mt-2 min-h-24 max-w-[640px]"
        placeholder={'Film; Time; Dilution; Temperature\nLarkholm Pan 200; 9; 1+31; 20'}
        value={form.text}
        onChange={(event) => {
          setSaid(null);
          change({ text: event.target.value });
        }}
      />
      <div className="mt-2">
        <FileButton
          label="File with times"
          className="act"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFile={(file) =>
            void file
              .slice(0, 400_000)
              .text()
              .then((text) => change({ text }))
          }
        >
          Choose a file
        </FileButton>
      </div>
      {form.text.trim() !== '' && table === null && (
        <p className="mt-2" role="status">
          That is no table yet: a first line that names its columns, then a line for each time.
        </p>
      )}
      {table !== null && columns !== null && read !== null && (
        <>
          <div className="mt-3 grid max-w-[640px] grid-cols-2 items-end gap-4 sm:grid-cols-4">
            {timeColumnIds.map((id) => (
              <Choice
                key={id}
                id={`column-${id}`}
                label={`${names[id]} column`}
                value={columns[id]}
                options={[
                  {
                    value: NONE,
                    name: id === 'dilution' ? 'none: as usual' : id === 'temperature' ? 'none: 20 °C' : 'none',
                  },
                  ...table.columns.map((column) => ({ value: column, name: column })),
                ]}
                onChange={(column) => name(id, column)}
              />
            ))}
          </div>
          <ul className="mt-2 max-w-[640px]" aria-label="Times that read">
            {read.times.slice(0, SHOWN).map((time, at) => (
              <li key={at} className="flex justify-between gap-4">
                <span className="min-w-0 wrap-anywhere">
                  {time.film} · {partsWords(time.parts)}
                </span>
                <span className="num">{formatMinutes(time.timeMin)}</span>
              </li>
            ))}
          </ul>
          {read.times.length > SHOWN && <p className="text-[14px] text-ink2">and {read.times.length - SHOWN} more</p>}
          {read.faults.length > 0 && (
            <ul className="mt-2 text-[14px] text-danger" aria-label="Lines that are left out">
              {read.faults.slice(0, SHOWN).map(({ path, message }) => (
                <li key={`${path} ${message}`}>
                  {path.startsWith('line') && `${path}: `}
                  {message}
                </li>
              ))}
              {read.faults.length > SHOWN && <li>and {read.faults.length - SHOWN} more lines</li>}
            </ul>
          )}
          <button type="button" className="act mt-2" disabled={read.times.length === 0} onClick={take}>
            {read.times.length === 1 ? 'Take this time' : `Take these ${read.times.length} times`}
          </button>
        </>
      )}
      {said !== null && (
        <p className="mt-2" role="status">
          {said}
        </p>
      )}
    </details>
  );
}
