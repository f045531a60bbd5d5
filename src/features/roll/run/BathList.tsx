'use client';

import { useState } from 'react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import {
  bathFormOf,
  freeKey,
  movedAmong,
  movedBath,
  renumbered,
  repeatedBath,
  type BathForm,
} from '@/core/schedule/bathForm';
import { DEVELOP, liquidIds, liquids, readyBathIds, readyBaths, type Bath } from '@/core/schedule/baths';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { placeFor } from '@/core/plan/wetProcess';
import { sameMovement } from '@/core/schedule/movement';
import { movementFormOf, readMovementForm, type MovementForm } from '@/core/schedule/movementForm';
import type { WetStep } from '@/core/schedule/wetSteps';
import { formatDuration } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { keepMovement, useHabits } from '@/data/habits';
import { MovementBuilder } from '@/features/movement/MovementBuilder';
import { Choice } from '@/ui/Choice';
import { classes } from '@/ui/classes';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';

interface BathListProps {
  baths: readonly BathForm[];
  onChange: (baths: BathForm[]) => void;
  errors: Partial<Record<string, string>>;
  units: UnitChoice;
  /** The steps that come of them, by key, for their lengths and words; none for a bath that does not read yet. */
  steps: ReadonlyMap<string, WetStep>;
  /** Whether a one-bath leaves stop and fixer out. */
  oneBath: boolean;
}

const liquidOptions = liquidIds
  .filter((id) => id !== 'developer')
  .map((value) => ({ value, name: liquids[value] as string }));
const lengthOptions = [
  { value: 'time', name: 'A time' },
  { value: 'turns', name: 'Turns' },
  { value: 'until-clear', name: 'Until clear' },
] as const;
const addOptions = [
  { value: 'none', name: 'Add a bath' },
  ...readyBathIds.map((value) => ({
    value: value as string,
    name: readyBaths[value].name as string,
    hint: readyHint(readyBaths[value]),
  })),
];

function readyHint({ kind, liquid, length }: Bath): string {
  const long =
    length.kind === 'turns' ? `${length.turns} turns` : 'seconds' in length ? formatDuration(length.seconds) : '';
  return `${liquids[liquid]}, ${length.kind === 'until-clear' ? `until it runs clear, ${kind === 'pre-soak' ? 'before the developer' : 'after the fixer'}` : long}`;
}

