'use client';

import Link from 'next/link';
import type { BenchTime } from '@/core/plan/benchTimes';
import type { AskAnswer } from '@/core/plan/askAnswer';
import { nextAction } from '@/core/plan/nextAction';
import { runProgress } from '@/core/run/runProgress';
import { developSeconds } from '@/core/plan/developSeconds';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { useBench, useFinishedCount, useLastJudged, type Bench, type RollDossier } from '@/data/queries';
import { contrastGrades } from '@/core/outcome/grades';
import { AskPage } from '@/features/ask/AskPage';
import { Shelf } from '@/features/brew/Shelf';
import { lowerFirst } from '@/core/units/lowerFirst';
import { SaveReminder } from '@/features/records/SinceSaved';
import { rollShortLine } from '@/features/words/rollWords';
import { SmallRibbon } from '@/ui/Ribbon';
import { classes } from '@/ui/classes';
import { countText } from '@/core/units/language';
import { useNow } from '@/ui/useNow';
import { benchHeadline } from './benchWords';
import { useBenchTimes } from './useBenchTimes';

/** Everything in hand: rolls with their next action, jugs with what is left in them, the last thing learned. */
export function BenchView({ firstAnswer }: { firstAnswer: AskAnswer | null }) {
  const nowMs = useNow(60_000);
  const bench = useBench();
  const finished = useFinishedCount();
  const times = useBenchTimes(bench, nowMs);
  if (bench === undefined) return <p aria-busy="true">Opening the bench.</p>;
  if (bench.dossiers.length === 0 && !bench.anyFinished) {
    return <AskPage first={firstAnswer} empty />;
  }
  const open = bench.dossiers;
  const poor = new Set([...times.values()].filter((time) => time.poor).map(({ rollId }) => rollId));
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_330px]">
      <div className="min-w-0">
        <h1>
          {benchHeadline(bench.dossiers, bench.brews, nowMs, poor).map((sentence) => (
            <span key={sentence} className="block">
              {sentence}
            </span>
          ))}
        </h1>
        <p className="mt-1">
          <Link href="/ask" className="act-plain">
            Ask: how long in this?
          </Link>
        </p>
        <ul className="mt-4" aria-label="Rolls on the bench">
          {inOrder(open).map((dossier, index) => (
            <BenchRow
              key={dossier.roll.id}
              dossier={dossier}
              time={times.get(dossier.roll.id)}
              nowMs={nowMs}
              first={index === 0}
            />
          ))}
        </ul>
        <div className="rule-row flex flex-wrap gap-x-6 gap-y-2">
          <Link href="/rolls/new" className="act-plain">
            Add a roll
          </Link>
          <Link href="/evening" className="act-plain">
            Plan the evening
          </Link>
          {bench.anyFinished && (
            <Link href="/rolls" className="act-plain">
              {finished === undefined
                ? 'Finished rolls'
                : `${countText(finished)} ${finished === 1 ? 'finished roll' : 'finished rolls'}`}
            </Link>
          )}
        </div>
        <SaveReminder />
      </div>
      <aside className="min-w-0 space-y-8">
        <Jugs brews={bench.brews} nowMs={nowMs} />
        <LastJudged />
      </aside>
    </div>
  );
}

/** Rolls at the tank first, then those that can go, then those that wait for facts, then the forbidden. */
function inOrder(dossiers: readonly RollDossier[]): RollDossier[] {
  const rank = ({ standing, run }: RollDossier): number => {
    if (standing.forbidden) return 9;
    if (isRunning(run)) return 0;
    return { run: 1, mix: 2, test: 3, choose: 4, judge: 5, expose: 6, identify: 7 }[standing.atHand ?? 'judge'];
  };
  return [...dossiers].sort((a, b) => rank(a) - rank(b));
}

function isRunning(run: RollDossier['run']): boolean {
  return run !== undefined && runProgress(run.steps, run.events).phase === 'running';
}

function BenchRow({
  dossier,
  time,
  nowMs,
  first,
}: {
  dossier: RollDossier;
  time: BenchTime | undefined;
  nowMs: number;
  first: boolean;
}) {
  const { roll, stock, standing, run } = dossier;
  const running = isRunning(run);
  const action = nextAction(standing, running);
  const href =
    running && run !== undefined
      ? `/runs/${encodeURIComponent(run.id)}`
      : `/rolls/${encodeURIComponent(roll.id)}${action.stage === null ? '' : `#${action.stage}`}`;
  return (
    <li className="rule-row grid grid-cols-[1fr_auto] items-center gap-x-6 gap-y-2 sm:grid-cols-[182px_1fr_auto_auto]">
      <div className="col-span-2 sm:col-span-1">
        <SmallRibbon standing={standing} />
      </div>
      <div className="min-w-0 wrap-anywhere">
        <Link
          href={`/rolls/${encodeURIComponent(roll.id)}`}
          className={classes(
            'num text-[17px] no-underline hover:underline',
            standing.forbidden ? 'text-danger' : 'text-ink',
          )}
        >
          {roll.label}
        </Link>
        <div className="text-[13px] text-ink2">
          {standing.forbidden
            ? 'Likely nitrate: do not process here'
            : rollShortLine(roll, stock, new Date(nowMs).getFullYear())}
        </div>
      </div>
      <div className="text-end whitespace-nowrap">{time && <TimeInBrief time={time} />}</div>
      <Link
        href={href}
        className={classes(
          'act col-span-2 justify-self-start sm:col-span-1 sm:w-[150px] sm:justify-self-end',
          first && 'act-primary',
        )}
        data-next-step={first || undefined}
      >
        {action.label}
      </Link>
    </li>
  );
}

/** Bands wider than this are told before the time is. */
const WIDE_RATIO = 3;

function TimeInBrief({ time }: { time: BenchTime }) {
  const wide = time.highMin / time.lowMin > WIDE_RATIO;
  return (
    <>
      <div className="num text-[18px]">
        {time.poor && !time.own
          ? 'Probably blank'
          : wide && !time.pinned && !time.own
            ? 'Too wide to say'
            : formatDuration(developSeconds(time))}
        {time.pinned && <span className="sr-only">, set</span>}
      </div>
      <div className="text-[13px] text-ink2">
        {formatMinutes(time.lowMin)}–{formatMinutes(time.highMin)}
      </div>
    </>
  );
}

/** Jugs that stand on the bench: the others are on the shelf. Source: our choice. */
const FIRST_JUGS = 10;

function Jugs({ brews, nowMs }: { brews: Bench['brews']; nowMs: number }) {
  return (
    <section aria-labelledby="jugs">
      <h2 id="jugs">Jugs</h2>
      {brews.length === 0 && (
        <p className="rule-row mt-2 text-ink2">No jugs yet. A brew appears here once you mix it.</p>
      )}
      <Shelf brews={brews} nowMs={nowMs} first={FIRST_JUGS} allHref="/brews" />
    </section>
  );
}

function LastJudged() {
  const last = useLastJudged();
  if (last == null || last.verdict === null) return null;
  const grade = contrastGrades[String(last.verdict.contrast) as keyof typeof contrastGrades];
  return (
    <section aria-labelledby="latest-result">
      <h2 id="latest-result">Latest result</h2>
      <p className="rule-row mt-2">
        <b className="wrap-anywhere">{last.roll}</b>, {last.film},{' '}
        <span className="num">
          {formatDuration(developSeconds({ timeMin: last.plannedMin, own: last.plannedOwn }))}
        </span>{' '}
        in {lowerFirst(last.developer)}: contrast {grade.toLowerCase()}.
      </p>
    </section>
  );
}
