'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { finishMix, leastVolumeMl } from '@/core/brewing/finishMix';
import { closeness, mixProgress, standingLeftMs, type MixEvent, type MixProgress } from '@/core/brewing/mixRun';
import { mixSteps, type MixStep } from '@/core/brewing/mixSteps';
import type { Batch } from '@/core/brewing/batch';
import type { BrewPart } from '@/core/brewing/part';
import { spokenAmount } from '@/core/brewing/spokenAmount';
import type { Kit } from '@/core/kit/kit';
import type { Mix } from '@/core/records/records';
import { success, type Result } from '@/core/schema/result';
import { formatDuration } from '@/core/units/duration';
import { formatQuantity, parseQuantity, type UnitChoice } from '@/core/units/quantity';
import { bottleMix, dropMix, mixDraftPrefix, recordMixEvent } from '@/data/brews';
import { useMix, useSettings } from '@/data/queries';
import { useDraftText } from '@/features/drafts/useDraft';
import { CautionList } from '@/ui/CautionList';
import { FieldError } from '@/ui/Field';
import { classes } from '@/ui/classes';
import { useNow } from '@/ui/useNow';
import { useTitle } from '@/ui/useTitle';
import { amountWords, coldWords, dropWords, jugVolume } from '@/features/words/brewWords';
import { NotHere } from '@/features/shell/NotHere';
import { MadeTable } from './MadeTable';
import { ProbeReading, ScaleReading } from './Readings';
import { stepAmountWords, stepFillWords, stepSpoonWords, toleranceWords } from '@/features/words/stepWords';
import { useWakeLock } from '@/features/run/useWakeLock';

/** The mix sheet: one thing a screen, in big type. */
export function MixSheetPage({ mixId }: { mixId: string }) {
  const mix = useMix(mixId);
  if (mix === undefined) return <p aria-busy="true">Opening the mix sheet.</p>;
  if (mix === null) return <NotHere table="mixes" id={mixId} what="This mix" />;
  return <MixSheet mix={mix} />;
}

function MixSheet({ mix }: { mix: Mix }) {
  const router = useRouter();
  const steps = mixSteps(mix.batch);
  useTitle(`Mix: ${mix.batch.recipeName}`);
  const progress = mixProgress(steps, mix.events);
  useWakeLock(progress.step !== null);
  const record = useCallback(
    (event: MixEvent) => void recordMixEvent(mix.id, mix.events.length, event).catch(() => undefined),
    [mix],
  );
  // A write that fails is told above the page; the sheet stays where it is.
  const finish = (tank: boolean): void =>
    void bottleMix(mix.id)
      .then((brewId) =>
        router.push(
          tank && mix.rollId !== null
            ? `/rolls/${encodeURIComponent(mix.rollId)}#run`
            : `/brews/${encodeURIComponent(brewId)}`,
        ),
      )
      .catch(() => undefined);
  const { step } = progress;
  return (
    <div className="mx-auto measure">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
        <h1 className="text-[20px]">{mix.batch.recipeName}</h1>
        <p className="text-[14px] text-ink2">
          {step === null ? 'everything added' : `${progress.stepIndex + 1} of ${steps.length}`}
        </p>
      </div>
      <Steps steps={steps} done={progress.stepIndex} />
      {step === null ? (
        <Done mix={mix} progress={progress} onFinish={finish} />
      ) : (
        <StepScreen key={step.id} step={step} mix={mix} progress={progress} record={record} />
      )}
      <div className="mt-8 flex flex-wrap items-baseline gap-x-6 gap-y-2 border-t border-hair pt-3 text-[14px]">
        {progress.done.length > 0 && mix.brewId === null && (
          <button type="button" className="act-plain" onClick={() => record({ kind: 'undo', atMs: Date.now() })}>
            Undo: back to {steps[progress.stepIndex - 1]?.title.toLowerCase()}
          </button>
        )}
        <Link href="/brews" className="act-plain">
          Pause
        </Link>
        {mix.brewId === null && (
          <button
            type="button"
            className="act-plain text-ink2"
            onClick={() =>
              void dropMix(mix)
                .then(() => router.push('/brews'))
                .catch(() => undefined)
            }
          >
            Discard this mix
          </button>
        )}
      </div>
    </div>
  );
}