/** The baths in order: each can be changed, repeated, moved and taken out. */
export function BathList({ baths, onChange: onBaths, errors, units, steps, oneBath }: BathListProps) {
  const onChange = (next: readonly BathForm[]): void => onBaths(renumbered(next));
  const [open, setOpen] = useState<string | null>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const shown = baths.filter(({ kind }) => !oneBath || (kind !== 'stop' && kind !== 'fix'));
  // A name under the hands is left alone.
  const change = (key: string, part: Partial<BathForm>): void =>
    onBaths(baths.map((bath) => (bath.key === key ? { ...bath, ...part } : bath)));
  const move = (key: string, before: number): void => onChange(movedBath(baths, key, before));
  const moveBy = (key: string, by: -1 | 1): void =>
    onChange(
      movedAmong(
        baths,
        shown.map((bath) => bath.key),
        key,
        by,
      ),
    );
  const add = (id: string): void => {
    const ready = readyBathIds.find((one) => one === id);
    if (ready === undefined) return;
    const bath = readyBaths[ready];
    const key = freeKey(baths);
    const at = placeFor(baths, bath.kind);
    onChange([...baths.slice(0, at), bathFormOf(bath, key), ...baths.slice(at)]);
    setOpen(key);
  };
  return (
    <div>
      <ol aria-label="Wet steps">
        {shown.map((bath) => {
          const step = steps.get(bath.key);
          const faults = Object.entries(errors).filter(([path]) => path.startsWith(`baths.${bath.key}.`));
          const isOpen = open === bath.key || faults.length > 0;
          const place = baths.indexOf(bath);
          return (
            <li
              key={bath.key}
              className={classes('rule-row py-1.5', dragged === bath.key && 'opacity-50')}
              draggable={open !== bath.key}
              onDragStart={(event) => {
                event.dataTransfer.effectAllowed = 'move';
                // Some browsers drag nothing that carries nothing.
                event.dataTransfer.setData('text/plain', bath.name);
                setDragged(bath.key);
              }}
              onDragEnd={() => setDragged(null)}
              onDragOver={(event) => {
                if (dragged !== null) event.preventDefault();
              }}
              onDrop={(event) => {
                event.preventDefault();
                if (dragged !== null && dragged !== bath.key) move(dragged, place);
                setDragged(null);
              }}
            >
              <div className="flex items-center gap-3">
                <span className="min-w-0 flex-1">
                  {bath.name === '' ? <i>without a name</i> : (step?.name ?? bath.name)}
                  {step !== undefined && step.instruction !== '' && (
                    <span className="block text-[13px] leading-tight text-ink2">
                      {step.instruction}
                      {step.note !== undefined && `. Note: ${step.note}`}
                    </span>
                  )}
                </span>
                <span className="num text-[18px]">
                  {step === undefined ? '' : formatDuration(step.durationS)}
                  {step?.untilClear === true && <span className="text-[13px] text-ink2"> or so</span>}
                </span>
                <span className="flex items-center">
                  <button
                    type="button"
                    className="grid size-9 place-items-center disabled:opacity-30"
                    aria-label={`Move ${bath.name} up`}
                    disabled={bath === shown[0]}
                    onClick={() => moveBy(bath.key, -1)}
                  >
                    <ArrowUp aria-hidden size={17} />
                  </button>
                  <button
                    type="button"
                    className="grid size-9 place-items-center disabled:opacity-30"
                    aria-label={`Move ${bath.name} down`}
                    disabled={bath === shown.at(-1)}
                    onClick={() => moveBy(bath.key, 1)}
                  >
                    <ArrowDown aria-hidden size={17} />
                  </button>
                  {bath.kind === DEVELOP.kind ? (
                    <a href="#choose" className="act-plain ms-1 min-w-[52px] text-center text-[14px]">
                      change
                    </a>
                  ) : (
                    <button
                      type="button"
                      className="act-plain ms-1 min-w-[52px] text-[14px]"
                      aria-expanded={isOpen}
                      aria-label={`${isOpen ? 'Close' : 'Change'} ${bath.name}`}
                      onClick={() => setOpen(isOpen ? null : bath.key)}
                    >
                      {isOpen ? 'close' : 'change'}
                    </button>
                  )}
                </span>
              </div>
              {isOpen && bath.kind !== DEVELOP.kind && (
                <BathEditor
                  bath={bath}
                  errors={errors}
                  units={units}
                  onChange={(part) => change(bath.key, part)}
                  onRepeat={() => onChange(repeatedBath(baths, bath.key))}
                  onRemove={() => onChange(baths.filter(({ key }) => key !== bath.key))}
                  durationS={step?.durationS ?? 60}
                />
              )}
            </li>
          );
        })}
      </ol>
      <div className="mt-3 max-w-[260px]">
        <Choice id="addBath" label="Add a bath" value="none" options={addOptions} onChange={add} quietLabel />
      </div>
    </div>
  );
}

interface EditorProps {
  bath: BathForm;
  errors: Partial<Record<string, string>>;
  units: UnitChoice;
  onChange: (part: Partial<BathForm>) => void;
  onRepeat: () => void;
  onRemove: () => void;
  durationS: number;
}

