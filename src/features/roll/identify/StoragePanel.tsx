'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { typedStay, type TypedStay } from '@/core/plan/dossierForm';
import { ageRoll, dateRoll } from '@/core/films/rollDating';
import { ageDistribution } from '@/core/films/ageDistribution';
import { rollAge } from '@/core/films/rollAge';
import { storagePresetIds, storagePresets } from '@/core/films/storagePresets';
import { plainStay, stayAt } from '@/core/films/storageStay';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { storagePart, xrayPart } from '@/data/typedParts';
import { Choice } from '@/ui/Choice';
import { Decades } from '@/ui/Decades';
import { Quantity } from '@/ui/Quantity';
import { timelinePercent, timelineScale, timelineYear, type TimelineScale } from '@/ui/timelineScale';
import { keyedValue } from '@/ui/sliderValue';
import { Term } from '@/ui/Term';
import { useTypedPart } from '@/features/drafts/useTypedPart';

const places = storagePresetIds.map((value) => ({ value, name: storagePresets[value].name }));

/** Where the roll lay from manufacture to now, and what each place adds to its age. */
export function StoragePanel({
  dossier: { roll, stock },
  units,
  nowYear,
}: {
  dossier: RollDossier;
  units: UnitChoice;
  nowYear: number;
}) {
  const { form, change, errors } = useTypedPart(storagePart, roll.id, roll.storage.map(typedStay));
  const set = (index: number, part: Partial<TypedStay>): void =>
    change(form.map((stay, at) => (at === index ? { ...stay, ...part } : stay)));
  const window = dateRoll({ formatId: roll.formatId, familyId: stock.familyId, hints: roll.hints }, nowYear);
  const ageing = window.ok ? ageRoll(window.years, roll.storage.map(plainStay), nowYear) : null;
  const age = ageDistribution(rollAge(roll, stock.familyId, nowYear));
  const madeYear = window.ok ? Math.round(window.meanYear) : nowYear - 30;

  const split = (): void => {
    const before = form.at(-2)?.untilYear;
    const from = typeof before === 'number' ? before : madeYear;
    const last = form.at(-1) ?? typedStay(stayAt('unknown'));
    change([
      ...form.slice(0, -1),
      { ...last, untilYear: Math.round((from + nowYear) / 2) },
      typedStay(stayAt('unknown')),
    ]);
  };
  const remove = (index: number): void => {
    const left = form.filter((_, at) => at !== index);
    change(left.map((stay, at) => (at === left.length - 1 ? { ...stay, untilYear: '' } : stay)));
  };

  return (
    <div>
      <p className="mt-1">
        {ageing === null ? (
          <>
            Its <Term id="room-year">age at room temperature</Term> appears once the hints agree.
          </>
        ) : (
          <>
            About {formatNumber(age.medianRoomYears, 0)} <Term id="room-year">years at room temperature</Term> in{' '}
            {formatNumber(age.calendarYears, 0)} calendar years past its fresh time.
          </>
        )}
      </p>
      <StayLine
        form={form}
        madeYear={madeYear}
        nowYear={nowYear}
        onMove={(index, untilYear) => set(index, { untilYear })}
      />
      <div className="mt-3 space-y-4">
        {form.map((stay, index) => {
          const last = index === form.length - 1;
          const part = ageing?.parts[index];
          return (
            <fieldset
              key={index}
              className="grid items-start gap-x-5 gap-y-3 border-t border-hair pt-3 sm:grid-cols-[1fr_1fr_1fr_150px_auto]"
            >
              <legend className="sr-only">Stay {index + 1}</legend>
              <Choice
                id={`stay-${index}-place`}
                label="Place"
                value={stay.placeId}
                options={places}
                onChange={(placeId) => {
                  const { temperatureC, temperatureSdC, humid } = stayAt(placeId);
                  set(index, { placeId, temperatureC, temperatureSdC, humid });
                }}
              />
              <Quantity
                id={`stay-${index}-temperature`}
                label="About"
                kind="temperature"
                units={units}
                range={[-40, 60]}
                value={stay.temperatureC}
                onChange={(temperatureC) => set(index, { temperatureC })}
                error={errors[`stays[${index}].temperatureC`]}
              />
              {last ? (
                <p className="pt-8 text-ink2">until now</p>
              ) : (
                <Quantity
                  id={`stay-${index}-until`}
                  label="Until"
                  kind="year"
                  units={units}
                  value={stay.untilYear}
                  onChange={(untilYear) => set(index, { untilYear })}
                  error={errors[`stays[${index}].untilYear`]}
                />
              )}
              <div className="pt-1 text-[14px]">
                <label className="flex min-h-8 cursor-pointer items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={stay.humid}
                    onChange={(event) => set(index, { humid: event.target.checked })}
                  />
                  humid
                </label>
                {part && (
                  <span className="text-ink2">adds {formatNumber(part.roomYears, 1)} years at room temperature</span>
                )}
              </div>
              {form.length > 1 && (
                <button
                  type="button"
                  className="act-plain self-center text-[13px] text-ink2"
                  onClick={() => remove(index)}
                >
                  Remove<span className="sr-only"> stay {index + 1}</span>
                </button>
              )}
            </fieldset>
          );
        })}
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <button type="button" className="act min-h-9 py-1" onClick={split}>
          Add another place
        </button>
        <XrayPasses rollId={roll.id} passes={roll.xrayPasses} units={units} />
      </div>
      <p className="mt-2 text-[13px] text-ink2">
        A year at room temperature is a year at {formatQuantity(21, 'temperature', units, 0)}. Temperatures and their
        spread are our estimates.
      </p>
    </div>
  );
}