/** How far the sheet is: a mark for each step. */
function Steps({ steps, done }: { steps: readonly MixStep[]; done: number }) {
  return (
    <div aria-hidden className="mt-2 flex gap-1">
      {steps.map(({ id }, index) => (
        <span
          key={id}
          className={classes('h-1.5 flex-1', index < done ? 'bg-ink' : index === done ? 'bg-brew' : 'bg-hair')}
        />
      ))}
    </div>
  );
}

interface ScreenProps {
  step: MixStep;
  mix: Mix;
  progress: MixProgress;
  record: (event: MixEvent) => void;
}

function StepScreen({ step, mix, progress, record }: ScreenProps) {
  const settings = useSettings();
  const { batch } = mix;
  const spoons = stepSpoonWords(step, batch, settings.kit);
  const hot = jugVolume(batch.water.hotMl ?? 0, batch.cylinderStepMl, settings);
  const cold = jugVolume(batch.water.coldMl ?? 0, batch.cylinderStepMl, settings);
  const drops = step.unit === 'ml' ? dropWords(step.target ?? 0) : '';
  return (
    <div>
      <h2 className="mt-7 text-[clamp(26px,4.6vw,40px)] leading-tight" aria-live="polite">
        {step.title}
      </h2>
      {step.standMin !== null ? (
        <Standing step={step} sinceMs={progress.sinceMs} />
      ) : (
        step.kind !== 'strain' && (
          <p
            className="num mt-3 text-[clamp(60px,13vw,112px)] leading-[1.12] font-[600] tracking-[-.03em] text-balance"
            data-testid="mix-target"
          >
            {spoons === ''
              ? stepAmountWords({ ...step, kind: step.kind === 'water' ? 'part' : step.kind }, batch, settings)
              : spoons}
          </p>
        )
      )}
      {step.kind === 'water' && batch.water.firstC !== null && (
        <p className="num mt-2 text-[22px]">
          at {formatQuantity(batch.water.firstC, 'temperature', settings)}
          {batch.water.hotMl !== null && batch.water.coldMl !== null && `: ${hot.shown} hot, ${cold.shown} cold`}
          {(hot.exact !== null || cold.exact !== null) && batch.water.coldMl !== null && (
            <span className="block text-[14px] text-ink2">
              exactly {formatQuantity(batch.water.hotMl ?? 0, 'volume', settings)} hot,{' '}
              {coldWords(batch.water, settings)} cold
            </span>
          )}
        </p>
      )}
      {drops !== '' && <p className="mt-2 text-[17px] text-ink2">{drops}</p>}
      {spoons !== '' && (
        <p className="mt-2 text-[17px] text-ink2">
          {stepFillWords(step, batch, settings.kit)}, about {stepAmountWords(step, batch, settings)}
        </p>
      )}
      {spoons === '' && step.tolerance !== null && (
        <p className="mt-2 text-[15px] text-ink2">{toleranceWords(step, batch, settings)}</p>
      )}
      {step.say.length > 0 && <p className="mt-3 max-w-[52ch] text-[clamp(17px,2.2vw,20px)]">{step.say.join(' ')}</p>}
      {step.cautions.length > 0 && (
        <div className="mt-4">
          <CautionList cautions={step.cautions} />
        </div>
      )}
      <Entry step={step} mix={mix} record={record} spoons={spoons} settings={settings} />
    </div>
  );
}

/** How often a running wait is drawn, ms. */
const TICK_MS = 250;

/** A wait that is counted from the instant at which it began. */
function Standing({ step, sinceMs }: { step: MixStep; sinceMs: number | null }) {
  const nowMs = useNow(TICK_MS);
  const leftMs = standingLeftMs(step, sinceMs, nowMs) ?? 0;
  return (
    <p
      className="num mt-3 text-[clamp(72px,17vw,150px)] leading-[.95] font-[600] tracking-[-.04em]"
      role="timer"
      data-testid="standing"
    >
      {leftMs > 0 ? formatDuration(Math.ceil(leftMs / 1000)) : 'Ready'}
    </p>
  );
}

