'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import type { FirstOfBox } from '@/core/plan/firstOfBox';
import { bulkReel } from '@/core/films/bulkReel';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import type { Box } from '@/core/records/records';
import { addToBox, changeBox, putInBox, removeBox, useBox } from '@/data/boxes';
import { useBrews, useSettings, type Bench, type RollDossier } from '@/data/queries';
import { MOST_AT_ONCE } from '@/data/rollsAtOnce';
import { useBenchTimes } from '@/features/bench/useBenchTimes';
import { useLearned } from '@/features/learning/useLearned';
import { NotHere } from '@/features/shell/NotHere';
import { rollShortLine } from '@/features/words/rollWords';
import { Quantity } from '@/ui/Quantity';
import { useNow } from '@/ui/useNow';
import { useTitle } from '@/ui/useTitle';
import { coreWorker } from '@/workers/core';
import { boxInShort, firstWords, outcomeWords } from './boxWords';
import { Fold } from '@/ui/Fold';

/** How often the age of the rolls is looked at again, ms. */
const LOOK_AGAIN_MS = 60 * 60_000;

/** Rolls that came together: how each came out, and which one goes first. */
export function BoxPage({ boxId }: { boxId: string }) {
  const found = useBox(boxId);
  if (found === undefined) return <p aria-busy="true">Opening the box.</p>;
  if (found === null) return <NotHere table="boxes" id={boxId} what="This box" />;
  return <BoxView box={found.box} dossiers={found.dossiers} />;
}

function BoxView({ box, dossiers }: { box: Box; dossiers: RollDossier[] }) {
  useTitle(box.name);
  const router = useRouter();
  const nowMs = useNow(LOOK_AGAIN_MS);
  const brews = useBrews();
  const bench = useMemo<Bench | undefined>(
    () => (brews === undefined ? undefined : { dossiers, brews, anyFinished: true }),
    [dossiers, brews],
  );
  const times = useBenchTimes(bench, nowMs);
  const first = useFirst(bench, nowMs);
  const firstLabel = dossiers.find(({ roll }) => roll.id === first?.rollId)?.roll.label;
  const nowYear = new Date(nowMs).getFullYear();
  return (
    <div className="measure">
      <BoxName box={box} />
      <p className="text-ink2">
        {boxInShort(dossiers)}. They lay together: what one of them shows tells of the others.
      </p>
      {first !== null && firstLabel !== undefined && (
        <p className="mt-4 max-w-[62ch] border-s-4 border-chem ps-3" data-testid="first-of-box">
          {firstWords(first, firstLabel)}{' '}
          <Link href={`/rolls/${encodeURIComponent(first.rollId)}`} className="act-plain" data-next-step>
            Open it
          </Link>
        </p>
      )}
      <ul className="mt-5 border-b border-hair" aria-label="Rolls of the box">
        {dossiers.map((dossier) => {
          const { roll, stock } = dossier;
          const time = times.get(roll.id);
          return (
            <li
              key={roll.id}
              className="rule-row grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-5 gap-y-1 sm:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_120px_auto]"
            >
              <div className="min-w-0">
                <Link href={`/rolls/${encodeURIComponent(roll.id)}`} className="num text-[17px] text-ink">
                  {roll.label}
                </Link>
                <div className="text-[13px] text-ink2">{rollShortLine(roll, stock, nowYear)}</div>
              </div>
              <span className="max-sm:col-start-1">{outcomeWords(dossier)}</span>
              <span className="max-sm:col-start-1">
                {time !== undefined && (
                  <>
                    <span className="num text-[18px]">{formatMinutes(time.timeMin)}</span>
                    <span className="block text-[13px] text-ink2">
                      {formatMinutes(time.lowMin)}–{formatMinutes(time.highMin)}
                    </span>
                  </>
                )}
              </span>
              <button
                type="button"
                className="act-plain min-h-11 text-[14px] max-sm:col-start-2 max-sm:row-start-1"
                onClick={() => void putInBox(roll.id, null)}
              >
                take out<span className="sr-only"> {roll.label}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <MoreRolls box={box} like={dossiers.at(-1)} />
      <Reel box={box} dossiers={dossiers} />
      <button
        type="button"
        className="act-plain mt-4 min-h-11 text-danger"
        onClick={() => void removeBox(box).then(() => router.push('/rolls'))}
      >
        Take the box apart, and keep its rolls
      </button>
    </div>
  );
}

/** The name, changed in its place. */
function BoxName({ box }: { box: Box }) {
  const [typed, setTyped] = useState<string | null>(null);
  const name = typed ?? box.name;
  const wrong = name.trim() === '' || name.length > 120;
  return (
    <h1 className="m-0">
      <input
        aria-label="Name of the box"
        className="w-full border-b border-transparent bg-transparent text-ink hover:border-edge focus:border-edge aria-invalid:border-danger"
        value={name}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          const kept = event.target.value.trim();
          if (kept !== '' && kept.length <= 120) void changeBox(box.id, { name: kept });
        }}
        onBlur={() => {
          if (!wrong) setTyped(null);
        }}
      />
      {wrong && (
        <span role="alert" className="block font-sans text-[14px] text-danger">
          Give it a name of 1 to 120 letters.
        </span>
      )}
    </h1>
  );
}

/** More rolls like one that is there. */
function MoreRolls({ box, like }: { box: Box; like: RollDossier | undefined }) {
  const units = useSettings();
  const [count, setCount] = useState<number | string>(1);
  if (like === undefined)
    return <p className="rule-row text-ink2">No rolls are in it. Put one in from its own page.</p>;
  const fits = typeof count === 'number' && Number.isInteger(count) && count >= 1 && count <= MOST_AT_ONCE;
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (fits) void addToBox(box, like.roll, count);
      }}
    >
      <div className="w-40">
        <Quantity
          id="more"
          label="More like these"
          kind="count"
          units={units}
          value={count}
          onChange={setCount}
          error={fits ? undefined : `Give 1 to ${MOST_AT_ONCE} rolls.`}
        />
      </div>
      <button type="submit" className="act">
        Put them in
      </button>
    </form>
  );
}

