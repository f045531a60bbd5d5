'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { isPourable } from '@/core/brewing/bottle';
import { MOST_YEARS_PAST, rollFormOfAsk, type Ask, type KnownElsewhere } from '@/core/plan/ask';
import type { AskAnswer } from '@/core/plan/askAnswer';
import type { Brew } from '@/core/records/records';
import { limits } from '@/core/schema/limits';
import { minutesToInput, parseMinutes, formatMinutes } from '@/core/units/duration';
import { formatQuantity, parseQuantity, quantityToInput, type UnitChoice } from '@/core/units/quantity';
import { useBrews, useSettings } from '@/data/queries';
import { startMix } from '@/data/brews';
import { addRoll } from '@/data/rolls';
import { Band } from '@/ui/Band';
import { CautionList } from '@/ui/CautionList';
import { useNow } from '@/ui/useNow';
import { coreWorker } from '@/workers/core';
import { OtherBench } from '@/features/shell/OtherBench';
import { Outlook } from '@/features/roll/plan/Outlook';
import {
  ageOptions,
  bestLine,
  developerOptions,
  exposureOptions,
  familyOptions,
  formatOptions,
  lookLine,
  placeOptions,
  strategyLine,
  strategyOptions,
  whyLine,
} from './askWords';
import { useAsk, useAskAnswer, type Answered } from './useAsk';
import { NumberWord, Word } from './Word';

/** How often the age of jugs is looked at again, ms. */
const LOOK_AGAIN_MS = 60_000;

interface AskViewProps {
  /** The answer to the first question, so that it stands there with the sentence. */
  first: AskAnswer | null;
  /** Whether the bench holds nothing yet: then ways to begin stand beneath. */
  empty: boolean;
}

/** The question and its answer: how long in this? */
export default function AskView({ first, empty }: AskViewProps) {
  const brews = useBrews();
  const jugs = useMemo(() => brews?.filter(isPourable) ?? NO_JUGS, [brews]);
  const units = useSettings();
  const nowMs = useNow(LOOK_AGAIN_MS);
  const { ask, change, elsewhere, unread } = useAsk();
  const answered = useAskAnswer(ask, jugs, nowMs, first);
  return (
    <div className="pt-2 sm:pt-8">
      <h1 className="sr-only">How long in this?</h1>
      {unread !== null && (
        <p role="alert" className="mb-4 max-w-[70ch] border-s-4 border-heat ps-3">
          {unread}
        </p>
      )}
      <Sentence ask={ask} change={change} jugs={jugs} units={units} />
      <AnswerView
        ask={ask}
        change={change}
        answered={answered}
        jugs={jugs}
        nowMs={nowMs}
        units={units}
        elsewhere={elsewhere}
      />
      <Ways empty={empty} />
    </div>
  );
}

const NO_JUGS: readonly Brew[] = [];

interface SentenceProps {
  ask: Ask;
  change: (part: Partial<Ask>) => void;
  jugs: readonly Brew[];
  units: UnitChoice;
}