function XrayPasses({ rollId, passes, units }: { rollId: string; passes: number; units: UnitChoice }) {
  const { form, change, errors } = useTypedPart(xrayPart, rollId, passes);
  return (
    <div className="w-64">
      <Quantity
        id="xray"
        label="X-ray passes"
        hint="hand baggage"
        kind="count"
        units={units}
        value={form}
        onChange={change}
        error={errors.passes}
      />
    </div>
  );
}

/** The stays on a line of years; the ends between them are moved by dragging or by arrow keys. */
function StayLine({
  form,
  madeYear,
  nowYear,
  onMove,
}: {
  form: readonly TypedStay[];
  madeYear: number;
  nowYear: number;
  onMove: (index: number, untilYear: number) => void;
}) {
  const line = useRef<HTMLDivElement>(null);
  const scale = timelineScale(madeYear, nowYear);
  const ends = form.map((stay, index) =>
    index === form.length - 1 ? nowYear : typeof stay.untilYear === 'number' ? stay.untilYear : madeYear,
  );
  const startOf = (index: number): number => Math.max(madeYear, ends[index - 1] ?? madeYear);
  return (
    <div className="mt-3">
      <div ref={line} className="relative h-9">
        {form.map((stay, index) => (
          <div
            key={index}
            className={`absolute inset-y-1 overflow-hidden border border-edge px-2 text-[13px] leading-7 whitespace-nowrap ${Number(stay.temperatureC) > 24 ? 'bg-heat text-ground' : 'bg-sheet text-ink'}`}
            style={{
              left: `${timelinePercent(scale, startOf(index))}%`,
              right: `${100 - timelinePercent(scale, ends[index] ?? nowYear)}%`,
            }}
          >
            {storagePresets[stay.placeId].name}
          </div>
        ))}
        {form.slice(0, -1).map((_, index) => (
          <MoveHandle
            key={index}
            index={index}
            year={ends[index] ?? madeYear}
            least={startOf(index)}
            most={ends[index + 1] ?? nowYear}
            scale={scale}
            line={line}
            onMove={onMove}
          />
        ))}
      </div>
      <Decades scale={scale} />
    </div>
  );
}

/** What a page key takes on the line of years. */
const PAGE_YEARS = 10;

interface MoveHandleProps {
  index: number;
  year: number;
  least: number;
  most: number;
  scale: TimelineScale;
  line: React.RefObject<HTMLDivElement | null>;
  onMove: (index: number, untilYear: number) => void;
}

function MoveHandle({ index, year, least, most, scale, line, onMove }: MoveHandleProps) {
  const move = (next: number): void => onMove(index, Math.min(most, Math.max(least, next)));
  const onKey = (event: KeyboardEvent): void => {
    const next = keyedValue(event.key, { value: year, min: least, max: most, step: 1, page: PAGE_YEARS });
    if (next === null) return;
    event.preventDefault();
    move(next);
  };
  const onPointer = (event: PointerEvent): void => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId) || line.current === null) return;
    const box = line.current.getBoundingClientRect();
    move(timelineYear(scale, (event.clientX - box.left) / box.width));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`End of stay ${index + 1}`}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={year}
      aria-valuetext={`until ${year}`}
      className="absolute inset-y-0 w-6 -translate-x-1/2 cursor-ew-resize touch-none"
      style={{ left: `${timelinePercent(scale, year)}%` }}
      onKeyDown={onKey}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointer}
    >
      <span className="mx-auto block h-full w-1.5 border border-ground bg-ink" />
    </div>
  );
}
