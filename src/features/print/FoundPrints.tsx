import Link from 'next/link';
import { printsMatching } from '@/core/printing/printFiles';
import { usePrints } from '@/data/prints';

/** Prints that have what is looked for in the log. */
export function FoundPrints({ wanted }: { wanted: string }) {
  const found = printsMatching(
    (usePrints() ?? []).map((print) => ({ ...print, rollLabel: '' })),
    wanted,
  );
  if (found.length === 0) return null;
  return (
    <p className="mt-1 text-[14px]">
      <Link href={`/prints?find=${encodeURIComponent(wanted)}`} className="act-plain">
        {found.length === 1 ? 'One print has these words too' : `${found.length} prints have these words too`}
      </Link>
    </p>
  );
}
