'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Controller, useForm, useWatch, type Control, type FieldErrors } from 'react-hook-form';
import { filmFormatIds, filmFormats } from '@/core/films/filmFormats';
import {
  dateDoubts,
  noOwnPriors,
  rollDraftSchema,
  rollFormSchema,
  type RollForm as RollValues,
} from '@/core/plan/rollForm';
import { stockFamilies, stockFamilyIds } from '@/core/films/stockFamilies';
import { storagePresetIds, storagePresets } from '@/core/films/storagePresets';
import { exposureStates, type ExposureState } from '@/core/records/records';
import { formatQuantity, type QuantityKind, type UnitChoice } from '@/core/units/quantity';
import { keepDraft, readDraft } from '@/data/drafts';
import { useSettings } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { Field, describedBy } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { CassetteCode } from './CassetteCode';

/** An empty roll form. */
const emptyRoll: RollValues = {
  label: '',
  stockName: '',
  familyId: 'pan-cubic-fast',
  iso: stockFamilies['pan-cubic-fast'].usualIso,
  formatId: '135',
  expiredYear: null,
  dateSlackYears: 0,
  storageId: 'unknown',
  exposureState: 'unknown',
  exposedYear: null,
  exposureIndex: null,
  note: '',
  own: noOwnPriors,
};

const familyOptions = stockFamilyIds.map((value) => ({
  value,
  name: stockFamilies[value].name,
  hint: stockFamilies[value].hint,
}));
const formatOptions = filmFormatIds.map((value) => ({ value, name: filmFormats[value].name }));
const exposureOptions = (Object.keys(exposureStates) as ExposureState[]).map((value) => ({
  value,
  name: exposureStates[value],
}));
const doubtOptions = Object.entries(dateDoubts).map(([value, name]) => ({ value, name }));

function storageOptions(units: UnitChoice) {
  return storagePresetIds.map((value) => {
    const { name, temperatureC, temperatureSdC, humid } = storagePresets[value];
    const about = formatQuantity(temperatureC, 'temperature', units, 0);
    const hint = temperatureSdC > 5 ? 'Widens the band' : `About ${about}${humid ? ', humid' : ''}`;
    return { value, name, hint };
  });
}

interface RollFormProps {
  /** Key under which what is typed is kept. */
  draftKey: string;
  /** Values to start from when nothing was typed before. */
  initial?: RollValues;
  /** Label of the button. */
  action: string;
  /** Leaves out age and keeping, where the dossier has its own place for them. */
  basicsOnly?: boolean;
  onSave: (values: RollValues) => Promise<void>;
}

/** What is known about a roll. Every change is kept as typed, at once. */
export function RollForm({ draftKey, initial = emptyRoll, action, basicsOnly = false, onSave }: RollFormProps) {
  const [start, setStart] = useState<RollValues | null>(null);
  const initialRef = useRef(initial);
  useEffect(() => {
    void readDraft(draftKey).then((values) => {
      const kept = rollDraftSchema.safeParse(values);
      const typed = kept.success ? (kept.data as Partial<RollValues>) : {};
      setStart({ ...initialRef.current, ...typed, own: { ...initialRef.current.own, ...typed.own } });
    });
  }, [draftKey]);
  if (start === null) return <p aria-busy="true">Opening the form.</p>;
  return <RollFields draftKey={draftKey} start={start} action={action} basicsOnly={basicsOnly} onSave={onSave} />;
}

