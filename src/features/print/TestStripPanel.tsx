'use client';

import Link from 'next/link';
import { stripSteps as lampSteps, type LampStep } from '@/core/printing/exposing';
import { CURVE_D, CURVE_FROM, CURVE_TO, paperCurve, printsByGrade } from '@/core/printing/paperCurve';
import { exposureOnGrade, type PaperKnown } from '@/core/printing/gradeExposure';
import type { OwnRange } from '@/core/printing/paperRange';
import {
  FROM_S,
  PATCHES,
  emptyTestStrip,
  readTestStrip,
  stripStepIds,
  stripSteps,
  testStripFormSchema,
  type StripSaid,
  type TestStripForm,
} from '@/core/printing/stripForm';
import type { TwoTones } from '@/core/printing/twoTones';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { classes } from '@/ui/classes';

const stepOptions = stripStepIds.map((value) => ({ value, name: stripSteps[value].name }));
const ofOptions = [
  { value: 'negative', name: 'The negative' },
  { value: 'paper', name: 'The paper by itself' },
] as const;

/** What is looked for on a strip, by what it is of: the words of its two buttons, and of the line below it. */
const looked = {
  contact: {
    marks: [['light', 'edge is gone']],
    line: 'Lay a strip of clear film edge on it. Developed and rinsed, look at it in white light: which is the first patch on which the film’s clear edge cannot be told from the bare paper beside it?',
  },
  negative: {
    marks: [
      ['light', 'lights right'],
      ['dark', 'darks right'],
    ],
    line: 'Developed and rinsed, look at it in white light: on which patch do the lightest tones just have detail, and on which do the darkest?',
  },
  paper: {
    marks: [
      ['light', 'first grey'],
      ['card', 'grey card'],
      ['dark', 'full black'],
    ],
    line: 'No negative in the carrier; from a second or less on, so that the first patches stay white. Developed and rinsed, look at it in white light: which patch is the first that is not bare paper, and which the first as black as the blackest? With a grey card beside it: which is as grey as the card?',
  },
} as const satisfies Record<string, { marks: readonly (readonly ['light' | 'dark' | 'card', string])[]; line: string }>;

interface TestStripPanelProps {
  printKey: string;
  grade: string;
  paper: string;
  /** What is known of that paper. */
  known: PaperKnown;
  /** The density of the person’s own negative by its exposure; null where no strip of its roll tells it. */
  densityAt: ((logH: number) => number) | null;
  /** A contact sheet: one patch is looked for, the first in which the film’s clear edge is gone. */
  contact: boolean;
  onExpose: (steps: LampStep[]) => void;
  /** Takes an exposure, and a grade where the strip asks for another. */
  onTake: (baseS: number, grade: string | null) => void;
  /** Keeps what a strip told of the paper with this print. */
  onRange: (range: OwnRange) => void;
}

