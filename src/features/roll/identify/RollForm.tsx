'use client';

import { useMemo, useState, type ReactNode } from 'react';
import { filmFormatIds, filmFormats } from '@/core/films/filmFormats';
import {
  ageAnswerOf,
  ageAnswers,
  dateDoubts,
  noOwnPriors,
  rollDraftSchema,
  rollFormSchema,
  slackOfAnswer,
  type AgeAnswer,
  type RollForm as RollValues,
  type TypedRoll,
} from '@/core/plan/rollForm';
import { dateRoll } from '@/core/films/rollDating';
import { stockFamilies, stockFamilyIds, type StockFamilyId } from '@/core/films/stockFamilies';
import { storagePresetIds, storagePresets } from '@/core/films/storagePresets';
import { formatQuantity, type QuantityKind, type UnitChoice } from '@/core/units/quantity';
import { useKnownFilms, useSettings, type KnownFilm } from '@/data/queries';
import { MOST_AT_ONCE } from '@/data/rollsAtOnce';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { Choice } from '@/ui/Choice';
import { Field, describedBy } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { classes } from '@/ui/classes';
import { CassetteCode } from './CassetteCode';
import { ExposureQuestion } from './ExposureQuestion';
import { FamilyClues } from './FamilyClues';
import { Fold } from '@/ui/Fold';

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
const ageOptions = (Object.keys(ageAnswers) as AgeAnswer[]).map((value) => ({ value, name: ageAnswers[value] }));
const doubtOptions = Object.entries(dateDoubts).map(([value, name]) => ({ value, name }));

