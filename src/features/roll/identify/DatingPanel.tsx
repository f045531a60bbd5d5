'use client';

import { emptyHint, typedHint, type TypedHint } from '@/core/plan/dossierForm';
import { FRESH_YEARS, dateRoll, datingHints } from '@/core/films/rollDating';
import type { UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { hintsPart } from '@/data/typedParts';
import { Decades } from '@/ui/Decades';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { timelinePercent, timelineScale } from '@/ui/timelineScale';
import { useTypedPart } from '@/features/drafts/useTypedPart';

const kinds = {
  stamp: 'An expiry year',
  bought: 'Bought fresh',
  use: 'Years of use',
  story: 'Something I was told',
} as const;

/** When the roll was made: each hint as a bar, their overlap shaded, contradictions named. */
export function DatingPanel({
  dossier: { roll, stock },
  units,
  nowYear,
}: {
  dossier: RollDossier;
  units: UnitChoice;
  nowYear: number;
}) {
  const { form, change, errors } = useTypedPart(hintsPart, roll.id, roll.hints.map(typedHint));
  const set = (index: number, part: Partial<TypedHint>): void =>
    change(form.map((hint, at) => (at === index ? { ...hint, ...part } : hint)));
  return (
    <div>
      <WindowTimeline roll={roll} familyId={stock.familyId} nowYear={nowYear} />
      <div className="mt-4 space-y-4">
        {form.map((hint, index) => (
          <fieldset
            key={index}
            className="grid items-start gap-x-5 gap-y-3 border-t border-hair pt-3 sm:grid-cols-[150px_1fr_1fr_1fr_auto]"
          >
            <legend className="sr-only">
              {kinds[hint.kind]}, hint {index + 1}
            </legend>
            <span className="num pt-1 text-[16px]">{kinds[hint.kind]}</span>
            {hint.kind === 'stamp' || hint.kind === 'bought' ? (
              <span className="hidden text-[13px] text-ink2 sm:block">
                {hint.kind === 'stamp'
                  ? '“Develop before” on the box. Film was made two to four years earlier.'
                  : 'In a shop that sells new film.'}
              </span>
            ) : (
              <Field id={`hint-${index}-what`} label={hint.kind === 'use' ? 'Used where' : 'The story'}>
                <input
                  id={`hint-${index}-what`}
                  className="box"
                  maxLength={120}
                  value={hint.what}
                  onChange={(event) => set(index, { what: event.target.value })}
                />
              </Field>
            )}
            {hint.kind === 'use' ? (
              <>
                <Quantity
                  id={`hint-${index}-from`}
                  label="From"
                  kind="year"
                  units={units}
                  value={hint.from}
                  onChange={(from) => set(index, { from })}
                  error={errors[`hints[${index}].from`]}
                />
                <Quantity
                  id={`hint-${index}-to`}
                  label="To"
                  kind="year"
                  units={units}
                  value={hint.to}
                  onChange={(to) => set(index, { to })}
                  error={errors[`hints[${index}].to`]}
                />
              </>
            ) : (
              <>
                <Quantity
                  id={`hint-${index}-year`}
                  label={hint.kind === 'story' ? 'Taken about' : 'Year'}
                  kind="year"
                  units={units}
                  value={hint.year}
                  onChange={(year) => set(index, { year })}
                  error={errors[`hints[${index}].year`]}
                />
                {hint.kind === 'bought' ? (
                  <span />
                ) : (
                  <Quantity
                    id={`hint-${index}-slack`}
                    label="Give or take"
                    hint="years"
                    kind="count"
                    units={units}
                    value={hint.slackYears}
                    onChange={(slackYears) => set(index, { slackYears })}
                    error={errors[`hints[${index}].slackYears`]}
                  />
                )}
              </>
            )}
            <button
              type="button"
              className="act-plain self-center text-[13px] text-ink2"
              onClick={() => change(form.filter((_, at) => at !== index))}
            >
              Remove<span className="sr-only"> {kinds[hint.kind]}</span>
            </button>
          </fieldset>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        <span className="text-ink2">Add a hint:</span>
        {(Object.keys(kinds) as TypedHint['kind'][]).map((kind) => (
          <button
            key={kind}
            type="button"
            className="act min-h-9 py-1"
            onClick={() => change([...form, emptyHint(kind, nowYear)])}
          >
            {kinds[kind]}
          </button>
        ))}
      </div>
    </div>
  );
}

function WindowTimeline({
  roll,
  familyId,
  nowYear,
}: {
  roll: RollDossier['roll'];
  familyId: RollDossier['stock']['familyId'];
  nowYear: number;
}) {
  const facts = { formatId: roll.formatId, familyId, hints: roll.hints };
  const hints = datingHints(facts, nowYear);
  const window = dateRoll(facts, nowYear);
  const scale = timelineScale(Math.max(1890, Math.min(...hints.map((hint) => hint.from))), nowYear);
  const at = (year: number): number => timelinePercent(scale, year);
  const heaviest = window.ok ? Math.max(...window.years.map(({ weight }) => weight)) : 1;
  const words = window.ok
    ? `Made between ${window.from} and ${window.to}, most likely about ${Math.round(window.meanYear)}. The first ${FRESH_YEARS} years count as fresh.`
    : `These cannot both be true: ${window.contradictions.map(([a, b]) => `${a.name} and ${b.name}`).join('; ')}. Until you correct one, the roll counts as 30 ± 15 years old.`;
  return (
    <div className="mt-2">
      <p
        role={window.ok ? undefined : 'alert'}
        className={window.ok ? '' : 'border-s-4 border-danger ps-2 text-danger'}
      >
        {words}
      </p>
      <div className="relative mt-3" role="img" aria-label={`Timeline of the hints. ${words}`}>
        {window.ok && (
          <div
            className="absolute inset-y-0 border-x-2 border-chem bg-band"
            style={{ left: `${at(window.from)}%`, right: `${100 - at(window.to + 1)}%` }}
          />
        )}
        {hints.map((hint) => (
          <div key={hint.id} className="relative h-9">
            <div
              className="absolute top-[24px] h-[3px] bg-ink2"
              style={{ left: `${at(hint.from)}%`, right: `${100 - at(hint.to + 1)}%` }}
            />
            <div
              className="absolute top-[21px] h-[9px] bg-ink2"
              style={{ left: `${at(hint.coreFrom)}%`, right: `${100 - at(hint.coreTo + 1)}%` }}
            />
            <span className="absolute top-0 start-0 max-w-full truncate text-[12px]">{hint.name}</span>
          </div>
        ))}
        {window.ok && (
          <div className="relative h-9">
            {window.years.map(({ year, weight }) => (
              <div
                key={year}
                className="absolute bottom-0 bg-chem"
                style={{
                  left: `${at(year)}%`,
                  width: `max(2px, ${at(year + 1) - at(year)}%)`,
                  height: `${(weight / heaviest) * 100}%`,
                }}
              />
            ))}
          </div>
        )}
        <Decades scale={scale} />
      </div>
    </div>
  );
}
