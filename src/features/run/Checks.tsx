'use client';

import * as z from 'zod';
import { jugsFor, tankChecks, type JugTally, type TankCheck } from '@/core/run/tankChecks';
import type { Brew, Roll, Run } from '@/core/records/records';
import type { RunProgress } from '@/core/run/runProgress';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { useBrews, useSettings } from '@/data/queries';
import { chooseJug } from '@/data/runs';
import { useDraft } from '@/features/drafts/useDraft';
import { Choice } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';

interface ChecksProps {
  run: Run;
  roll: Roll;
  /** Other rolls in the tank. */
  mates: readonly Pick<Roll, 'formatId'>[];
  progress: RunProgress;
  clockIsRight: boolean;
  nowMs: number;
}

const ticksSchema = z.object({ lid: z.boolean(), gloves: z.boolean() }).partial();
const NO_TICKS = { lid: false, gloves: false };

/** A clock that goes as it should is no news. */
const isWorthSaying = ({ id, state }: TankCheck): boolean => id !== 'clock' || state !== 'good';

/** What to be sure of before the first pour. It fills itself in where the bench knows, and stops nobody. */
export function Checks({ run, roll, mates, progress, clockIsRight, nowMs }: ChecksProps) {
  const settings = useSettings();
  const brews = useBrews();
  const { form: kept, change } = useDraft(`checks:${run.id}`, ticksSchema, (before) => before ?? {});
  const ticks = { ...NO_TICKS, ...kept };
  const checks = tankChecks(
    run,
    progress,
    [roll.formatId, ...mates.map(({ formatId }) => formatId)],
    brews ?? [],
    clockIsRight,
    nowMs,
  );
  return (
    <section aria-labelledby="checks" className="mt-4 measure">
      <h2 id="checks">Before the first pour</h2>
      <ul className="mt-1">
        {checks.filter(isWorthSaying).map((check) => (
          <Line key={check.id} state={check.state}>
            {(check.id === 'stop' || check.id === 'fix') && brews !== undefined ? (
              <JugCheck run={run} which={check.id} tally={check.jug} brews={brews} nowMs={nowMs} />
            ) : (
              checkWords(check, settings)
            )}
          </Line>
        ))}
        <Line state={ticks.lid ? 'good' : 'open'}>
          <Tick
            id="check-lid"
            label="The lid is on, and turns without leaking"
            checked={ticks.lid}
            onChange={(lid) => change({ lid })}
          />
        </Line>
        <Line state={ticks.gloves ? 'good' : 'open'}>
          <Tick
            id="check-gloves"
            label="Gloves on, eye protection on"
            checked={ticks.gloves}
            onChange={(gloves) => change({ gloves })}
          />
        </Line>
      </ul>
    </section>
  );
}

const marks: Record<TankCheck['state'], { sign: string; word: string }> = {
  good: { sign: '✓', word: 'Good' },
  warn: { sign: '!', word: 'Look at this' },
  open: { sign: '○', word: 'Open' },
};

function Line({ state, children }: { state: TankCheck['state']; children: React.ReactNode }) {
  return (
    <li className="flex items-center gap-3 border-t border-hair py-1.5 text-[16px]">
      <span aria-hidden className={state === 'warn' ? 'num w-4 font-bold text-danger' : 'num w-4'}>
        {marks[state].sign}
      </span>
      <span className="sr-only">{marks[state].word}: </span>
      <div className="min-w-0 flex-1">{children}</div>
    </li>
  );
}

function checkWords(check: TankCheck, units: UnitChoice): string {
  switch (check.id) {
    case 'volume': {
      const wanted = formatQuantity(check.wantedMl, 'volume', units);
      if (check.volumeMl === null) return `The film wants ${wanted} to be covered.`;
      const volume = formatQuantity(check.volumeMl, 'volume', units);
      return check.state === 'warn'
        ? `${volume} is less than the ${wanted} that cover this film.`
        : `${volume} cover this film (${wanted}).`;
    }
    case 'temperature': {
      const planned = formatQuantity(check.plannedC, 'temperature', units);
      if (check.celsius === null) return `Developer: planned at ${planned}. Set it with − and +.`;
      const read = formatQuantity(check.celsius, 'temperature', units);
      return check.state === 'warn'
        ? `Developer: ${read}, planned at ${planned}. The time follows what you measured.`
        : `Developer: ${read}, as planned.`;
    }
    case 'brew':
      if (check.spent) return 'The brew is spent: mix a fresh one, or expect a thin film.';
      if (check.state === 'warn') return 'The brew will be spent by this film.';
      return check.left === null
        ? 'Its leaflet says how many films the developer lasts.'
        : `After this film the brew has ${Math.round(check.left * 100)} % of its strength left.`;
    case 'clock':
      return 'The computer’s clock was set while this page was open. The tank counts by its own.';
    default:
      return '';
  }
}

interface JugCheckProps {
  run: Run;
  which: 'stop' | 'fix';
  tally: JugTally | null;
  brews: readonly Brew[];
  nowMs: number;
}

/** Which jug stop or fixer comes from, and how far it is used. */
function JugCheck({ run, which, tally, brews, nowMs }: JugCheckProps) {
  const jugs = jugsFor(brews, which, nowMs);
  const name = which === 'stop' ? 'Stop' : 'Fixer';
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <Choice
        id={`jug-${which}`}
        label={name}
        inline
        value={tally?.id ?? ''}
        options={[
          { value: '', name: 'not on this bench' },
          ...jugs.map(({ id, name: jug, code }) => ({ value: id, name: `${jug}, ${code}` })),
        ]}
        onChange={(id) => void chooseJug(run.id, which, id === '' ? null : id)}
      />
      <span className={tally?.state === 'spent' ? 'text-danger' : 'text-ink2'}>{tallyWords(tally)}</span>
    </div>
  );
}

function tallyWords(tally: JugTally | null): string {
  if (tally === null) return 'standing by, within 3 °C of the developer';
  const films = `${formatNumber(tally.films, 0)} ${tally.films === 1 ? 'film' : 'films'} through it`;
  const of = tally.takes === null ? films : `${films} of about ${Math.floor(tally.takes)}`;
  const clears =
    tally.clearingFactor === null || tally.clearingFactor === 1
      ? ''
      : `, clearing takes ${formatNumber(tally.clearingFactor, 1)} times as long as fresh`;
  const thin =
    tally.slower > 1.05 ? `, thin: fixing takes ${formatNumber(tally.slower, 1)} times as long, counted in below` : '';
  const end = tally.state === 'spent' ? ': spent, mix a fresh one' : tally.state === 'near' ? ': near its end' : '';
  return `${of}${clears}${thin}${end}`;
}
