'use client';

import { emptyExposureForm, exposureFormSchema, readExposure, type ExposureForm } from '@/core/plan/exposureForm';
import { filters, type FilterId } from '@/core/exposure/filters';
import { stockFamilies, stockFamilyIds } from '@/core/films/stockFamilies';
import { formatDuration } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { Choice } from '@/ui/Choice';
import { FieldError } from '@/ui/Field';
import { MENDING } from '@/ui/mending';
import { Quantity } from '@/ui/Quantity';
import { cameraSpeed, nearestShutter, shutterText } from '@/core/units/shutter';
import { meterSetting } from '@/core/exposure/oldCamera';
import { OldCamera, restText } from './OldCamera';

const filterOptions = (Object.keys(filters) as FilterId[]).map((value) => ({
  value,
  name: filters[value].name,
  hint: `${formatNumber(filters[value].stops, 1)} stops`,
}));
const familyOptions = stockFamilyIds.map((value) => ({ value, name: stockFamilies[value].name }));

/** A time in words: seconds under a minute, minutes beyond. */
function timeWords(seconds: number): string {
  if (seconds < 0.6) return `${cameraSpeed(seconds)} s`;
  return seconds < 60 ? `${formatNumber(seconds, seconds < 10 ? 1 : 0)} s` : `${formatDuration(seconds)} min`;
}

/** The engraved speed next to a time, and what is left over. */
function Nearest({ seconds }: { seconds: number }) {
  const { speedS, restStops } = nearestShutter(seconds);
  const rest = Math.abs(restStops) < 0.05 ? '' : `, ${restText(restStops)}`;
  return (
    <p className="mt-2 text-[15px]" data-testid="nearest">
      Nearest on a shutter: {shutterText(speedS)} s{rest}.
    </p>
  );
}

/** The exposure calculator: from the meter to the shutter, on its own. */
export function ExposureView() {
  const units = useSettings();
  const { form, change } = useDraft<ExposureForm>('exposure', exposureFormSchema, (kept) => kept ?? emptyExposureForm);
  if (form === null) return <p aria-busy="true">Opening the calculator.</p>;
  const answer = readExposure(form);
  const errors: Partial<Record<string, string>> = answer.ok
    ? {}
    : Object.fromEntries(answer.problems.map(({ path, message }) => [path, message]));
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_420px]">
      <div className="min-w-0 space-y-5">
        <div>
          <h1>How long to expose</h1>
          <p className="mt-1 max-w-[62ch] text-ink2">
            From the meter to the shutter: the film’s speed, the filter, and the extra time long exposures need.
          </p>
        </div>
        <div className="grid gap-x-5 gap-y-4 border-t border-hair pt-4 sm:grid-cols-3">
          <Quantity
            id="meteredS"
            label="The meter says"
            hint="1/125, 4 s, 2 min"
            kind="shutter"
            units={units}
            value={form.meteredS}
            onChange={(meteredS) => change({ meteredS })}
            error={errors.meteredS}
          />
          <Quantity
            id="meterIndex"
            label="set to"
            kind="iso"
            units={units}
            value={form.meterIndex}
            onChange={(meterIndex) => change({ meterIndex })}
            error={errors.meterIndex}
          />
          <Quantity
            id="filmIndex"
            label="Expose the film at"
            kind="iso"
            units={units}
            value={form.filmIndex}
            onChange={(filmIndex) => change({ filmIndex })}
            error={errors.filmIndex}
          />
          <Choice
            id="filterId"
            label="Filter"
            value={form.filterId}
            options={filterOptions}
            onChange={(filterId) => change({ filterId })}
          />
          <div className="sm:col-span-2">
            <Choice
              id="exposureFamily"
              label="Film"
              value={form.familyId}
              options={familyOptions}
              onChange={(familyId) => change({ familyId })}
            />
          </div>
        </div>
        <div className="border-t border-hair pt-3">
          <label className="flex min-h-8 cursor-pointer items-center gap-2.5">
            <input
              type="checkbox"
              className="size-5"
              checked={form.ownFrames}
              onChange={(event) => change({ ownFrames: event.target.checked })}
            />
            Use my own test frames
          </label>
          {form.ownFrames && (
            <div className="mt-3 grid gap-x-5 gap-y-4 sm:grid-cols-2">
              {form.frames.map((frame, index) => (
                <div key={index} className="grid grid-cols-2 gap-4">
                  <Quantity
                    id={`frame-${index}-metered`}
                    label={`Frame ${index + 1}, metered`}
                    hint="s"
                    kind="count"
                    units={units}
                    value={frame.meteredS}
                    onChange={(meteredS) =>
                      change({
                        frames: form.frames.map((other, at) => (at === index ? { ...other, meteredS } : other)),
                      })
                    }
                  />
                  <Quantity
                    id={`frame-${index}-right`}
                    label="correct at"
                    hint="s"
                    kind="count"
                    units={units}
                    value={frame.rightS}
                    onChange={(rightS) =>
                      change({ frames: form.frames.map((other, at) => (at === index ? { ...other, rightS } : other)) })
                    }
                  />
                </div>
              ))}
              <FieldError id="frames" error={errors.frames} />
            </div>
          )}
        </div>
      </div>
      <div aria-live="polite" className="min-w-0 lg:row-span-2">
        {answer.ok ? (
          <>
            <p className="num text-[64px] leading-none tracking-[-.03em]" data-testid="expose">
              {timeWords(answer.value.exposeS)}
            </p>
            {answer.value.exposeS < 1.5 && <Nearest seconds={answer.value.exposeS} />}
            {filters[form.filterId].stops > 0 && typeof form.filmIndex === 'number' && answer.value.exposeS <= 1 && (
              <p className="mt-1 text-[15px]">
                Or set the meter to ISO {formatNumber(meterSetting(form.filmIndex, filters[form.filterId].stops), 0)}{' '}
                and take what it says.
              </p>
            )}
            <table className="mt-5 w-full">
              <caption className="sr-only">From the meter to the shutter</caption>
              <tbody>
                {(
                  [
                    ['For the speed', answer.value.forIndexS],
                    ['With the filter', answer.value.forFilterS],
                    [
                      `Long exposure, p = ${formatNumber(answer.value.exponent, 2)}, +${formatNumber(answer.value.reciprocityStops, 1)} stops`,
                      answer.value.exposeS,
                    ],
                  ] as const
                ).map(([words, timeS]) => (
                  <tr key={words} className="border-t border-hair last:border-t-2 last:border-ink">
                    <th scope="row" className="py-2 text-start font-normal">
                      {words}
                    </th>
                    <td className="num py-2 text-end">{timeWords(timeS)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="mt-3 text-[13px] text-ink2">
              {form.ownFrames
                ? 'The exponent is fitted to your frames.'
                : 'The exponent is common practice for film of which nothing is known (1.3) or our estimate for its kind. Bracket one stop longer on long exposures.'}
            </p>
          </>
        ) : (
          <p className="text-ink2">{MENDING}</p>
        )}
      </div>
      <div className="min-w-0 lg:col-start-1">
        <OldCamera form={form} change={change} exposeS={answer.ok ? answer.value.exposeS : null} units={units} />
      </div>
    </div>
  );
}