/** A test strip: its patches drawn, the lamp for each, and what the right ones say. */
export function TestStripPanel(props: TestStripPanelProps) {
  const { printKey, grade, known, contact, onExpose } = props;
  const units = useSettings();
  const { form, change } = useDraft<TestStripForm>(
    `${printKey}:strip`,
    testStripFormSchema,
    (kept) => kept ?? emptyTestStrip,
  );
  if (form === null) return null;
  const said = readTestStrip(form, grade, known.grades);
  const { patches, fields } = said;
  const { marks, line } = looked[contact ? 'contact' : form.of];
  return (
    <section aria-labelledby="strip-head" className="mt-6 print:hidden">
      <h2 id="strip-head">A strip first</h2>
      {!contact && (
        <div className="mt-2 max-w-[420px]">
          <Segments
            id="strip-of"
            label="A strip of"
            value={form.of}
            options={ofOptions}
            onChange={(of) => change({ of, light: null, dark: null, card: null })}
          />
        </div>
      )}
      <div className="mt-2 grid max-w-[560px] grid-cols-2 gap-4 sm:grid-cols-3">
        <Quantity
          id="fromS"
          label="Begins with"
          kind="shutter"
          units={units}
          value={form.fromS}
          onChange={(value) => change({ fromS: value })}
          error={fields.fromS ? undefined : `Give ${FROM_S.join(' to ')} s.`}
        />
        <Choice
          id="step"
          label="Each more by"
          value={form.step}
          options={stepOptions}
          onChange={(value) => change({ step: value, light: null, dark: null, card: null })}
        />
        <Quantity
          id="count"
          label="Patches"
          kind="count"
          units={units}
          value={form.count}
          onChange={(value) => change({ count: value })}
          error={fields.count ? undefined : `Give ${PATCHES.join(' to ')}.`}
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
                {marks.map(([tone, mark]) => (
                  <button
                    key={mark}
                    type="button"
                    aria-pressed={form[tone] === at}
                    className={classes('act-plain block w-full text-[13px]', form[tone] === at && 'font-bold')}
                    onClick={() => change({ [tone]: form[tone] === at ? null : at })}
                  >
                    {form[tone] === at ? '✓ ' : ''}
                    {mark}
                    <span className="sr-only"> at {formatNumber(totalS, 1)} s</span>
                  </button>
                ))}
              </li>
            ))}
          </ol>
          <button type="button" className="act mt-3 max-sm:w-full" onClick={() => onExpose(lampSteps(patches))}>
            Expose the strip
          </button>
          <Link href="/prints/dark" className="act-plain ms-5 inline-block">
            Open the box in its order
          </Link>
          <p className="mt-3 max-w-[62ch] text-[14px] text-ink2">{line}</p>
        </>
      )}
      {said.lightS !== undefined && <Said {...props} form={form} said={said} lightS={said.lightS} />}
    </section>
  );
}

/** What the strip says, and what is taken of it. */
function Said({
  grade,
  paper,
  known,
  densityAt,
  contact,
  onTake,
  onRange,
  form,
  said: { tones, range },
  lightS,
}: TestStripPanelProps & { form: TestStripForm; said: StripSaid; lightS: number }) {
  if (form.of === 'paper' && !contact) return <PaperSaid {...{ grade, paper, known, onRange, form, range }} />;
  const other = tones === null || tones.grade === grade.trim() ? null : exposureOnGrade(tones, grade, known);
  const takenS = other?.seconds ?? lightS;
  return (
    <div className="mt-2 border-s-4 border-chem ps-4" data-testid="two-tones">
      {tones === null ? (
        <p>
          {contact
            ? `${formatNumber(lightS, 1)} s is the least that turns the clear edge black. What is too light or too dark by it tells the exposure of its frame.`
            : `${formatNumber(lightS, 1)} s for the light tones.`}{' '}
          {contact
            ? ''
            : form.dark === null
              ? 'With the dark ones it is known whether the grade fits.'
              : 'Its grade is not in the table, so the strip cannot say whether it fits.'}
        </p>
      ) : (
        <p>
          {formatNumber(tones.seconds, 1)} s ({formatNumber(tones.lowS, 1)} to {formatNumber(tones.highS, 1)} s) here,
          and grade <b>{tones.grade}</b>
          {tones.open.length > 1 && ` (${tones.open.join(', ')} are open)`}. The negative spans about{' '}
          {Math.round(tones.range)} ({Math.round(tones.low)} to {Math.round(tones.high)}) hundredths of log exposure.
          {other !== null &&
            ` On grade ${tones.grade} the lights want about ${formatNumber(other.seconds, 1)} s (${formatNumber(other.lowS, 1)} to ${formatNumber(other.highS, 1)} s), ${other.compared === 0 ? 'as filters usually are: a strip on it says it closer' : 'by what was compared on this paper'}.`}
        </p>
      )}
      {tones !== null && <PrintsSeen tones={tones} own={grade.trim()} known={known} densityAt={densityAt} />}
      <button
        type="button"
        className="act mt-2"
        onClick={() => onTake(Number(takenS.toFixed(1)), tones?.grade ?? null)}
      >
        Take {formatNumber(takenS, 1)} s{tones === null ? '' : ` and grade ${tones.grade}`}
      </button>
    </div>
  );
}

