'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { bottleLife, bottleSince, bottleStages, isPourable } from '@/core/brewing/bottle';
import { jugState } from '@/core/brewing/keeping';
import { LEAST_DEVELOPING_PH } from '@/core/chemistry/ph/brewPh';
import { recipeUses } from '@/core/brewing/recipe';
import type { Brew } from '@/core/records/records';
import { callSpent, countFilms, pourAway, tellJug, tellPrice } from '@/data/brews';
import { useBrew, useJugRolls, useSettings } from '@/data/queries';
import { limits } from '@/core/schema/limits';
import { formatQuantity } from '@/core/units/quantity';
import { Quantity } from '@/ui/Quantity';
import Link from 'next/link';
import { useNow } from '@/ui/useNow';
import { useTitle } from '@/ui/useTitle';
import { classes } from '@/ui/classes';
import { ChangeJug } from './ChangeJug';
import { FromBottle } from './FromBottle';
import { LeafletTimes } from './LeafletTimes';
import { Scraps } from './Scraps';
import { Label } from './Label';
import { MadeTable } from './MadeTable';
import { NotHere } from '@/features/shell/NotHere';
import { jugWords } from '@/features/words/jugWords';

/** How often the age of the brew is looked at again, ms. */
const LOOK_AGAIN_MS = 30_000;

/** One jug: what is in it, how long it lasts, and its label. */
export function BrewPage({ brewId }: { brewId: string }) {
  const brew = useBrew(brewId);
  if (brew === undefined) return <p aria-busy="true">Opening the jug.</p>;
  if (brew === null) return <NotHere table="brews" id={brewId} what="This jug" />;
  return <Jug brew={brew} />;
}

function Jug({ brew }: { brew: Brew }) {
  const router = useRouter();
  useTitle(`${brew.name}, ${brew.code}`);
  const nowMs = useNow(LOOK_AGAIN_MS);
  const state = jugState(brew, nowMs);
  const films = Number(brew.films.toFixed(1));
  const left = state.left === null ? null : Math.round(state.left * 100);
  return (
    <>
      <div className="print:hidden">
        <div className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h1>{brew.name}</h1>
          <p className="text-[13px] text-ink2">
            {recipeUses[brew.use].name} · {sinceWords(brew)} · code {brew.code}
            {brew.from !== undefined && ` · made from ${brew.from.name}, ${brew.from.code}`}
          </p>
        </div>
        <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_372px]">
          <div className="min-w-0 space-y-7">
            {brew.bottle === undefined && (
              <section aria-labelledby="inside">
                <h2 id="inside">Actual contents</h2>
                {brew.parts.length === 0 ? (
                  <p className="rule-row mt-2 text-ink2">Not weighed here; assumed as planned.</p>
                ) : (
                  <div className="mt-2">
                    <MadeTable made={brew} />
                  </div>
                )}
              </section>
            )}
            {brew.use === 'film-developer' && brew.developer === null && (
              <p role="status" className="border-y-2 border-danger py-3">
                <b className="text-danger">Aetas gives no times for this one.</b>{' '}
                {brew.ph !== null && brew.ph < LEAST_DEVELOPING_PH
                  ? `It comes to about pH ${brew.ph.toFixed(1)}, and below ${LEAST_DEVELOPING_PH} a brew barely develops. Add washing soda and mix it anew on the sheet.`
                  : 'It has no developing agent Aetas knows, or more of something than the model covers.'}
              </p>
            )}
            <FromBottle brew={brew} />
            <LeafletTimes brew={brew} />
            <ChangeJug brew={brew} />
            {brew.bottle === undefined && <JugPast brew={brew} />}
            {brew.use === 'fixer' && brew.bottle === undefined && <Scraps brew={brew} />}
            <section aria-labelledby="left">
              <h2 id="left">{brew.bottle === undefined ? 'Strength left' : 'How it keeps'}</h2>
              {left !== null && (
                <div role="img" aria-label={`${left} % left`} className="mt-2 h-3.5 bg-hair">
                  <div
                    className={classes('h-3.5', brew.developer?.kind === 'improvised' ? 'bg-brew' : 'bg-chem')}
                    style={{ width: `${left}%` }}
                  />
                </div>
              )}
              <p className="mt-2" data-testid="jug-left">
                {brew.bottle === undefined && `${films} ${films === 1 ? 'film' : 'films'} through it · `}
                {jugWords(state, nowMs)}
              </p>
              {brew.bottle !== undefined && <BottleWords brew={brew} nowMs={nowMs} />}
              {(brew.bottle !== undefined || brew.price !== undefined) && <Price brew={brew} />}
              <div className="mt-3 flex flex-wrap gap-3">
                {isPourable(brew) && (
                  <>
                    <button type="button" className="act" onClick={() => void countFilms(brew.id, 1)}>
                      Count one film
                    </button>
                    <button
                      type="button"
                      className="act-plain"
                      disabled={brew.films === 0}
                      onClick={() => void countFilms(brew.id, -1)}
                    >
                      One less
                    </button>
                  </>
                )}
                <button
                  type="button"
                  className="act-plain"
                  onClick={() => void callSpent(brew.id, brew.spentMs === undefined)}
                >
                  {brew.spentMs === undefined ? 'It is spent' : 'It is not spent'}
                </button>
                <button
                  type="button"
                  className="act-plain text-ink2"
                  onClick={() => void pourAway(brew).then(() => router.push('/brews'))}
                >
                  Pour it away
                </button>
              </div>
            </section>
          </div>
          <section aria-labelledby="label" className="min-w-0">
            <JugRolls brewId={brew.id} />
            <h2 id="label">Label</h2>
            <div className="mt-2">
              <Label brew={brew} />
            </div>
            <button type="button" className="act act-primary mt-4" data-next-step onClick={() => window.print()}>
              Print the label
            </button>
          </section>
        </div>
      </div>
      <div className="hidden print:block">
        <Label brew={brew} />
      </div>
    </>
  );
}

