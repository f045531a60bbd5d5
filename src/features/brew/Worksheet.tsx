'use client';

import { developerFamilies, type DeveloperFamilyId } from '@/core/chemistry/developerFamilies';
import type { SaidOf } from '@/core/brewing/spokenAmount';
import { packetFamilyIds } from '@/core/brewing/recipe';
import type { LineForm, WorkbenchForm } from '@/core/brewing/workbenchForm';
import type { Kit } from '@/core/kit/kit';
import type { WorkedRow } from '@/core/brewing/workbench';
import { inALitre } from '@/core/units/perLitre';
import type { UnitChoice } from '@/core/units/quantity';
import { AmountInput } from '@/features/amount/AmountInput';
import { DilutionField } from '@/features/dilution/DilutionField';
import { Choice } from '@/ui/Choice';
import { FieldError } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { classes } from '@/ui/classes';
import { stale } from '@/ui/stale';
import { useState } from 'react';
import { percentWords, rowAmountWords, rowNotes, spoonFillWords, spoonWords } from '@/features/words/brewWords';
import type { BenchPart } from './Workbench';

/** What a packet may hold: a class of developer that the estimate follows, or anything else. */
const packetOptions = [
  { value: '', name: 'Nothing that Aetas gives times for' },
  ...packetFamilyIds.map((value) => ({
    value: value as string,
    name: value === 'one-bath' ? 'One-bath developer-fixer' : developerFamilies[value].name,
  })),
];

/** What goes in: per litre as the recipe says it, and in this jug as scale, cylinder and spoons can show it. */
export function Worksheet({ inHand: { form, change, errors, result, shown, mending }, settings }: BenchPart) {
  const changeLine = (key: string, part: Partial<LineForm>): void =>
    change((now) => ({ lines: now.lines.map((line) => (line.key === key ? { ...line, ...part } : line)) }));
  if (form.lines.length === 0)
    return (
      <p className="mt-6 border-y border-hair py-4 text-ink2">
        {form.use === 'stop' ? 'Nothing but water.' : 'Nothing in it yet: add the first ingredient.'}
      </p>
    );
  return (
    <table className="mt-6 w-full border-collapse">
      <caption className="sr-only">Ingredients</caption>
      <thead>
        <tr className="text-start text-[13px] text-ink2">
          <th scope="col" className="py-1 font-normal">
            Ingredient
          </th>
          <th scope="col" className="w-[132px] py-1 font-normal max-[379px]:w-[104px]">
            Per litre
          </th>
          <th scope="col" className="w-[116px] py-1 text-end font-normal max-[379px]:w-[72px]">
            In this jug
          </th>
          <th scope="col" className="hidden w-[150px] py-1 ps-5 font-normal sm:table-cell">
            Level spoons
          </th>
          <th scope="col" className="w-[52px] py-1 font-normal max-[379px]:w-[52px]">
            <span className="sr-only">Delete</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {form.lines.map((line) => (
          <Line
            key={line.key}
            line={line}
            row={shown?.rows.find(({ part }) => part.key === line.key) ?? null}
            isStale={mending}
            volumeMl={result?.volumeMl ?? null}
            tabletMg={tabletsAtHand(form) ? Number(form.tabletMg) || null : null}
            kit={settings.kit}
            units={settings}
            errors={errors}
            change={(part) => changeLine(line.key, part)}
            takeOut={() => change((now) => ({ lines: now.lines.filter(({ key }) => key !== line.key) }))}
          />
        ))}
      </tbody>
    </table>
  );
}

interface LineProps {
  line: LineForm;
  row: WorkedRow | null;
  /** The row is from before what is typed. */
  isStale: boolean;
  volumeMl: number | null;
  /** What one tablet holds, mg; null where no tablets are used. */
  tabletMg: number | null;
  kit: Kit;
  units: UnitChoice;
  errors: Partial<Record<string, string>>;
  change: (part: Partial<LineForm>) => void;
  takeOut: () => void;
}

function tabletsAtHand({ ascorbicForm }: Pick<WorkbenchForm, 'ascorbicForm'>): boolean {
  return ascorbicForm === 'tablets' || ascorbicForm === 'effervescent';
}