/** The sentence whose words are the controls. */
function Sentence({ ask, change, jugs, units }: SentenceProps) {
  const takeAge = (text: string): boolean => {
    const years = Number(text.trim());
    if (text.trim() === '' || !Number.isInteger(years) || years < 0 || years > MOST_YEARS_PAST) return false;
    change({ past: years });
    return true;
  };
  const takeTemperature = (text: string): boolean => {
    const read = parseQuantity(text, 'temperature', units);
    if (!read.ok || !isBath(read.value)) return false;
    change({ temperatureC: read.value });
    return true;
  };
  const years = typeof ask.past === 'number' ? ask.past : null;
  return (
    <p className="num max-w-[30em] text-[23px] leading-[1.75] font-[400] sm:text-[31px] sm:leading-[1.62]">
      A roll of{' '}
      <Word label="Film" value={ask.familyId} options={familyOptions} onChange={(familyId) => change({ familyId })} />{' '}
      in{' '}
      <Word label="Size" value={ask.formatId} options={formatOptions} onChange={(formatId) => change({ formatId })} />,{' '}
      {years !== null && (
        <>
          about{' '}
          <NumberWord
            id="ask-past"
            label="Years past its date"
            text={String(years)}
            width={2}
            range={`0 to ${MOST_YEARS_PAST}`}
            onType={takeAge}
            onStep={(by) => change({ past: Math.min(MOST_YEARS_PAST, Math.max(0, years + by)) })}
          />{' '}
        </>
      )}
      <Word
        label="Age"
        value={String(ask.past)}
        options={
          years === null || ageOptions.some(({ value }) => value === String(years))
            ? ageOptions
            : [...ageOptions, { value: String(years), name: `about ${years} years past its date` }]
        }
        shown={years === null ? undefined : 'years past its date'}
        onChange={(next) => change({ past: next === 'new' || next === 'unknown' ? next : Number(next) })}
      />
      , kept in{' '}
      <Word
        label="Kept in"
        value={ask.storageId}
        options={placeOptions}
        onChange={(storageId) => change({ storageId })}
      />
      ,{' '}
      <Word
        label="Exposure"
        value={ask.exposure}
        options={exposureOptions}
        onChange={(exposure) => change({ exposure })}
      />
      , in{' '}
      <Word
        label="Developer"
        value={ask.developer}
        options={developerOptions(jugs)}
        shown={
          ask.developer.startsWith('jug:') && !jugs.some(({ id }) => `jug:${id}` === ask.developer)
            ? 'a jug that is gone'
            : undefined
        }
        onChange={(developer) => change({ developer })}
      />{' '}
      {ask.temperatureC === null ? (
        <Word
          label="Temperature"
          value="unknown"
          options={[
            {
              value: 'unknown',
              name: 'at a temperature I don’t know',
              hint: `${formatQuantity(20, 'temperature', units)} is counted`,
            },
            { value: '20', name: `at ${formatQuantity(20, 'temperature', units)}` },
          ]}
          onChange={(next) => change({ temperatureC: next === 'unknown' ? null : 20 })}
        />
      ) : (
        <>
          at{' '}
          <NumberWord
            key={units.temperature}
            id="ask-temperature"
            label={`Temperature, °${units.temperature}`}
            text={quantityToInput(ask.temperatureC, 'temperature', units)}
            width={2}
            range={degreesRange(units)}
            onType={takeTemperature}
            onStep={(by) =>
              change({
                temperatureC: heldToBath((ask.temperatureC ?? 20) + by * (units.temperature === 'F' ? 5 / 9 : 1)),
              })
            }
          />{' '}
          <Word
            label="Unit of the temperature"
            value="known"
            options={[
              { value: 'known', name: `°${units.temperature}` },
              {
                value: 'unknown',
                name: 'I don’t know',
                hint: `${formatQuantity(20, 'temperature', units)} is counted`,
              },
            ]}
            onChange={(next) => change({ temperatureC: next === 'unknown' ? null : ask.temperatureC })}
          />
        </>
      )}
      .
    </p>
  );
}

interface AnswerProps {
  ask: Ask;
  change: (part: Partial<Ask>) => void;
  answered: Answered;
  jugs: readonly Brew[];
  nowMs: number;
  units: UnitChoice;
  elsewhere: KnownElsewhere;
}

const { min: COLDEST_C, max: HOTTEST_C } = limits.bathC;
const isBath = (celsius: number): boolean => celsius >= COLDEST_C && celsius <= HOTTEST_C;
const heldToBath = (celsius: number): number => Math.min(HOTTEST_C, Math.max(COLDEST_C, celsius));

function degreesRange(units: UnitChoice): string {
  return [COLDEST_C, HOTTEST_C].map((celsius) => formatQuantity(celsius, 'temperature', units)).join(' to ');
}

