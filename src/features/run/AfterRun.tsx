'use client';

import { format } from 'date-fns';
import { dryAt, dryings, leftovers, looseWaste, usedJugs, type DryingId, type GoesTo } from '@/core/run/afterRun';
import Link from 'next/link';
import type { JugFate, Roll, Run } from '@/core/records/records';
import { useBrews, useSettings } from '@/data/queries';
import { sayAfterwards } from '@/data/runs';
import { pourWaste, useWaste } from '@/data/waste';
import { wasteKinds } from '@/core/waste/waste';
import { formatQuantity } from '@/core/units/quantity';
import { classes } from '@/ui/classes';
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
      <Jugs run={run} nowMs={hungMs} />
      <section aria-labelledby="bottles">
        <h2 id="bottles">Where each bath goes</h2>
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
        <LooseWaste run={run} films={mates.length + 1} />
        <p className="mt-1 text-[15px] text-ink2">
          Local rules and your collection point go before anything said here.
        </p>
      </section>
    </div>
  );
}

const fates: Record<JugFate, string> = { poured: 'Poured away', kept: 'Kept', spent: 'Spent' };
const bathNames = { develop: 'Developer', stop: 'Stop', fix: 'Fixer' } as const;

/** What became of each jug: asked once, so that none is offered again as fresh. */
function Jugs({ run, nowMs }: { run: Run; nowMs: number }) {
  const brews = useBrews() ?? [];
  const jugs = usedJugs(run, brews, nowMs);
  const told = Object.entries(run.afterwards ?? {}) as [keyof typeof bathNames, JugFate][];
  const gone = told.filter(([which, fate]) => fate === 'poured' && !jugs.some((jug) => jug.which === which));
  if (jugs.length + gone.length === 0) return null;
  return (
    <section aria-labelledby="jugs-after">
      <h2 id="jugs-after">What became of each jug?</h2>
      <ul className="mt-1">
        {jugs.map(({ which, brew, usual, why }) => (
          <li
            key={which}
            className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-t border-hair py-2"
          >
            <span className="min-w-0">
              <b>{brew.name}</b> <span className="text-[15px] text-ink2">{brew.code}</span>
              <span className="block text-[15px] text-ink2">{why}</span>
            </span>
            <span className="flex flex-wrap gap-2" role="group" aria-label={`${bathNames[which]}: ${brew.name}`}>
              {(Object.keys(fates) as JugFate[]).map((fate) => (
                <button
                  key={fate}
                  type="button"
                  aria-pressed={run.afterwards?.[which] === fate}
                  className={classes(
                    'act min-h-12 px-4',
                    run.afterwards?.[which] === fate && 'border-2 font-bold',
                    run.afterwards?.[which] === undefined && fate === usual && 'act-primary',
                  )}
                  onClick={() => void sayAfterwards(run.id, which, fate)}
                >
                  {fates[fate]}
                </button>
              ))}
            </span>
          </li>
        ))}
        {gone.map(([which]) => (
          <li key={which} className="border-t border-hair py-2">
            {bathNames[which]}: poured away.
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What stood in no jug goes into a waste bottle by one press. */
function LooseWaste({ run, films }: { run: Run; films: number }) {
  const units = useSettings();
  const pours = useWaste();
  const loose = looseWaste(run, films);
  if (pours === undefined || loose.length === 0) return null;
  return (
    <ul aria-label="Into the waste bottle" className="border-t border-hair">
      {loose.map((waste) => {
        const bottle = wasteKinds[waste.kind].name.toLowerCase();
        return (
          <li key={waste.id} className="flex flex-wrap items-center gap-x-4 py-2">
            {pours.some(({ id }) => id === waste.id) ? (
              <Link href="/brews/waste" className="act-plain">
                {formatQuantity(waste.volumeMl, 'volume', units)} in the waste bottle: {bottle}
              </Link>
            ) : (
              <button type="button" className="act" onClick={() => void pourWaste(waste)}>
                Put {formatQuantity(waste.volumeMl, 'volume', units)} into the waste bottle: {bottle}
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