function Line({ line, row, isStale, volumeMl, tabletMg, kit, units, errors, change, takeOut }: LineProps) {
  const [saying, setSaying] = useState(false);
  const plain = line.kind === 'substance' || line.kind === 'own';
  const error = (field: string): string | undefined => errors[`lines.${line.key}.${field}`];
  const notes = row === null || volumeMl === null ? [] : rowNotes(row, volumeMl, kit, units);
  const spoons = row?.spoons ?? null;
  const fill = spoonFillWords(row?.part.makeup.kind === 'substance' ? row.part.makeup.substanceId : null, kit);
  return (
    <>
      <tr className="border-t border-hair align-baseline">
        <td className="py-2 pe-3">
          {row?.part.name ?? line.name}
          {row !== null && row.part.lnSd > 0 && (
            <span className="ms-2 text-[13px] whitespace-nowrap text-ink2">{percentWords(row.part.lnSd)}</span>
          )}
        </td>
        <td className="py-2">
          {line.kind === 'substance' || line.kind === 'own' ? (
            <span className="inline-flex flex-wrap items-baseline gap-x-1.5">
              <AmountInput
                id={`perL-${line.key}`}
                label={`${line.name}, in a litre`}
                value={line.perL}
                said={{ ...saidOf({ line, kit, tabletMg, volumeMl }), usual: 'litre' }}
                error={error('perL')}
                onChange={(perL, unit) => change({ perL, unit })}
              />
              <span className="text-[13px] text-ink2">{line.unit === 'ml' ? 'ml/l' : 'g/l'}</span>
            </span>
          ) : (
            <span className="text-[13px] text-ink2">{line.kind === 'concentrate' ? 'by dilution' : 'part of it'}</span>
          )}
        </td>
        <td className="py-2 text-end min-[380px]:whitespace-nowrap">
          <span {...stale(isStale, 'num text-[20px]')} data-testid={`amount-${line.key}`}>
            {row === null ? '–' : rowAmountWords(row, units)}
          </span>
          {plain && volumeMl !== null && !saying && (
            <button type="button" className="act-plain ms-2 min-h-8 text-[13px]" onClick={() => setSaying(true)}>
              edit<span className="sr-only"> the amount of {line.name} in this jug</span>
            </button>
          )}
        </td>
        <td {...stale(isStale, 'hidden py-2 ps-5 text-[14px] whitespace-nowrap text-ink2 sm:table-cell')}>
          {spoons !== null && (
            <>
              {spoonWords(spoons)}
              {fill === 'level' ? '' : `, ${fill}`}{' '}
              {row?.part.how !== 'spoons' && <span className="text-[13px]">{percentWords(spoons.lnSd)}</span>}
            </>
          )}
        </td>
        <td className="py-2 text-end">
          <button type="button" className="act-plain text-[13px] text-ink2" onClick={takeOut}>
            remove<span className="sr-only"> from the recipe: {line.name}</span>
          </button>
        </td>
      </tr>
      {saying && volumeMl !== null && (
        <tr>
          <td colSpan={5} className="pb-2">
            <InJug
              line={line}
              volumeMl={volumeMl}
              kit={kit}
              tabletMg={tabletMg}
              change={change}
              onClose={() => setSaying(false)}
            />
          </td>
        </tr>
      )}
      {(notes.length > 0 ||
        line.kind === 'concentrate' ||
        line.kind === 'packet' ||
        error('name') !== undefined ||
        spoons !== null) && (
        <tr>
          <td
            colSpan={5}
            className={classes(
              notes.length > 0 || line.kind === 'concentrate' || line.kind === 'packet' || error('name') !== undefined
                ? 'pb-3'
                : 'sm:hidden',
              'text-[14px]',
            )}
          >
            {spoons !== null && (
              <p {...stale(isStale, 'pb-2 text-ink2 sm:hidden')}>
                {spoonWords(spoons)}, {fill}
              </p>
            )}
            <FieldError id={`name-${line.key}`} error={error('name')} />
            {line.kind === 'concentrate' && (
              <ConcentrateLine
                line={line}
                change={change}
                volumeMl={volumeMl}
                units={units}
                error={error('concentrateParts') ?? error('waterParts')}
              />
            )}
            {line.kind === 'packet' && (
              <div className="grid grid-cols-2 gap-4 sm:max-w-[420px]">
                <div className="col-span-2">
                  <Choice
                    id={`packetOf-${line.key}`}
                    label="It holds"
                    value={line.familyId}
                    options={packetOptions}
                    onChange={(familyId) => change({ familyId })}
                  />
                </div>
                <Quantity
                  id={`packetG-${line.key}`}
                  label="The packet weighs"
                  kind="mass"
                  units={units}
                  value={line.packetG}
                  onChange={(packetG) => change({ packetG })}
                  error={error('packetG')}
                />
                <Quantity
                  id={`makesMl-${line.key}`}
                  label="and makes"
                  kind="volume"
                  units={units}
                  value={line.makesMl}
                  onChange={(makesMl) => change({ makesMl })}
                  error={error('makesMl')}
                />
              </div>
            )}
            {notes.map(({ text, bad }) => (
              <p
                key={text}
                className={classes(
                  'mt-1 max-w-[74ch]',
                  bad ? 'border-s-4 border-danger ps-2 text-danger' : 'text-ink2',
                )}
              >
                {text}
              </p>
            ))}
          </td>
        </tr>
      )}
    </>
  );
}