/** The reel that rolls of the box are cut from, and what is left on it. */
function Reel({ box, dossiers }: { box: Box; dossiers: readonly RollDossier[] }) {
  const units = useSettings();
  const [typed, setTyped] = useState<number | string>(box.reelM ?? '');
  const sound = typeof typed === 'number' && typed >= SHORTEST_REEL_M && typed <= LONGEST_REEL_M;
  const reel = sound
    ? bulkReel(
        typed,
        dossiers.map(({ roll }) => roll.formatId),
      )
    : null;
  return (
    <Fold className="mt-4" filled={box.reelM !== undefined}>
      <summary className="act-plain w-fit">They are cut from a reel</summary>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <div className="w-40">
          <Quantity
            id="reelM"
            label="The reel had, m"
            kind="gradient"
            units={units}
            optional
            value={typed}
            onChange={(next) => {
              setTyped(next);
              if (next === '') void changeBox(box.id, { reelM: undefined });
              else if (typeof next === 'number' && next >= SHORTEST_REEL_M && next <= LONGEST_REEL_M)
                void changeBox(box.id, { reelM: next });
            }}
            error={typed === '' || sound ? undefined : `Give ${SHORTEST_REEL_M} to ${LONGEST_REEL_M} m.`}
          />
        </div>
        {reel !== null && (
          <p className="pb-2" data-testid="reel-left">
            About {formatNumber(reel.leftM, 1)} m left: {reel.more} more of 36.
          </p>
        )}
      </div>
    </Fold>
  );
}

/** Lengths of reels that are taken, m. Source: our choice; 610 m is the longest that is made. */
const SHORTEST_REEL_M = 0.5;
const LONGEST_REEL_M = 610;

/** Which roll goes first; null while it is not known, and where there is nothing to choose. */
function useFirst(bench: Bench | undefined, nowMs: number): FirstOfBox | null {
  const learned = useLearned();
  const [first, setFirst] = useState<FirstOfBox | null>(null);
  useEffect(() => {
    if (bench === undefined || learned?.all !== true) return;
    let stale = false;
    const waiting = bench.dossiers
      .filter(({ standing, run }) => run === undefined && !standing.forbidden)
      .map(({ roll, stock, plan, planDraft }) => ({ roll, stock, plan, planDraft }));
    void coreWorker()
      .firstOfBox(waiting, bench.brews, nowMs)
      .then((found) => {
        if (!stale) setFirst(found);
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [bench, nowMs, learned]);
  return first;
}
