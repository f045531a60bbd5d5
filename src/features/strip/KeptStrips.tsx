'use client';

import { format } from 'date-fns';
import { writeCgats } from '@/core/formats/cgats';
import { readingOfKept } from '@/core/records/keptStrip';
import type { StripRecord } from '@/core/records/records';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { dropReading, useReadings } from '@/data/readings';
import { download } from '@/ui/download';

/** Strips of the roll that were read, with what they said, to be saved or removed. */
export function KeptStrips({ rollId, label }: { rollId: string; label: string }) {
  const kept = useReadings(rollId) ?? [];
  if (kept.length === 0) return null;
  return (
    <section aria-labelledby="kept-strips" className="mt-8 border-t-2 border-ink pt-4">
      <h2 id="kept-strips">Strips of this roll</h2>
      <ul className="mt-2">
        {kept.map((record) => (
          <li key={record.id} className="rule-row flex flex-wrap items-baseline gap-x-5 gap-y-1">
            <span className="font-[620]">{record.name}</span>
            <span className="text-[14px] text-ink2">{format(record.createdMs, 'd MMM yyyy')}</span>
            <span>{summary(record)}</span>
            <span className="ms-auto flex gap-x-4 text-[14px]">
              <button type="button" className="act-plain" onClick={() => save(record, label)}>
                Save as CGATS.17<span className="sr-only"> {record.name}</span>
              </button>
              <button
                type="button"
                className="act-plain"
                onClick={() => void dropReading(record).catch(() => undefined)}
              >
                Remove<span className="sr-only"> {record.name}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="act-plain mt-2 text-[14px]"
        onClick={() =>
          void import('@/features/files/readingsCsv').then(({ readingsCsv }) =>
            download(readingsCsv(kept, label), 'aetas-strips.csv', 'text/csv'),
          )
        }
      >
        Save these as CSV
      </button>
    </section>
  );
}

function summary(record: StripRecord): string {
  const { curve, clear, effectiveIso } = readingOfKept(record);
  return [
    formatMinutes(record.timeMin),
    ...(clear === null
      ? []
      : clear.atLeast === true
        ? [`base + fog at least ${formatNumber(clear.densityD, 2)}`]
        : [`base + fog ${formatNumber(clear.densityD, 2)}`]),
    ...(curve?.gradient == null ? [] : [`gradient ${formatNumber(curve.gradient.value, 2)}`]),
    ...(effectiveIso === null ? [] : [`index ${formatNumber(effectiveIso, 0)}`]),
    record.evidenceId === null ? 'not in the evidence' : 'in the evidence',
  ].join(' · ');
}

function save(record: StripRecord, label: string): void {
  // A file of densities has no “at least”.
  const patches = [
    ...(record.clear?.densityD == null || record.clear.atLeast === true
      ? []
      : [{ name: 'clear film', densityD: record.clear.densityD, logH: null }]),
    ...record.steps.flatMap(({ densityD, logH, atLeast }, at) =>
      densityD === null || atLeast === true ? [] : [{ name: `patch ${at + 1}`, densityD, logH }],
    ),
  ];
  const text = writeCgats(patches, {
    originator: 'Aetas',
    descriptor: `${label}: ${record.name}, ${record.timeMin} min`,
    created: format(record.createdMs, 'yyyy-MM-dd'),
  });
  download(text, `${record.name.replaceAll(/[^\p{L}\p{N} -]/gu, '').trim() || 'strip'}.txt`, 'text/plain');
}