interface EntryProps extends Pick<ScreenProps, 'step' | 'mix' | 'record'> {
  spoons: string;
  settings: UnitChoice & ReturnType<typeof useSettings>;
}

/** A step that is done at this moment. */
function doneNow(stepId: string, amount: number | null, how: 'scale' | 'typed' | 'spoons' | 'target'): MixEvent {
  return { kind: 'done', stepId, amount, how, atMs: Date.now() };
}

/** What really went in, typed or read, and the one act that goes on. */
function Entry({ step, mix, record, spoons, settings }: EntryProps) {
  const { batch } = mix;
  const [typed, setTyped] = useDraftText(`${mixDraftPrefix(mix.id)}${step.id}`);
  const weighs = step.kind === 'part' || step.kind === 'top-up' || step.kind === 'measure';
  const go = (amount: number | null, how: 'scale' | 'typed' | 'spoons' | 'target'): void =>
    record(doneNow(step.id, amount, how));
  if (!weighs) {
    return (
      <div className="mt-6">
        <button
          type="button"
          className="act act-primary min-h-[64px] px-8 text-[18px]"
          data-next-step
          onClick={() => go(step.kind === 'water' ? step.target : null, 'target')}
        >
          {step.kind === 'water' ? 'The water is in' : step.kind === 'stand' ? 'Go on' : 'Strained'}
        </button>
      </div>
    );
  }
  const kind =
    step.kind === 'measure'
      ? 'temperature'
      : step.unit === 'ml'
        ? 'volume'
        : step.unit === 'tablets'
          ? 'tablets'
          : 'mass';
  const plain = typed.trim() === '' ? null : parseQuantity(typed, kind, settings, 'actual');
  const part = batch.parts.find(({ key }) => key === step.partKey);
  // What is no plain number of the field's own may be spoons, cans or drops.
  const spoken =
    plain?.ok === false && part !== undefined && part.unit !== 'tablets'
      ? saidAmount(typed, part, batch, settings.kit)
      : null;
  const read = spoken?.ok === true ? spoken : plain;
  const limits =
    step.kind === 'measure'
      ? ([0, 100] as const)
      : ([
          step.kind === 'top-up' ? leastVolumeMl(step.target ?? 0) : 0,
          Math.max(10, (step.target ?? 0) * 10),
        ] as const);
  const within = read?.ok === true && read.value >= limits[0] && read.value <= limits[1];
  const problem =
    read === null
      ? undefined
      : !read.ok
        ? read.problems[0]?.message
        : within
          ? undefined
          : step.kind === 'measure'
            ? 'Give a temperature from 0 to 100 °C.'
            : step.kind === 'top-up'
              ? 'That is not the volume of this jug: read the mark again.'
              : 'That is more than ten times the target, or below zero: check the scale again.';
  const near = read?.ok === true && within && step.kind !== 'measure' ? closeness(step, read.value) : null;
  const byScale = step.unit === 'g' && spoons === '' && settings.kit.scale === 'simulated';
  const byProbe = step.kind === 'measure' && settings.kit.probe === 'simulated';
  // An instrument that is there leads; what is typed then stands behind it.
  const instrument = (byScale || byProbe) && read === null;
  return (
    <form
      className="mt-6"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === null) go(step.kind === 'measure' ? null : step.target, spoons === '' ? 'target' : 'spoons');
        else if (read.ok && within) go(read.value, 'typed');
      }}
    >
      {byScale && <ScaleReading step={step} kit={settings.kit} onTake={(value) => go(value, 'scale')} />}
      {byProbe && (
        <ProbeReading
          batch={batch}
          startMs={mix.createdMs}
          step={settings.kit.thermometerStepC}
          units={settings}
          onTake={(value) => go(value, 'scale')}
        />
      )}
      <div className="flex flex-wrap items-end gap-4">
        <div>
          <label htmlFor="actual" className="font-[620]">
            {step.kind === 'measure' ? 'It reads' : 'What went in'}
          </label>
          <div className="mt-1 flex items-baseline gap-2">
            <input
              id="actual"
              className="box num w-[150px] text-[26px] aria-invalid:border-2 aria-invalid:border-danger"
              autoComplete="off"
              aria-invalid={problem === undefined ? undefined : true}
              aria-describedby={problem === undefined ? undefined : 'actual-error'}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
            <span className="text-ink2">
              {step.kind === 'measure'
                ? settings.temperature === 'F'
                  ? '°F'
                  : '°C'
                : step.unit === 'ml'
                  ? settings.volume === 'ml'
                    ? 'ml'
                    : 'fl oz'
                  : step.unit}
            </span>
          </div>
        </div>
        <button
          type="submit"
          className={classes('act min-h-[64px] px-8 text-[18px]', !instrument && 'act-primary')}
          data-next-step={instrument ? undefined : true}
          disabled={problem !== undefined}
        >
          {read !== null
            ? 'Added'
            : step.kind === 'measure'
              ? 'Skip the reading'
              : spoons !== ''
                ? 'Spoons added'
                : step.kind === 'top-up'
                  ? 'Filled to the mark'
                  : `Added exactly ${stepAmountWords(step, batch, settings)}`}
        </button>
      </div>
      {spoken?.ok === true && (
        <p className="mt-1 text-[15px] text-ink2" aria-live="polite">
          “{typed.trim()}” is read as {amountWords(spoken.value, step.unit ?? 'g', spoken.value < 10 ? 1 : 0, settings)}
          .
        </p>
      )}
      <FieldError id="actual" error={problem} />
      {near !== null && near !== 'good' && (
        <p role="status" className="mt-2 max-w-[60ch] text-[15px] text-heat">
          {near === 'over'
            ? 'More than the target. Take some out, or leave it: the estimate will use what is in.'
            : 'Less than the target. Add some, or leave it: the estimate will use what is in.'}
        </p>
      )}
    </form>
  );
}