/** What a strip without a negative told of the paper. */
function PaperSaid({
  grade,
  paper,
  known: { grades },
  onRange,
  form,
  range,
}: Pick<TestStripPanelProps, 'grade' | 'paper' | 'known' | 'onRange'> & {
  form: TestStripForm;
  range: OwnRange | null;
}) {
  const known = grades.find((one) => one.grade === grade.trim());
  return (
    <div className="mt-2 border-s-4 border-chem ps-4" data-testid="paper-range">
      {range === null ? (
        <p>
          {form.dark === null
            ? 'With the full black it is known what this paper spans.'
            : 'Black has to come after the first grey. Where the blackest is the last patch, give the strip more.'}
        </p>
      ) : (
        <>
          <p>
            {paper.trim() === '' ? 'This paper' : `“${paper.trim()}”`} on grade {grade.trim()} spans{' '}
            {Math.round(range.range)} hundredths of log exposure, ± {Math.round(range.sd)} by this strip.
            {known !== undefined &&
              (known.strips === 0
                ? ` By the table it would be ${Math.round(known.range)}.`
                : ` With ${known.strips === 1 ? 'the strip' : `the ${known.strips} strips`} before it is taken for ${Math.round(known.range)} ± ${Math.round(known.sd)}.`)}
          </p>
          {range.middle === undefined ? (
            <p className="text-[14px] text-ink2">
              With the patch that is as grey as a grey card it has its whole curve.
            </p>
          ) : (
            <PaperCurve range={range} />
          )}
          {paper.trim() === '' && (
            <p className="text-[14px] text-ink2">Name the paper, and its other prints use this.</p>
          )}
          <button type="button" className="act mt-2" onClick={() => onRange(range)}>
            Keep it as this paper’s own
          </button>
        </>
      )}
    </div>
  );
}

/** The print on the grade of the strip, on the one that fits, and on those that are open. */
function PrintsSeen({
  tones,
  own,
  known: { grades, middle },
  densityAt,
}: {
  tones: TwoTones;
  own: string;
} & Pick<TestStripPanelProps, 'known' | 'densityAt'>) {
  const seen = printsByGrade(
    tones.range,
    grades.filter(({ grade }) => grade === own || tones.open.includes(grade)),
    densityAt ?? undefined,
    middle,
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
        {densityAt === null
          ? 'The hut’s own picture, with the range of your negative and its light tones right on each.'
          : 'The hut as your roll’s strip has its curve, with the range of your negative and its light tones right on each.'}
      </figcaption>
    </figure>
  );
}

/** The curve of a paper through what the strip told: bare paper, grey card and black. */
function PaperCurve({ range: { range, middle } }: { range: OwnRange }) {
  const points = paperCurve(range, middle?.share);
  const [wide, high] = [240, 120];
  const place = ([logH, densityD]: readonly [number, number]): string =>
    `${(((logH - CURVE_FROM) / (CURVE_TO - CURVE_FROM)) * wide).toFixed(1)} ${(high - (densityD / CURVE_D) * high).toFixed(1)}`;
  return (
    <figure className="mt-2">
      <svg
        viewBox={`-4 -4 ${wide + 8} ${high + 8}`}
        className="w-full max-w-[260px]"
        role="img"
        aria-label="The curve of this paper"
      >
        <path d={`M0 0V${high}H${wide}`} fill="none" stroke="var(--edge)" />
        <path d={`M${points.map(place).join('L')}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      </svg>
      <figcaption className="text-[13px] text-ink2">Density by log exposure, from the first grey.</figcaption>
    </figure>
  );
}