function storageOptions(units: UnitChoice) {
  return storagePresetIds.map((value) => {
    const { name, temperatureC, temperatureSdC, humid } = storagePresets[value];
    const about = formatQuantity(temperatureC, 'temperature', units, 0);
    const hint = temperatureSdC > 5 ? 'Widens the likely range' : `About ${about}${humid ? ', humid' : ''}`;
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
  /** Takes all values, and those that differ from what the form opened with. */
  onSave: (values: RollValues, changed: Partial<RollValues>, count: number) => Promise<void>;
  /** A roll that is not on the bench yet is asked about in few questions, with the rest under “More”; one that is has places of its own for age, storage and exposure. */
  isNew?: boolean;
  /** What stands beside it, for the values as they are typed. */
  aside?: (form: RollValues) => ReactNode;
}

/** What is known about a roll. Every change is kept as typed, at once. */
export function RollForm({ draftKey, initial = emptyRoll, action, isNew = false, aside, onSave }: RollFormProps) {
  const units = useSettings();
  const [count, setCount] = useState<number | string>(1);
  const known = useKnownFilms();
  const schema = useMemo(() => rollFormSchema(new Date().getFullYear()), []);
  // What was typed alone: a field that nobody touched follows the roll.
  const { form: typed, change } = useDraft<TypedRoll>(draftKey, rollDraftSchema, (kept) => kept ?? {});
  const form = { ...initial, ...typed, own: { ...initial.own, ...typed?.own } } as RollValues;
  const read = schema.safeParse(form);
  const errors = read.success
    ? {}
    : Object.fromEntries([...read.error.issues].reverse().map((issue) => [issue.path.join('-'), issue.message]));
  const { shown, form: handlers } = useFaults(errors, () => {
    if (!read.success) return;
    const changed = Object.fromEntries(
      Object.entries(read.data).filter(
        ([field, value]) => JSON.stringify(value) !== JSON.stringify(initial[field as keyof RollValues]),
      ),
    );
    void onSave(read.data, changed, typeof count === 'number' ? count : 1).catch(() => undefined);
  });
  if (typed === null) return <p aria-busy="true">Opening the form.</p>;
  const ageAnswer = ageAnswerOf(form);
  const text = (id: 'label' | 'stockName', label: string, hint: string) => (
    <Field id={id} label={label} hint={hint} error={shown[id]}>
      <input
        id={id}
        className="box aria-invalid:border-2 aria-invalid:border-danger"
        autoComplete="off"
        list={id === 'stockName' ? 'known-films' : undefined}
        aria-invalid={shown[id] ? true : undefined}
        aria-describedby={describedBy(id, hint, shown[id])}
        value={form[id]}
        onChange={(event) => change({ [id]: event.target.value })}
      />
    </Field>
  );
  const number = (
    id: 'iso' | 'expiredYear' | 'exposedYear' | 'exposureIndex',
    label: string,
    kind: QuantityKind,
    optional: boolean,
    range?: readonly [number, number],
  ) => (
    <Quantity
      id={id}
      label={label}
      kind={kind}
      units={units}
      range={range}
      hint={optional ? 'if known' : undefined}
      optional={optional}
      value={form[id] ?? ''}
      onChange={(value) => change({ [id]: optional && isEmpty(value) ? null : value })}
      error={shown[id]}
    />
  );
  const takeFamily = (familyId: StockFamilyId): void =>
    change(
      form.iso === stockFamilies[form.familyId].usualIso
        ? { familyId, iso: stockFamilies[familyId].usualIso }
        : { familyId },
    );
  const family = (
    <Choice
      id="familyId"
      label={isNew ? 'What film is it?' : 'Stock family'}
      options={familyOptions}
      value={form.familyId}
      onChange={takeFamily}
      error={shown.familyId}
    />
  );
  const size = (
    <Choice
      id="formatId"
      label="Format"
      options={formatOptions}
      value={form.formatId}
      onChange={(formatId) => change({ formatId })}
      error={shown.formatId}
    />
  );
  const name = <div className="sm:col-span-2">{text('label', 'Name of the roll', 'optional')}</div>;
  const film = (
    <>
      <div>
        {text('stockName', 'Film', 'printed on the edge, if known')}
        <datalist id="known-films">
          {known.map(({ name: film }) => (
            <option key={film} value={film} />
          ))}
        </datalist>
        {isNew && <KnownFilmNote known={known} form={form} onUse={change} />}
      </div>
      {number('iso', 'Speed', 'iso', false, [0.1, 25600])}
      <FamilyClues onFamily={takeFamily} />
      <CassetteCode iso={form.iso} onSpeed={(iso) => change({ iso })} />
    </>
  );
  const metered = (
    <>
      {number('exposedYear', 'Exposed, year', 'year', true)}
      {number('exposureIndex', 'Metered at ISO', 'iso', true)}
    </>
  );
  const note = (
    <div className="sm:col-span-2">
      <Field id="note" label="Note" hint="the story of the roll, marks on the box" error={shown.note}>
        <textarea
          id="note"
          rows={3}
          className="box"
          value={form.note}
          onChange={(event) => change({ note: event.target.value })}
        />
      </Field>
    </div>
  );
  const own = <OwnNumbers form={form} change={change} shown={shown} units={units} />;
  const act = (
    <button type="submit" className="act act-primary max-sm:w-full" data-next-step>
      {action}
    </button>
  );
  if (!isNew)
    return (
      <form className="max-w-[680px] space-y-4" {...handlers} noValidate>
        <div className={GRID}>
          {name}
          {size}
          {family}
          {film}
          {metered}
          {note}
          {own}
        </div>
        {act}
      </form>
    );
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,560px)_340px]">
      <form className="space-y-4" {...handlers} noValidate>
        {family}
        <ExposureQuestion value={form.exposureState} onChange={(exposureState) => change({ exposureState })} />
        <div>
          <Segments
            id="ageAnswer"
            label="How old is it?"
            value={ageAnswer}
            options={ageOptions}
            onChange={(answer) => change({ dateSlackYears: slackOfAnswer(answer) })}
          />
          {(ageAnswer === 'unknown' || (ageAnswer === 'dated' && isEmpty(form.expiredYear ?? ''))) && (
            <p className="mt-1 text-[14px] text-ink2" data-testid="age-cost">
              {unknownAgeWords(form)}
            </p>
          )}
        </div>
        <div className={GRID}>
          {ageAnswer === 'dated' && (
            <>
              {number('expiredYear', 'Expiry year', 'year', true)}
              {!isEmpty(form.expiredYear ?? '') && (
                <Choice
                  id="dateSlackYears"
                  label="How sure is the date"
                  options={doubtOptions}
                  value={String(form.dateSlackYears)}
                  onChange={(value) => change({ dateSlackYears: Number(value) })}
                />
              )}
            </>
          )}
          {ageAnswer !== 'new' && (
            <Choice
              id="storageId"
              label="Stored in"
              options={storageOptions(units)}
              value={form.storageId}
              onChange={(storageId) => change({ storageId })}
            />
          )}
          {size}
        </div>
        {act}
        <Fold className="border-y border-hair py-3" filled={hasMore(typed)}>
          <summary className="min-h-6 cursor-pointer">
            <b>More</b>{' '}
            <span className="text-[14px] text-ink2">its name, the film’s name and speed, several alike, a note</span>
          </summary>
          <div className={classes(GRID, 'mt-3')}>
            {name}
            {film}
            <Quantity
              id="rollCount"
              label="How many alike"
              hint="of one purchase"
              kind="count"
              units={units}
              value={count}
              onChange={setCount}
              error={
                typeof count === 'number' && Number.isInteger(count) && count >= 1 && count <= MOST_AT_ONCE
                  ? undefined
                  : `Give 1 to ${MOST_AT_ONCE} rolls.`
              }
            />
            {metered}
            {note}
            {own}
          </div>
        </Fold>
      </form>
      <div className="max-lg:order-first lg:sticky lg:top-4 lg:self-start">{aside?.(form)}</div>
    </div>
  );
}

