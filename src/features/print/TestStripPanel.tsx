'use client';

import Link from 'next/link';
import * as z from 'zod';
import { stripSteps, type LampStep } from '@/core/printing/exposing';
import { testStrip } from '@/core/printing/testStrip';
import { printsByGrade } from '@/core/printing/paperCurve';
import { gradeRanges, twoTones, type TwoTones } from '@/core/printing/twoTones';
import { formatNumber } from '@/core/units/quantity';
import { typed } from '@/core/schema/typed';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { classes } from '@/ui/classes';

const steps = {
  third: { name: 'a third of a stop', scale: { kind: 'stops', stops: 1 / 3 } },
  half: { name: 'half a stop', scale: { kind: 'stops', stops: 1 / 2 } },
  stop: { name: 'a stop', scale: { kind: 'stops', stops: 1 } },
  two: { name: '2 seconds', scale: { kind: 'seconds', seconds: 2 } },
  five: { name: '5 seconds', scale: { kind: 'seconds', seconds: 5 } },
} as const;
type StepId = keyof typeof steps;
const stepOptions = (Object.keys(steps) as StepId[]).map((value) => ({ value, name: steps[value].name }));

const formSchema = z.object({
  fromS: typed,
  count: typed,
  step: z.enum(Object.keys(steps) as [StepId, ...StepId[]]),
  /** Patches whose light and dark tone look right, from 0; null while nobody said. */
  light: z.number().int().nullable(),
  dark: z.number().int().nullable(),
});
type StripForm = z.infer<typeof formSchema>;
const first: StripForm = { fromS: 4, count: 6, step: 'half', light: null, dark: null };