/** An amount of a part as people say it, g or ml. */
function saidAmount(text: string, { makeup, unit }: BrewPart, { volumeMl }: Batch, kit: Kit): Result<number> {
  const said = spokenAmount(text, {
    substanceId: makeup.kind === 'substance' ? makeup.substanceId : null,
    unit: unit === 'ml' ? 'ml' : 'g',
    kit,
    tabletMg: null,
    packetG: makeup.kind === 'packet' ? makeup.packetG : null,
    volumeMl,
    usual: 'jug',
  });
  return said.ok ? success(said.value.amount) : said;
}

interface DoneProps {
  mix: Mix;
  progress: MixProgress;
  /** Bottles it, and goes on to its label, or with its roll to the tank. */
  onFinish: (tank: boolean) => void;
}

/** Everything is in: what came out, and the ways to its label and to the tank. */
function Done({ mix, progress, onFinish }: DoneProps) {
  const made = finishMix(mix.batch, progress);
  return (
    <div className="mt-7">
      <h2 className="text-[clamp(26px,4.6vw,40px)]">It is mixed</h2>
      <div className="mt-4">
        <MadeTable made={made} />
      </div>
      <div className="mt-5 flex flex-wrap gap-4">
        {mix.rollId !== null && (
          <button
            type="button"
            className="act act-primary min-h-[64px] px-8 text-[18px]"
            data-next-step
            onClick={() => onFinish(true)}
          >
            On to the tank
          </button>
        )}
        <button
          type="button"
          className={classes('act min-h-[64px] px-8 text-[18px]', mix.rollId === null && 'act-primary')}
          data-next-step={mix.rollId === null ? true : undefined}
          onClick={() => onFinish(false)}
        >
          {mix.brewId === null ? 'Finish the jug' : 'Go to the jug'}
        </button>
      </div>
    </div>
  );
}