/** Since when it stands there, in words. */
function sinceWords({ bottle, mixedMs }: Brew): string {
  if (bottle === undefined) return `mixed ${format(mixedMs, 'd MMM yyyy, HH:mm')}`;
  return `${bottleStages[bottle.stage].toLowerCase()} · ${bottleSince(bottle)} ${format(mixedMs, 'd MMM yyyy')}`;
}

/** What is known of how a bottle keeps: where it stands, the air over it, and what shows that it is over. */
function BottleWords({ brew, nowMs }: { brew: Brew; nowMs: number }) {
  const { bottle, use, developer, volumeMl, mixedMs } = brew;
  if (bottle === undefined) return null;
  const familyId = developer?.kind === 'concentrate' ? developer.familyId : null;
  const life = bottleLife(bottle, { use, familyId, volumeMl, sinceMs: mixedMs }, nowMs);
  const full = bottle.holdsMl === null ? null : Math.min(1, volumeMl / bottle.holdsMl);
  return (
    <p className="mt-1 max-w-[58ch] text-ink2">
      {bottle.place !== '' && `${bottle.place}. `}
      {life !== null &&
        `It keeps for about ${keepsWords(life.keepsDays)} ${bottle.opened ? 'as it stands' : 'sealed'} (common practice). ${life.signs} `}
      {bottle.opened &&
        full !== null &&
        full < 0.75 &&
        'Air shortens that: fill the bottle up with glass beads, or move it into a smaller one.'}
    </p>
  );
}

/** What it cost, typed once: rolls and working solutions take their shares of it. */
function Price({ brew }: { brew: Brew }) {
  const units = useSettings();
  const forMl = brew.price?.forMl ?? brew.bottle?.holdsMl ?? brew.volumeMl;
  return (
    <div className="mt-3 w-[220px]">
      <Quantity
        id="bottlePrice"
        label="What it cost"
        hint={`for ${formatQuantity(forMl, 'volume', units)}`}
        kind="money"
        units={units}
        optional
        value={brew.price?.amount ?? ''}
        onChange={(value) => {
          if (value === '') void tellPrice(brew.id, null);
          else if (typeof value === 'number' && value >= 0 && value <= limits.price.max) void tellPrice(brew.id, value);
        }}
      />
    </div>
  );
}

function keepsWords(days: number): string {
  return days >= 700
    ? `${Math.round(days / 365)} years`
    : days >= 60
      ? `${Math.round(days / 30)} months`
      : `${days} days`;
}

/** The rolls that a jug is for, and the way back to each. */
function JugRolls({ brewId }: { brewId: string }) {
  const rolls = useJugRolls(brewId);
  if (rolls === undefined || rolls.length === 0) return null;
  return (
    <p className="mb-4" data-testid="jug-rolls">
      For{' '}
      {rolls.map(({ id, label }, index) => (
        <span key={id}>
          {index > 0 && ', '}
          <Link href={`/rolls/${encodeURIComponent(id)}`}>{label}</Link>
        </span>
      ))}
    </p>
  );
}

/** Most films that are taken of a jug. Source: our choice, as everywhere. */
const MOST_FILMS = limits.jugFilms.max;

/** What its owner knows of a jug that was mixed earlier, or without the mix sheet. */
function JugPast({ brew }: { brew: Brew }) {
  const units = useSettings();
  const films = (value: number | string): value is number =>
    typeof value === 'number' && value >= 0 && value <= MOST_FILMS;
  return (
    <details>
      <summary className="w-fit underline underline-offset-3">Mixed earlier? Its date, films and tally</summary>
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <div>
          <label htmlFor="mixedAt" className="block font-[620]">
            Mixed
          </label>
          <input
            id="mixedAt"
            type="datetime-local"
            className="box mt-1"
            max={format(new Date(brew.updatedMs), "yyyy-MM-dd'T'HH:mm")}
            value={format(brew.mixedMs, "yyyy-MM-dd'T'HH:mm")}
            onChange={(event) => {
              const mixedMs = new Date(event.target.value).getTime();
              if (mixedMs > 0 && mixedMs <= Date.now()) void tellJug(brew.id, { mixedMs });
            }}
          />
        </div>
        <div className="w-[150px]">
          <Quantity
            id="jugFilms"
            label="Films through it"
            kind="count"
            units={units}
            value={Number(brew.films.toFixed(1))}
            onChange={(value) => {
              if (films(value)) void tellJug(brew.id, { films: value });
            }}
          />
        </div>
        <div className="w-[250px]">
          <Quantity
            id="jugTakes"
            label="It takes, in all"
            hint="empty: the usual"
            kind="count"
            units={units}
            optional
            value={brew.takesFilms ?? ''}
            onChange={(value) => {
              if (value === '') void tellJug(brew.id, { takesFilms: undefined });
              else if (films(value)) void tellJug(brew.id, { takesFilms: value });
            }}
          />
        </div>
      </div>
    </details>
  );
}
