'use client';

import { format } from 'date-fns';
import { dryAt, dryings, leftovers, type DryingId, type GoesTo } from '@/core/plan/afterRun';
import Link from 'next/link';
import type { Roll, Run } from '@/core/records/records';
import { liquids } from '@/core/schedule/baths';

const places: Record<GoesTo, string> = {
  back: 'Back into its bottle',
  waste: 'Waste bottle',
  drain: 'Thrown away',
  leaflet: 'As its leaflet says',
};

/** What is left to do once the film hangs: when it is dry, and where each bath goes. */
export function AfterRun({
  run,
  mates,
  hungMs,
}: {
  run: Run;
  /** Other rolls that were in the tank. */
  mates: readonly Pick<Roll, 'id' | 'label'>[];
  hungMs: number;
}) {
  return (
    <div className="mt-4 max-w-[78ch] space-y-5 text-[17px]">
      <section aria-labelledby="dry">
        <h2 id="dry">Dry</h2>
        <dl className="mt-1">
          {(Object.keys(dryings) as DryingId[]).map((way) => {
            const { fromMs, toMs } = dryAt(hungMs, way);
            return (
              <div key={way} className="flex justify-between gap-6 border-t border-hair py-1.5">
                <dt>{dryings[way].name}</dt>
                <dd className="num">
                  {fromMs === toMs ? format(fromMs, 'HH:mm') : `${format(fromMs, 'HH:mm')} to ${format(toMs, 'HH:mm')}`}
                </dd>
              </div>
            );
          })}
        </dl>
        <p className="mt-1 text-[15px] text-ink2">Judge it when it is dry: wet negatives are misleading.</p>
        {mates.length > 0 && (
          <p className="mt-1">
            Each roll has its own verdict:{' '}
            {mates.map(({ id, label }, index) => (
              <span key={id}>
                {index > 0 && ', '}
                <Link href={`/rolls/${encodeURIComponent(id)}#judge`}>{label}</Link>
              </span>
            ))}
            .
          </p>
        )}
      </section>
      <section aria-labelledby="bottles">
        <h2 id="bottles">Which bottle</h2>
        <ul className="mt-1">
          {leftovers(run).map(({ liquid, goesTo, why }) => (
            <li key={liquid} className="border-t border-hair py-1.5">
              <b>
                {liquids[liquid]}: {places[goesTo].toLowerCase()}.
              </b>{' '}
              {why}
            </li>
          ))}
        </ul>
        <p className="mt-1 text-[15px] text-ink2">
          Local rules and your collection point go before anything said here.
        </p>
      </section>
    </div>
  );
}
