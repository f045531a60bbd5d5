'use client';

import { gestureIds, gestures } from '@/core/schedule/movement';
import { readMovementForm, type MovementForm } from '@/core/schedule/movementForm';
import type { UnitChoice } from '@/core/units/quantity';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';
import { MovementMarks } from './MovementMarks';

const unitOptions = [
  { value: 'seconds', name: 'seconds' },
  { value: 'turns', name: 'turns' },
] as const;
const placementOptions = [
  { value: 'start', name: 'at the start of it' },
  { value: 'end', name: 'at the end of it' },
] as const;
const wakeOptions = [
  { value: 'none', name: 'no wake-up' },
  { value: 'half', name: 'one wake-up at half time' },
  { value: 'at', name: 'one wake-up at minute' },
] as const;
const gestureOptions = gestureIds.map((value) => ({ value, name: gestures[value].name.toLowerCase() }));

interface BuilderProps {
  /** Keeps ids apart where two builders stand on one page. */
  idPrefix: string;
  form: MovementForm;
  onChange: (form: MovementForm) => void;
  units: UnitChoice;
  /** Length of the bath that is drawn, s. */
  durationS: number;
  /** Keeps the movement under its name; left out where there is nothing to keep it for. */
  onKeep?: (() => void) | undefined;
}

/** A movement of one’s own, built piece by piece and drawn as it grows. */
export function MovementBuilder({ idPrefix, form, onChange, units, durationS, onKeep }: BuilderProps) {
  const change = (part: Partial<MovementForm>): void => onChange({ ...form, ...part });
  const read = readMovementForm(form);
  const errors: Partial<Record<string, string>> = read.ok
    ? {}
    : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const id = (field: string): string => `${idPrefix}${field}`;
  return (
    <fieldset className="w-full border-s-2 border-ink ps-3">
      <legend className="sr-only">My agitation</legend>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-2">
        <Tick
          id={id('continuous')}
          label="Without a rest"
          checked={form.continuous}
          onChange={(continuous) => change({ continuous })}
        />
        <Choice
          id={id('gesture')}
          label="Hands"
          value={form.gesture}
          options={gestureOptions}
          onChange={(gesture: MovementForm['gesture']) => change({ gesture })}
          inline
        />
        {!form.continuous && (
          <Tick id={id('tap')} label="Tap for bubbles" checked={form.tap} onChange={(tap) => change({ tap })} />
        )}
      </div>
      {!form.continuous && (
        <div className="mt-2 space-y-2">
          <div className="flex flex-wrap items-start gap-x-2 gap-y-1.5">
            <AmountFields
              idPrefix={idPrefix}
              of="first"
              label="First"
              unitLabel="Unit of the first"
              form={form}
              change={change}
              error={errors.firstN}
              units={units}
            />
          </div>
          <div className="flex flex-wrap items-start gap-x-2 gap-y-1.5">
            <Quantity
              id={id('everyS')}
              label="Then every"
              kind="seconds"
              units={units}
              value={form.everyS}
              onChange={(everyS) => change({ everyS })}
              error={errors.everyS}
              inline
            />
            <Choice
              id={id('placement')}
              label="Where in it"
              quietLabel
              value={form.placement}
              options={placementOptions}
              onChange={(placement: MovementForm['placement']) => change({ placement })}
              inline
            />
            <AmountFields
              idPrefix={idPrefix}
              of="every"
              label="for"
              unitLabel="Unit of the others"
              form={form}
              change={change}
              error={errors.everyN}
              units={units}
            />
          </div>
          <div className="flex flex-wrap items-start gap-x-2 gap-y-1.5">
            <Quantity
              id={id('stillFromMin')}
              label="Still from minute"
              kind="minutes"
              units={units}
              value={form.stillFromMin}
              onChange={(stillFromMin) => change({ stillFromMin })}
              error={errors.stillFromMin}
              inline
            />
            <Choice
              id={id('wake')}
              label="Wake-up"
              quietLabel
              value={form.wake}
              options={wakeOptions}
              onChange={(wake: MovementForm['wake']) => change({ wake })}
              inline
            />
            {form.wake === 'at' && (
              <Quantity
                id={id('wakeAtMin')}
                label="Minute"
                kind="minutes"
                units={units}
                value={form.wakeAtMin}
                onChange={(wakeAtMin) => change({ wakeAtMin })}
                error={errors.wakeAtMin}
                inline
              />
            )}
            {form.wake !== 'none' && (
              <AmountFields
                idPrefix={idPrefix}
                of="wake"
                label="for"
                unitLabel="Unit of the wake-up"
                form={form}
                change={change}
                error={errors.wakeN}
                units={units}
              />
            )}
          </div>
        </div>
      )}
      {read.ok && (
        <div className="mt-3 max-w-[420px]">
          <MovementMarks movement={read.value.movement} durationS={durationS} />
        </div>
      )}
      {onKeep !== undefined && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <label htmlFor={id('name')} className="text-[14px]">
            Name
          </label>
          <input
            id={id('name')}
            className="box max-w-[260px]"
            value={form.name}
            maxLength={120}
            placeholder={read.ok ? read.value.name : ''}
            onChange={(event) => change({ name: event.target.value })}
          />
          <button type="button" className="act-plain" disabled={!read.ok} onClick={onKeep}>
            Keep it for other baths and rolls
          </button>
        </div>
      )}
    </fieldset>
  );
}

interface AmountProps {
  idPrefix: string;
  /** Which movement it is about. */
  of: 'first' | 'every' | 'wake';
  label: string;
  unitLabel: string;
  form: MovementForm;
  change: (part: Partial<MovementForm>) => void;
  error: string | undefined;
  units: UnitChoice;
}

/** How long one movement lasts: a number, and seconds or turns. */
function AmountFields({ idPrefix, of, label, unitLabel, form, change, error, units }: AmountProps) {
  return (
    <>
      <Quantity
        id={`${idPrefix}${of}N`}
        label={label}
        kind="count"
        units={units}
        value={form[`${of}N`]}
        onChange={(n) => change({ [`${of}N`]: n })}
        error={error}
        inline
      />
      <Choice
        id={`${idPrefix}${of}Unit`}
        label={unitLabel}
        quietLabel
        value={form[`${of}Unit`]}
        options={unitOptions}
        onChange={(unit: MovementForm['firstUnit']) => change({ [`${of}Unit`]: unit })}
        inline
      />
    </>
  );
}