/** The time, its band, what would narrow it, and the ways on. */
function AnswerView({
  ask,
  change,
  answered: { answer, current, reading, failed },
  jugs,
  nowMs,
  units,
  elsewhere,
}: AnswerProps) {
  const likelyNitrate = answer?.nitrate === 'likely';
  return (
    <section aria-label="Answer" className="mt-6 border-t-[1.5px] border-ink pt-5">
      {answer === null ? (
        <p role={failed === null ? 'status' : 'alert'} className="min-h-[110px]">
          {failed ??
            (ask.developer.startsWith('jug:') && current
              ? 'That jug is not on this bench. Choose another developer.'
              : 'Calculating.')}
        </p>
      ) : (
        <div aria-live="polite" aria-busy={!current}>
          {!likelyNitrate && <Outlook estimate={{ outlook: answer.outlook, converged: true }} stale={false} />}
          <div className="grid items-end gap-x-10 gap-y-4 md:grid-cols-[auto_minmax(0,1fr)_auto]">
            <span
              className="num text-[76px] leading-[.9] font-[600] tracking-[-.035em] sm:text-[104px]"
              data-testid="time"
            >
              {likelyNitrate ? 'Stop' : answer.guess ? 'no estimate' : formatMinutes(answer.timeMin)}
            </span>
            <div className="min-w-0 max-w-[520px]">
              {!answer.guess && !likelyNitrate && (
                <>
                  <Band timeMin={answer.timeMin} lowMin={answer.lowMin} highMin={answer.highMin} />
                  <p data-testid="band">
                    80 % likely between {formatMinutes(answer.lowMin)} and {formatMinutes(answer.highMin)}.{' '}
                    <span className="text-[14px] text-ink2">{lookLine(answer)}</span>
                  </p>
                </>
              )}
              {answer.guess && <p>Nothing is known of this developer yet.</p>}
              {likelyNitrate && <p>Likely on nitrate base. Read on before anything else.</p>}
            </div>
            {!likelyNitrate && <Keep ask={ask} jugs={jugs} nowMs={nowMs} guess={answer.guess} />}
          </div>
          {reading && (
            <p className="mt-2 text-[14px] text-ink2">Your log is still being read; this is without the rest of it.</p>
          )}
          <div className="mt-3">
            <CautionList cautions={answer.cautions} />
          </div>
          {!likelyNitrate && (
            <div className="mt-6 grid gap-x-11 gap-y-4 md:grid-cols-3">
              <Reason title="What would narrow it most">{bestLine(answer)}</Reason>
              <Reason title="Why not the time on a leaflet">{whyLine(answer)}</Reason>
              <KnownTime ask={ask} change={change} units={units} elsewhere={elsewhere} />
            </div>
          )}
          {!likelyNitrate && (
            <p className="mt-4 text-[15px]">
              Treated{' '}
              <Word
                label="Strategy"
                value={ask.strategy}
                options={strategyOptions}
                onChange={(strategy) => change({ strategy })}
              />
              . {strategyLine(answer)}
            </p>
          )}
        </div>
      )}
    </section>
  );
}

function Reason({ title, children }: { title: string; children: string }) {
  return (
    <div className="border-t border-hair pt-2">
      <h2 className="text-[16px]">{title}</h2>
      <p className="mt-0.5 text-[14px] text-ink2">{children}</p>
    </div>
  );
}

