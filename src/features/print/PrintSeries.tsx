import { format } from 'date-fns';
import Link from 'next/link';
import { seriesOf } from '@/core/printing/printSeries';
import type { Print } from '@/core/records/records';
import { formatNumber } from '@/core/units/quantity';

/** How a picture came to be what it is: its prints, each made after another; nothing for a first one. */
export function PrintSeries({
  prints,
  print,
  afterId,
}: {
  prints: readonly Print[];
  /** The print that is looked at; null for one that is begun. */
  print: Print | null;
  /** What one that is begun comes after. */
  afterId: string | null;
}) {
  const series = seriesOf(prints, print?.id ?? afterId ?? '');
  if (series.length < (print === null ? 1 : 2)) return null;
  return (
    <ol aria-label="Prints of this picture" className="mt-2 flex flex-wrap gap-x-2 text-[14px] print:hidden">
      {series.map(({ id, createdMs, baseS, grade, paper, final }, index) => (
        <li key={id}>
          {index > 0 && <span aria-hidden>→ </span>}
          <Link
            href={`/prints/${encodeURIComponent(id)}`}
            className="act-plain"
            aria-current={id === print?.id ? 'page' : undefined}
          >
            {format(createdMs, 'd MMM yyyy')}, {formatNumber(baseS, 1)} s{grade === '' ? '' : `, grade ${grade}`}
            {paper === '' ? '' : `, ${paper}`}
          </Link>
          {final && <span className="ms-1 text-chem">hangs</span>}
        </li>
      ))}
      {print === null && <li>→ this one</li>}
    </ol>
  );
}