/** The dilution of a line, as it is written somewhere. */
function ConcentrateLine({
  line,
  change,
  volumeMl,
  units,
  error,
}: Pick<LineProps, 'line' | 'change' | 'volumeMl' | 'units'> & { error: string | undefined }) {
  const usual =
    line.familyId === ''
      ? { concentrate: Number(line.concentrateParts) || 1, water: Number(line.waterParts) || 0 }
      : developerFamilies[line.familyId as DeveloperFamilyId].referenceParts;
  return (
    <div className="sm:max-w-[520px]">
      <DilutionField
        id={`dilution-${line.key}`}
        fields={line}
        change={change}
        usual={usual}
        bottle={line.familyId || line.name || 'bottle'}
        volumeMl={volumeMl}
        units={units}
      />
      <FieldError id={`dilution-${line.key}-parts`} error={error} />
    </div>
  );
}

/** A jug for amounts in a litre while nobody knows how much is made. */
const LITRE_ML = 1000;

/** What an amount of a line is said of. */
function saidOf({
  line,
  kit,
  tabletMg,
  volumeMl,
}: Pick<LineProps, 'line' | 'kit' | 'tabletMg' | 'volumeMl'>): Omit<SaidOf, 'usual'> {
  return {
    substanceId: line.substanceId === '' ? null : (line.substanceId as SaidOf['substanceId']),
    unit: line.unit,
    anyUnit: line.kind === 'own',
    kit,
    tabletMg,
    volumeMl: volumeMl ?? LITRE_ML,
  };
}

interface InJugProps extends Pick<LineProps, 'line' | 'kit' | 'tabletMg' | 'change'> {
  volumeMl: number;
  onClose: () => void;
}

/** What goes into this jug, as people say it: grams, spoons, tablets. The litre follows. */
function InJug({ line, volumeMl, kit, tabletMg, change, onClose }: InJugProps) {
  const [typed, setTyped] = useState<number | string>('');
  const id = `in-jug-${line.key}`;
  return (
    <div className="flex flex-wrap items-start justify-end gap-x-3 gap-y-1 text-[14px]">
      <label htmlFor={id} className="pt-1.5">
        {line.name} in this jug
      </label>
      <AmountInput
        id={id}
        label={`${line.name} in this jug`}
        autoFocus
        className="w-[210px]"
        placeholder={line.unit === 'ml' ? '440 ml, half a can' : '18 tsp, 1½ tbsp, 9.6 g'}
        value={typed}
        said={{ ...saidOf({ line, kit, tabletMg, volumeMl }), usual: 'jug' }}
        onChange={(value, unit) => {
          setTyped(value);
          if (typeof value === 'number') change({ perL: inALitre(value, volumeMl), unit });
        }}
        onClose={onClose}
      />
      <button type="button" className="act-plain pt-1.5" onClick={onClose}>
        Done
      </button>
    </div>
  );
}