/** A time from a leaflet or a notebook, for fresh film in this developer. */
function KnownTime({ ask, change, units, elsewhere }: Pick<AnswerProps, 'ask' | 'change' | 'units' | 'elsewhere'>) {
  const waiting = Object.values(elsewhere).flatMap(({ knownMin }) => knownMin ?? []);
  return (
    <div className="border-t border-hair pt-2">
      <h2 className="text-[16px]">I know a time</h2>
      <p className="mt-0.5 text-[14px] text-ink2">
        For this film, when fresh, in this developer, the leaflet says{' '}
        <NumberWord
          id="ask-known"
          label="Time on the leaflet, min"
          text={ask.knownMin === null ? '' : minutesToInput(ask.knownMin)}
          placeholder="9:45"
          width={4}
          range="30 s to 180 min, as 9:45"
          onType={(text) => {
            if (text.trim() === '') {
              change({ knownMin: null });
              return true;
            }
            const minutes = parseMinutes(text);
            if (minutes === null || minutes < 0.5 || minutes > 180) return false;
            change({ knownMin: minutes });
            return true;
          }}
          onStep={(by) => change({ knownMin: Math.min(180, Math.max(0.5, (ask.knownMin ?? 9) + by * 0.25)) })}
        />{' '}
        at{' '}
        <NumberWord
          key={units.temperature}
          id="ask-known-at"
          label={`Temperature on the leaflet, °${units.temperature}`}
          text={quantityToInput(ask.knownC, 'temperature', units)}
          width={2}
          range={degreesRange(units)}
          onType={(text) => {
            const read = parseQuantity(text, 'temperature', units);
            if (!read.ok || !isBath(read.value)) return false;
            change({ knownC: read.value });
            return true;
          }}
          onStep={(by) => change({ knownC: heldToBath(ask.knownC + by) })}
        />{' '}
        °{units.temperature}.{' '}
        {ask.knownMin !== null && (
          <button type="button" className="act-plain" onClick={() => change({ knownMin: null })}>
            Forget it
          </button>
        )}
        {ask.knownMin === null && waiting.length > 0 && (
          <>
            {waiting.map((minutes) => formatMinutes(minutes)).join(' and ')}{' '}
            {waiting.length === 1
              ? 'was said of another film or developer, and waits there.'
              : 'were said of others, and wait there.'}
          </>
        )}
      </p>
    </div>
  );
}

/** The two ways on: keep the roll with its plan, or go to weighing with it. */
function Keep({ ask, jugs, nowMs, guess }: Pick<AnswerProps, 'ask' | 'jugs' | 'nowMs'> & { guess: boolean }) {
  const router = useRouter();
  const { kit } = useSettings();
  const [fault, setFault] = useState<string | null>(null);
  const busy = useRef(false);
  const keep = async (use: boolean): Promise<void> => {
    // A second tap on its way is the same tap.
    if (busy.current) return;
    busy.current = true;
    try {
      const { form, pin, batch } = await coreWorker().keepAsk(ask, jugs, nowMs, kit);
      const roll = rollFormOfAsk(ask, new Date(nowMs).getFullYear());
      const id = await addRoll(roll, { form, pin: use ? pin : null });
      if (use && batch !== null) router.push(`/brews/mix/${encodeURIComponent(await startMix(batch, id))}`);
      else {
        const stage = !use ? '' : pin?.choices.brewId == null ? '#mix' : '#run';
        router.push(`/rolls/${encodeURIComponent(id)}${stage}`);
      }
    } catch (error) {
      busy.current = false;
      setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.');
    }
  };
  return (
    <div className="flex flex-col gap-2 sm:flex-row md:flex-col lg:flex-row">
      <button type="button" className="act act-primary" data-next-step onClick={() => void keep(false)}>
        Put it on the bench
      </button>
      {!guess && (
        <button type="button" className="act" onClick={() => void keep(true)}>
          Use it now
        </button>
      )}
      {fault !== null && (
        <p role="alert" className="max-w-[40ch] text-danger">
          {fault}
        </p>
      )}
    </div>
  );
}

/** Other ways to begin. */
function Ways({ empty }: { empty: boolean }) {
  return (
    <p className="mt-10 flex flex-wrap gap-x-5 gap-y-1 text-ink2">
      <span>
        First roll ever?{' '}
        <Link href="/first" className="act-plain">
          Eight steps, from the shop to the drying line
        </Link>
      </span>
      {empty && (
        <Link href="/records" className="act-plain">
          Open a saved bench
        </Link>
      )}
      <OtherBench />
      <Link href="/rolls/new" className="act-plain">
        Say more about a roll
      </Link>
    </p>
  );
}