const GRID = 'grid gap-x-6 gap-y-4 sm:grid-cols-2';

/** Whether something was typed that stands under “More”. */
function hasMore(typed: TypedRoll): boolean {
  return (['label', 'stockName', 'iso', 'note', 'exposedYear', 'exposureIndex', 'own'] as const).some(
    (field) => typed[field] !== undefined,
  );
}

/** What is known of a film of that name from one’s own rolls, taken in one tap. */
function KnownFilmNote({
  known,
  form,
  onUse,
}: {
  known: readonly KnownFilm[];
  form: Pick<RollValues, 'stockName' | 'familyId' | 'iso' | 'storageId'>;
  onUse: (part: TypedRoll) => void;
}) {
  const film = known.find(({ name }) => name.toLowerCase() === form.stockName.trim().toLowerCase());
  if (film === undefined) return null;
  const { familyId, iso, storageId } = film;
  if (familyId === form.familyId && iso === form.iso && (storageId === null || storageId === form.storageId))
    return null;
  return (
    <p className="mt-1 text-[14px]" data-testid="known-film">
      Your rolls of it: {stockFamilies[familyId].name.toLowerCase()}, ISO {iso}
      {storageId === null ? '' : `, kept in ${storagePresets[storageId].name.toLowerCase()}`}.{' '}
      <button
        type="button"
        className="act-plain"
        onClick={() => onUse({ familyId, iso, ...(storageId === null ? {} : { storageId }) })}
      >
        Use these
      </button>
    </p>
  );
}

/** What it costs that nobody knows how old a film is. */
function unknownAgeWords({ formatId, familyId }: Pick<RollValues, 'formatId' | 'familyId'>): string {
  const window = dateRoll({ formatId, familyId, hints: [] }, new Date().getFullYear());
  const span = window.ok ? `any year from ${window.from} to ${window.to}` : 'any age';
  return `Without a year it counts as made in ${span}: the time is longer and much less certain than for new film.`;
}

function isEmpty(value: number | string): boolean {
  return typeof value === 'string' && value.trim() === '';
}

type OwnField = keyof RollValues['own'];

/** Own numbers of a stock, each with its label and unit. */
const ownFields: Record<OwnField, { label: string; unit: string }> = {
  referenceTimeMin: { label: 'Time in metol–hydroquinone borax', unit: 'min' },
  maximumGradient: { label: 'Largest gradient', unit: '' },
  freshBaseFogD: { label: 'Fresh base + fog', unit: 'D' },
  maximumDensityD: { label: 'Largest density', unit: 'D' },
  speedLossStopsPerYear: { label: 'Speed loss per year at room temperature', unit: 'stops' },
  fogDPerYear: { label: 'Fog per year at room temperature', unit: 'D' },
  gradientLossPerYear: { label: 'Gradient loss per year at room temperature', unit: 'ln' },
};

interface OwnNumbersProps {
  form: RollValues;
  change: (part: TypedRoll) => void;
  shown: Partial<Record<string, string>>;
  units: UnitChoice;
}

/** Own numbers of a stock, in the place of its family's; empty ones stay the family's. */
function OwnNumbers({ form, change, shown, units }: OwnNumbersProps) {
  const family = stockFamilies[form.familyId];
  return (
    <details className="sm:col-span-2">
      <summary className="w-fit underline underline-offset-3">My own numbers for this film</summary>
      <div className="mt-3 grid gap-x-6 gap-y-4 sm:grid-cols-2">
        {(Object.keys(ownFields) as OwnField[]).map((name) => (
          <Quantity
            key={name}
            id={`own-${name}`}
            label={ownFields[name].label}
            hint={`family ${family[name]}${ownFields[name].unit && ` ${ownFields[name].unit}`}`}
            kind="gradient"
            units={units}
            value={form.own[name] ?? ''}
            onChange={(value) => change({ own: { ...form.own, [name]: isEmpty(value) ? null : value } })}
            error={shown[`own-${name}`]}
          />
        ))}
      </div>
    </details>
  );
}