/** What one bath is: its name, what it is filled with, how long it takes, how the tank is moved. */
function BathEditor({ bath, errors, units, onChange, onRepeat, onRemove, durationS }: EditorProps) {
  const id = (field: string): string => `bath-${bath.key}-${field}`;
  const error = (field: string): string | undefined => errors[`baths.${bath.key}.${field}`];
  return (
    <div className="mt-2 mb-3 space-y-3 border-s-2 border-ink ps-3">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="flex items-center gap-1.5">
          <label htmlFor={id('name')} className="text-[14px] whitespace-nowrap">
            Name of the bath
          </label>
          <input
            id={id('name')}
            className="box max-w-[200px]"
            value={bath.name}
            maxLength={80}
            aria-invalid={error('name') !== undefined || undefined}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        </div>
        <Choice
          id={id('liquid')}
          label="Filled with"
          value={bath.liquid}
          options={liquidOptions as { value: BathForm['liquid']; name: string }[]}
          onChange={(liquid: BathForm['liquid']) => onChange({ liquid })}
          inline
        />
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <Segments
          id={id('lengthKind')}
          label="How long"
          value={bath.lengthKind === 'development' ? 'time' : bath.lengthKind}
          options={lengthOptions}
          onChange={(lengthKind) => onChange({ lengthKind, ...openLength(bath, lengthKind, durationS) })}
        />
        {bath.lengthKind === 'turns' ? (
          <Quantity
            id={id('turns')}
            label="Turns"
            kind="count"
            units={units}
            value={bath.turns}
            onChange={(turns) => onChange({ turns })}
            error={error('turns')}
            hint="and 25 s to fill and pour"
            inline
          />
        ) : (
          <Quantity
            id={id('lengthMin')}
            label={bath.lengthKind === 'until-clear' ? 'Usually' : 'Time'}
            kind="minutes"
            units={units}
            value={bath.lengthMin}
            onChange={(lengthMin) => onChange({ lengthMin })}
            error={error('lengthMin')}
            inline
          />
        )}
      </div>
      {bath.lengthKind !== 'turns' && (
        <BathMovement
          idPrefix={id('move-')}
          form={bath.movement}
          units={units}
          onChange={(movement) => onChange({ movement })}
          durationS={durationS}
        />
      )}
      <div className="flex items-center gap-1.5">
        <label htmlFor={id('note')} className="text-[14px] whitespace-nowrap">
          Note for this bath
        </label>
        <input
          id={id('note')}
          className="box"
          value={bath.note}
          maxLength={400}
          onChange={(event) => onChange({ note: event.target.value })}
        />
      </div>
      <div className="flex gap-4 text-[14px]">
        <button type="button" className="act-plain" onClick={onRepeat}>
          Repeat this bath
        </button>
        <button type="button" className="act-plain" onClick={onRemove}>
          Take this bath out
        </button>
      </div>
    </div>
  );
}

/** Turns that a bath is given when it is first counted by them. Source: common practice, no source. */
const USUAL_TURNS = 10;

/** A length of another kind begins with a value, so that nothing is left empty. */
function openLength(bath: BathForm, lengthKind: BathForm['lengthKind'], durationS: number): Partial<BathForm> {
  if (lengthKind === 'turns') return bath.turns === '' ? { turns: USUAL_TURNS } : {};
  return bath.lengthMin === '' ? { lengthMin: Math.max(1, Math.round(durationS / 60)) } : {};
}

const STILL_ID = 'still';
const OWN_ID = 'own';
/** Schools that are used outside of the developer as well. */
const BATH_SCHOOLS = ['ten-each-minute', 'five-each-half-minute', 'four-each-minute', 'continuous'] as const;

/** How the tank is agitated in a bath: not at all, as in a school, as was kept, or built here. */
function BathMovement({
  idPrefix,
  form,
  onChange,
  units,
  durationS,
}: {
  idPrefix: string;
  form: MovementForm | null;
  onChange: (form: MovementForm | null) => void;
  units: UnitChoice;
  durationS: number;
}) {
  const habits = useHabits() ?? [];
  const known = [
    ...habits.flatMap((habit) => (habit.kind === 'movement' ? [{ ...habit, hint: 'Kept by you' }] : [])),
    ...BATH_SCHOOLS.map((id) => ({ id: id as string, ...agitationSchools[id], hint: undefined })),
  ];
  const read = form === null ? null : readMovementForm(form);
  const same = read?.ok ? known.find(({ movement }) => sameMovement(movement, read.value.movement)) : undefined;
  const [building, setBuilding] = useState(false);
  const value = form === null ? STILL_ID : same !== undefined && !building ? same.id : OWN_ID;
  const options = [
    { value: STILL_ID, name: 'Left still' },
    ...known.map(({ id, name, hint }) => ({ value: id, name, ...(hint === undefined ? {} : { hint }) })),
    { value: OWN_ID, name: 'My own agitation', hint: 'Built piece by piece' },
  ];
  const choose = (next: string): void => {
    setBuilding(next === OWN_ID);
    const found = known.find(({ id }) => id === next);
    if (next === STILL_ID) onChange(null);
    else if (found !== undefined) onChange(movementFormOf({ name: found.name, movement: found.movement }));
    else
      onChange(
        form ?? {
          ...movementFormOf({ name: '', movement: agitationSchools['ten-each-minute'].movement }),
          name: '',
        },
      );
  };
  return (
    <div className="space-y-2">
      <Choice
        id={`${idPrefix}school`}
        label="Agitation of this bath"
        value={value}
        options={options}
        onChange={choose}
        inline
      />
      {form !== null && value === OWN_ID && (
        <MovementBuilder
          idPrefix={idPrefix}
          form={form}
          onChange={onChange}
          units={units}
          durationS={durationS}
          onKeep={() => {
            if (read?.ok) void keepMovement(read.value);
          }}
        />
      )}
    </div>
  );
}