function RollFields({
  draftKey,
  start,
  action,
  basicsOnly,
  onSave,
}: {
  draftKey: string;
  start: RollValues;
  action: string;
  basicsOnly: boolean;
  onSave: (values: RollValues) => Promise<void>;
}) {
  const units = useSettings();
  const schema = useMemo(() => rollFormSchema(new Date().getFullYear()), []);
  const { control, register, handleSubmit, subscribe, setValue, getValues, formState } = useForm<RollValues>({
    defaultValues: start,
    resolver: zodResolver(schema),
    mode: 'onTouched',
  });
  const { errors, isSubmitting } = formState;
  const [familyId, iso] = useWatch({ control, name: ['familyId', 'iso'] });
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => void keepDraft(draftKey, values).catch(() => undefined),
      }),
    [subscribe, draftKey],
  );

  return (
    <form
      className="max-w-[860px] space-y-7"
      onSubmit={(event) => void handleSubmit((values) => onSave(values))(event)}
      noValidate
    >
      <Group title="The roll">
        <div className="lg:col-span-2">
          <TextField
            id="label"
            label="Name of the roll"
            hint="how you will know it again, if you like"
            error={errors.label?.message}
            input={register('label')}
          />
        </div>
        <Controller
          control={control}
          name="formatId"
          render={({ field }) => (
            <Choice
              id="formatId"
              label="Format"
              options={formatOptions}
              value={field.value}
              onChange={field.onChange}
              error={errors.formatId?.message}
            />
          )}
        />
      </Group>
      <Group title="The film">
        <TextField
          id="stockName"
          label="Film"
          hint="as on the rim, if known"
          error={errors.stockName?.message}
          input={register('stockName')}
        />
        <Controller
          control={control}
          name="familyId"
          render={({ field }) => (
            <Choice
              id="familyId"
              label="Stock family"
              options={familyOptions}
              value={field.value}
              onChange={(family) => {
                if (getValues('iso') === stockFamilies[field.value].usualIso)
                  setValue('iso', stockFamilies[family].usualIso);
                field.onChange(family);
              }}
              error={errors.familyId?.message}
            />
          )}
        />
        <NumberField
          control={control}
          errors={errors}
          name="iso"
          label="Speed"
          kind="iso"
          units={units}
          range={[0.1, 25600]}
        />
        <OwnNumbers control={control} errors={errors} familyId={familyId} units={units} />
        <CassetteCode iso={iso} onSpeed={(iso) => setValue('iso', iso, { shouldDirty: true, shouldValidate: true })} />
      </Group>
      {!basicsOnly && (
        <Group title="Its age and keeping">
          <NumberField
            control={control}
            errors={errors}
            name="expiredYear"
            label="Box date, year"
            kind="year"
            units={units}
            optional
            hint="if known"
          />
          <Controller
            control={control}
            name="dateSlackYears"
            render={({ field }) => (
              <Choice
                id="dateSlackYears"
                label="How sure is the date"
                options={doubtOptions}
                value={String(field.value)}
                onChange={(value) => field.onChange(Number(value))}
              />
            )}
          />
          <Controller
            control={control}
            name="storageId"
            render={({ field }) => (
              <Choice
                id="storageId"
                label="Kept in"
                options={storageOptions(units)}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
        </Group>
      )}
      <Group title="Its exposure">
        <Controller
          control={control}
          name="exposureState"
          render={({ field }) => (
            <Choice
              id="exposureState"
              label="Exposure"
              options={exposureOptions}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <NumberField
          control={control}
          errors={errors}
          name="exposedYear"
          label="Exposed, year"
          kind="year"
          units={units}
          optional
          hint="if known"
        />
        <NumberField
          control={control}
          errors={errors}
          name="exposureIndex"
          label="Exposed at index"
          kind="iso"
          units={units}
          optional
          hint="if known"
        />
      </Group>
      <Field id="note" label="Note" hint="the story of the roll, marks on the box">
        <textarea id="note" rows={3} className="box" {...register('note')} />
      </Field>
      <button type="submit" className="act act-primary" disabled={isSubmitting} data-next-step>
        {action}
      </button>
    </form>
  );
}

const ownFields = [
  ['referenceTimeMin', 'Time in metol–hydroquinone borax', 'min'],
  ['maximumGradient', 'Largest gradient', ''],
  ['freshBaseFogD', 'Fresh base + fog', 'D'],
  ['maximumDensityD', 'Largest density', 'D'],
  ['speedLossStopsPerYear', 'Speed lost a room-year', 'stops'],
  ['fogDPerYear', 'Fog a room-year', 'D'],
  ['gradientLossPerYear', 'Gradient lost a room-year', 'ln'],
] as const;

/** Own numbers of a stock, in the place of its family's; empty ones stay the family's. */
function OwnNumbers({
  control,
  errors,
  familyId,
  units,
}: {
  control: Control<RollValues>;
  errors: FieldErrors<RollValues>;
  familyId: RollValues['familyId'];
  units: UnitChoice;
}) {
  const family = stockFamilies[familyId];
  return (
    <details className="sm:col-span-2 lg:col-span-3">
      <summary className="w-fit underline underline-offset-3">My own numbers for this film</summary>
      <div className="mt-3 grid gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
        {ownFields.map(([name, label, unit]) => (
          <Controller
            key={name}
            control={control}
            name={`own.${name}`}
            render={({ field }) => (
              <Quantity
                id={`own-${name}`}
                label={label}
                hint={`family ${family[name]}${unit && ` ${unit}`}`}
                kind="gradient"
                units={units}
                value={field.value ?? ''}
                onChange={(value) => field.onChange(typeof value === 'string' && value.trim() === '' ? null : value)}
                error={errors.own?.[name]?.message}
              />
            )}
          />
        ))}
      </div>
    </details>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="border-t border-hair pt-3">
      <legend className="float-left w-full pb-3">
        <span className="num text-[18px]">{title}</span>
      </legend>
      <div className="clear-both grid gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">{children}</div>
    </fieldset>
  );
}

function TextField({
  id,
  label,
  hint,
  error,
  input,
}: {
  id: string;
  label: string;
  hint: string;
  error?: string;
  input: ReturnType<ReturnType<typeof useForm<RollValues>>['register']>;
}) {
  return (
    <Field id={id} label={label} hint={hint} error={error}>
      <input
        id={id}
        className="box aria-invalid:border-2 aria-invalid:border-danger"
        autoComplete="off"
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, hint, error)}
        {...input}
      />
    </Field>
  );
}

type NumberName = 'iso' | 'expiredYear' | 'exposedYear' | 'exposureIndex';

interface NumberFieldProps {
  control: Control<RollValues>;
  errors: FieldErrors<RollValues>;
  name: NumberName;
  label: string;
  kind: QuantityKind;
  units: UnitChoice;
  range?: readonly [number, number];
  hint?: string;
  optional?: boolean;
}

function NumberField({ control, errors, name, label, kind, units, range, hint, optional = false }: NumberFieldProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Quantity
          id={name}
          label={label}
          kind={kind}
          units={units}
          range={range}
          hint={hint}
          optional={optional}
          value={field.value ?? ''}
          onChange={(value) =>
            field.onChange(optional && typeof value === 'string' && value.trim() === '' ? null : value)
          }
          error={errors[name]?.message}
        />
      )}
    />
  );
}