/** A test strip: its patches drawn, the lamp for each, and what the right ones say. */
export function TestStripPanel({
  printKey,
  grade,
  contact,
  onExpose,
  onTake,
}: {
  printKey: string;
  grade: string;
  /** A contact sheet: one patch is looked for, the first in which the film’s clear edge is gone. */
  contact: boolean;
  onExpose: (steps: LampStep[]) => void;
  /** Takes an exposure, and a grade where the strip asks for another. */
  onTake: (baseS: number, grade: string | null) => void;
}) {
  const units = useSettings();
  const { form, change } = useDraft<StripForm>(`${printKey}:strip`, formSchema, (kept) => kept ?? first);
  if (form === null) return null;
  const { fromS, count, step, light, dark } = form;
  const sound =
    typeof fromS === 'number' && fromS >= 0.1 && fromS <= 600 && typeof count === 'number' && count >= 2 && count <= 12;
  const { scale } = steps[step];
  const patches = sound ? testStrip(fromS, scale, Math.round(count)) : [];
  const [lightS, darkS] = [light, dark].map((at) => (at === null ? undefined : patches[at]?.totalS));
  const range = gradeRanges.find((one) => one.grade === grade.trim())?.range;
  const stepStops =
    scale.kind === 'stops'
      ? scale.stops
      : Math.log2(((lightS ?? fromSNumber(fromS)) + scale.seconds) / (lightS ?? fromSNumber(fromS)));
  const tones =
    lightS === undefined || darkS === undefined || range === undefined
      ? null
      : twoTones(lightS, darkS, range, stepStops);
  return (
    <section aria-labelledby="strip-head" className="mt-6 print:hidden">
      <h2 id="strip-head">A strip first</h2>
      <div className="mt-2 grid max-w-[560px] grid-cols-2 gap-4 sm:grid-cols-3">
        <Quantity
          id="fromS"
          label="Begins with"
          kind="shutter"
          units={units}
          value={fromS}
          onChange={(value) => change({ fromS: value })}
          error={typeof fromS === 'number' && fromS >= 0.1 && fromS <= 600 ? undefined : 'Give 0.1 to 600 s.'}
        />
        <Choice
          id="step"
          label="Each more by"
          value={step}
          options={stepOptions}
          onChange={(value) => change({ step: value, light: null, dark: null })}
        />
        <Quantity
          id="count"
          label="Patches"
          kind="count"
          units={units}
          value={count}
          onChange={(value) => change({ count: value })}
          error={typeof count === 'number' && count >= 2 && count <= 12 ? undefined : 'Give 2 to 12.'}
        />
      </div>
      {patches.length > 0 && (
        <>
          <ol
            aria-label="Patches of the strip"
            className="mt-3 grid auto-cols-fr grid-flow-col gap-px max-sm:grid-flow-row"
          >
            {patches.map(({ totalS, addedS }, at) => (
              <li key={at} className="border border-edge p-1.5 text-center">
                <span
                  aria-hidden
                  className="mb-1 block h-4 bg-[var(--ink)]"
                  style={{ opacity: (at + 1) / (patches.length + 1) }}
                />
                <span className="num block text-[20px] leading-tight">{formatNumber(totalS, 1)} s</span>
                <span className="block text-[13px] text-ink2">{at === 0 ? 'all' : `+ ${formatNumber(addedS, 1)}`}</span>
                {(contact ? (['light'] as const) : (['light', 'dark'] as const)).map((tone) => (
                  <button
                    key={tone}
                    type="button"
                    aria-pressed={form[tone] === at}
                    className={classes('act-plain block w-full text-[13px]', form[tone] === at && 'font-bold')}
                    onClick={() => change({ [tone]: form[tone] === at ? null : at })}
                  >
                    {form[tone] === at ? '✓ ' : ''}
                    {contact ? 'edge is gone' : tone === 'light' ? 'lights right' : 'darks right'}
                    <span className="sr-only"> at {formatNumber(totalS, 1)} s</span>
                  </button>
                ))}
              </li>
            ))}
          </ol>
          <button type="button" className="act mt-3 max-sm:w-full" onClick={() => onExpose(stripSteps(patches))}>
            Expose the strip
          </button>
          <Link href="/prints/dark" className="act-plain ml-5 inline-block">
            Open the box in its order
          </Link>
          <p className="mt-3 max-w-[62ch] text-[14px] text-ink2">
            {contact
              ? 'Lay a strip of clear film edge on it. Developed and rinsed, look at it in white light: which is the first patch on which the film’s clear edge cannot be told from the bare paper beside it?'
              : 'Developed and rinsed, look at it in white light: on which patch do the lightest tones just have detail, and on which do the darkest?'}
          </p>
        </>
      )}
      {lightS !== undefined && (
        <div className="mt-2 border-l-4 border-chem pl-4" data-testid="two-tones">
          {tones === null ? (
            <p>
              {contact
                ? `${formatNumber(lightS, 1)} s is the least that turns the clear edge black. What is too light or too dark by it tells the exposure of its frame.`
                : `${formatNumber(lightS, 1)} s for the light tones.`}{' '}
              {contact
                ? ''
                : darkS === undefined
                  ? 'With the dark ones it is known whether the grade fits.'
                  : 'Its grade is not in the table, so the strip cannot say whether it fits.'}
            </p>
          ) : (
            <p>
              {formatNumber(tones.seconds, 1)} s ({formatNumber(tones.lowS, 1)} to {formatNumber(tones.highS, 1)} s),
              grade <b>{tones.grade}</b>
              {tones.open.length > 1 && ` (${tones.open.join(', ')} are open)`}. The negative spans about{' '}
              {Math.round(tones.range)} ({Math.round(tones.low)} to {Math.round(tones.high)}) hundredths of log
              exposure.
              {tones.grade !== grade.trim() &&
                ' On another grade the light tones keep their time where filters are made so; else a strip again.'}
            </p>
          )}
          {tones !== null && <PrintsSeen tones={tones} own={grade.trim()} />}
          <button type="button" className="act mt-2" onClick={() => onTake(lightS, tones?.grade ?? null)}>
            Take {formatNumber(lightS, 1)} s{tones === null ? '' : ` and grade ${tones.grade}`}
          </button>
        </div>
      )}
    </section>
  );
}

/** The scene as the print would show it: on the grade of the strip, on the one that fits, and on those that are open. */
function PrintsSeen({ tones, own }: { tones: TwoTones; own: string }) {
  const seen = printsByGrade(
    tones.range,
    gradeRanges.filter(({ grade }) => grade === own || tones.open.includes(grade)),
  );
  return (
    <figure className="mt-3">
      <ul className="flex flex-wrap gap-3" aria-label="The print on other grades">
        {seen.map(({ grade, greys }) => (
          <li key={grade} className="w-[180px]">
            <ScenePicture greys={greys} label={`The hut printed on grade ${grade}`} />
            <span className={classes('num mt-1 block text-[14px]', grade === tones.grade && 'font-bold')}>
              grade {grade}
              {grade === own && ', the strip’s'}
            </span>
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 max-w-[62ch] text-[13px] text-ink2">
        The hut’s own picture, with the range of your negative and its light tones right on each.
      </figcaption>
    </figure>
  );
}

const fromSNumber = (value: number | string): number => (typeof value === 'number' && value > 0 ? value : 1);
