'use client';

import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import {
  dropFormSchema,
  initialDropForm,
  readDropForm,
  stopClock,
  withFamily,
  type DropForm,
} from '@/core/evidence/dropForm';
import { dropRatio } from '@/core/evidence/dropTest';
import { formatNumber } from '@/core/units/quantity';
import { keepEvidence } from '@/data/evidence';
import { Choice } from '@/ui/Choice';
import { FieldError } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { classes } from '@/ui/classes';
import { useNow } from '@/ui/useNow';
import { AskForDay } from '@/features/scene/AskForDay';
import { DropStrips } from './DropStrips';
import { FlowHead } from './FlowHead';
import type { TestProps } from './TestProps';
import { useFlowForm } from './useFlowForm';

const knownOptions = developerFamilyIds.map((value) => ({ value, name: developerFamilies[value].name }));

/** How often a running clock is drawn, ms. */
const TICK_MS = 100;

/** Two strips of one leader in open light: this brew against a developer that is known. */
export function DropTest({ rollId, setting, brewName, units, onDone }: TestProps) {
  const { form, change } = useFlowForm<DropForm>(rollId, 'drop', dropFormSchema, initialDropForm);
  if (form === null) return null;
  const read = readDropForm(form);
  const errors = read.ok ? {} : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const ratio = form.pairs.length === 0 ? null : dropRatio(form.pairs);
  const keep = (): void => {
    if (read.ok) void keepEvidence(rollId, setting(), read.value).then(onDone);
  };
  return (
    <>
      <FlowHead title="Drop test" onLeave={onDone}>
        <p>
          Cut two strips of 1 cm from the same leader and lay them side by side in room light. Bring both developers to
          the same temperature. Press start as the drops go on, and stop each strip when it is as dark as a pencil line
          on paper: the same darkness for both. The ratio of the times is the ratio of the strengths, whatever the film.
        </p>
      </FlowHead>
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
        <div>
          <div className="mb-4 space-y-2">
            <DropStrips brewDark={form.brewMs !== null} knownDark={form.knownMs !== null} />
            <AskForDay />
          </div>
          <Clocks form={form} change={change} brewName={brewName} />
          {form.pairs.length > 0 && (
            <ol className="mt-5" aria-label="Pairs so far">
              {form.pairs.map((pair, index) => (
                <li key={index} className="rule-row flex items-baseline gap-5">
                  <span className="flex-1">
                    Pair {index + 1}: brew <span className="num">{formatNumber(pair.brewS, 1)} s</span>, known{' '}
                    <span className="num">{formatNumber(pair.knownS, 1)} s</span>
                  </span>
                  <span className="num">× {formatNumber(pair.knownS / pair.brewS, 2)}</span>
                  <button
                    type="button"
                    className="act-plain text-[14px]"
                    onClick={() => change({ pairs: form.pairs.filter((_, other) => other !== index) })}
                  >
                    Delete pair
                  </button>
                </li>
              ))}
            </ol>
          )}
        </div>
        <div className="space-y-4">
          <Choice
            id="known"
            label="The developer you know"
            value={form.familyId}
            options={knownOptions}
            onChange={(familyId) => change(withFamily(familyId))}
          />
          <div className="grid grid-cols-2 gap-5">
            <Quantity
              id="knownConcentrate"
              label="Concentrate"
              kind="parts"
              units={units}
              value={form.concentrateParts}
              onChange={(concentrateParts) => change({ concentrateParts })}
              error={errors.concentrateParts}
            />
            <Quantity
              id="knownWater"
              label="Water"
              kind="parts"
              units={units}
              value={form.waterParts}
              onChange={(waterParts) => change({ waterParts })}
              error={errors.waterParts}
            />
          </div>
          {ratio === null ? (
            <p className="text-ink2">Two or three pairs show how repeatable your eye is.</p>
          ) : (
            <p data-testid="drop-ratio">
              This brew works <b className="num">{formatNumber(ratio.rateRatio, 2)}</b> times as fast as the known one
              {form.pairs.length > 1
                ? `, to about ${Math.max(1, Math.round(ratio.lnSd * 100))} %.`
                : '. A second pair shows how reliable that is.'}
            </p>
          )}
          <button type="button" className="act act-primary" disabled={!read.ok} onClick={keep}>
            Add to the evidence
          </button>
          <FieldError id="pairs" error={form.pairs.length > 0 ? errors.pairs : undefined} />
        </div>
      </div>
    </>
  );
}

/** Start once, stop each: targets for a thumb with a glove on it. */
function Clocks({
  form,
  change,
  brewName,
}: {
  form: DropForm;
  change: (part: Partial<DropForm>) => void;
  brewName: string;
}) {
  const nowMs = useNow(form.startMs === null ? 60_000 : TICK_MS);
  const shown = (stoppedMs: number | null): string =>
    form.startMs === null ? '0.0' : formatNumber(Math.max(0, (stoppedMs ?? nowMs) - form.startMs) / 1000, 1);
  if (form.startMs === null) {
    return (
      <button
        type="button"
        className="act act-primary min-h-[112px] w-full text-[22px]"
        onClick={() => change({ startMs: Date.now(), brewMs: null, knownMs: null })}
      >
        {form.pairs.length === 0 ? 'The drops are on: start' : 'Another pair: the drops are on'}
      </button>
    );
  }
  const clock = (which: 'brewMs' | 'knownMs', name: string) => (
    <button
      type="button"
      className={classes('act min-h-[112px] flex-col', form[which] === null && 'act-primary')}
      disabled={form[which] !== null}
      onClick={() => change(stopClock(form, which, Date.now()))}
    >
      <span className="num text-[40px] leading-none">{shown(form[which])}</span>
      <span>{form[which] === null ? `${name} is dark: stop` : `${name}, stopped`}</span>
    </button>
  );
  return (
    <div>
      <p className="mb-2 text-[14px] text-ink2">The brew: {brewName}.</p>
      <div className="grid grid-cols-2 gap-3">
        {clock('brewMs', 'The brew')}
        {clock('knownMs', 'Reference')}
      </div>
      <button
        type="button"
        className="act-plain mt-2"
        onClick={() => change({ startMs: null, brewMs: null, knownMs: null })}
      >
        Stop without keeping
      </button>
    </div>
  );
}
