'use client';

import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { Print } from '@/core/records/records';
import {
  contactPrint,
  emptyPrint,
  printAgain,
  printFormSchema,
  readPrint,
  type PrintForm,
} from '@/core/printing/print';
import { printSteps } from '@/core/printing/exposing';
import { printNote } from '@/core/printing/printFiles';
import { printPlan } from '@/core/printing/printPlan';
import { driesOfPaper } from '@/core/printing/paperDries';
import {
  gradesOfPaper,
  middleOfPaper,
  paperDeveloperIds,
  paperDevelopers,
  stripsOfPaper,
} from '@/core/printing/paperRange';
import type { PaperKnown } from '@/core/printing/gradeExposure';
import { isStillJudged } from '@/core/printing/printLikeness';
import { stepsOfPaper } from '@/core/printing/gradeCost';
import { ownNegative } from '@/core/printing/ownNegative';
import { keepPrint, printDraftKey, removePrint, usePrint, usePrints } from '@/data/prints';
import { useReadings } from '@/data/readings';
import { usePhotos, useRollNames, useSettings } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { useFaults } from '@/features/drafts/useFaults';
import { NotHere } from '@/features/shell/NotHere';
import { formatNumber } from '@/core/units/quantity';
import { Choice } from '@/ui/Choice';
import { Field, describedBy } from '@/ui/Field';
import { download } from '@/ui/download';
import { Quantity } from '@/ui/Quantity';
import { Areas } from './Areas';
import { Changes } from './Changes';
import { JudgePrint } from './JudgePrint';
import { Lamp, useLamp } from './Lamp';
import { EnlargerTimer, useExposing } from './EnlargerTimer';
import { Metronome } from './Metronome';
import { PrintPicture } from './PrintPicture';
import { PrintSeries } from './PrintSeries';
import { Trays } from './Trays';
import { ColourHead } from './ColourHead';
import { TestStripPanel } from './TestStripPanel';

const developerOptions = [
  { value: '', name: 'not said' } as const,
  ...paperDeveloperIds.map((value) => ({ value, name: paperDevelopers[value] })),
];

/** A print that was kept. */
export function PrintPage({ printId }: { printId: string }) {
  const print = usePrint(printId);
  if (print === undefined) return <p aria-busy="true">Opening the print.</p>;
  if (print === null) return <NotHere table="prints" id={printId} what="This print" />;
  return <PrintForms print={print} rollId={print.rollId} />;
}

/** A print that is begun: by itself, for a roll, or like one that is there. */
export function NewPrint() {
  const search = useSearchParams();
  const likeId = search.get('like');
  if (likeId !== null) {
    const seconds = Number(search.get('s'));
    const grade = search.get('grade');
    const hardS = Number(search.get('hard'));
    const next = seconds > 0 && grade !== null ? { baseS: seconds, grade, ...(hardS > 0 ? { hardS } : {}) } : null;
    return <SamePrint printId={likeId} next={next} />;
  }
  return <PrintForms print={null} rollId={search.get('roll')} contact={search.get('sheet') === 'contact'} />;
}

/** What is to be different of the next print. */
type NextOne = Pick<PrintForm, 'baseS' | 'grade'> & Partial<Pick<PrintForm, 'hardS'>>;

/** The same print again, to be changed. */
function SamePrint({ printId, next }: { printId: string; next: NextOne | null }) {
  const print = usePrint(printId);
  if (print === undefined) return <p aria-busy="true">Opening the print.</p>;
  if (print === null) return <NotHere table="prints" id={printId} what="This print" />;
  return <PrintForms print={null} rollId={print.rollId} like={print} next={next} />;
}

function formOf({
  name,
  paper,
  grade,
  developer,
  sideMm,
  negativeMm,
  fNumber,
  baseS,
  hardS,
  dryDown,
  dries,
  afterId,
  areas,
  trays,
  note,
  ownRange,
  gradeStep,
  pictureId,
  judged,
}: Print): PrintForm {
  return {
    name,
    paper,
    grade,
    developer: developer ?? '',
    sideMm,
    negativeMm,
    fNumber,
    baseS,
    hardS: hardS ?? '',
    dryDown,
    dries: dries ?? null,
    afterId: afterId ?? null,
    areas,
    trays,
    note,
    ownRange: ownRange ?? null,
    gradeStep: gradeStep ?? null,
    pictureId: pictureId ?? null,
    judged: judged ?? null,
  };
}

/** One print: its strip, its exposure with the hands it takes, and what it was made on. */
function PrintForms({
  print,
  rollId,
  contact = false,
  like = null,
  next = null,
}: {
  print: Print | null;
  rollId: string | null;
  /** Whether all frames are printed at once, as they are. */
  contact?: boolean;
  /** The print that this one begins like. */
  like?: Print | null;
  /** What judging that one asks of this one. */
  next?: NextOne | null;
}) {
  const router = useRouter();
  const units = useSettings();
  const key = contact
    ? `${printDraftKey(null)}:contact:${rollId ?? ''}`
    : like === null
      ? printDraftKey(print?.id ?? null)
      : `${printDraftKey(null)}:like:${like.id}${next === null ? '' : `:${next.baseS}:${next.grade}`}`;
  const begun =
    like === null ? (contact ? contactPrint : emptyPrint) : { ...printAgain(formOf(like), like.id), ...next };
  const first = print === null ? begun : formOf(print);
  const { form, change } = useDraft<PrintForm>(key, printFormSchema, (kept) => kept ?? first);
  const lamp = useLamp();
  const { exposing, set, begin } = useExposing(`${key}:lamp`, lamp.lagS);
  const [fault, setFault] = useState<string | null>(null);
  const prints = usePrints();
  const strips = useReadings(rollId ?? '');
  const photos = usePhotos(rollId ?? '') ?? [];
  const [roll] = useRollNames(rollId === null ? [] : [rollId]);
  const read = form === null ? null : readPrint(form, rollId, print?.final ?? false);
  const errors =
    read === null || read.ok ? {} : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  const keep = (final: boolean): void => {
    if (read?.ok !== true) return;
    keepPrint(print?.id ?? null, { ...read.value, final }, key).then(
      (id) => router.push(`/prints/${encodeURIComponent(id)}`),
      (error: unknown) => setFault(error instanceof Error ? error.message : 'It was not stored. Try once more.'),
    );
  };
  const { shown, form: handlers } = useFaults(errors, () => keep(print?.final ?? false));
  if (form === null) return <p aria-busy="true">Opening the print.</p>;
  const others = (prints ?? []).filter(({ id }) => id !== print?.id);
  const developer = form.developer === '' ? undefined : form.developer;
  const ofPaper = stripsOfPaper([...others, { ...form, developer, ownRange: form.ownRange ?? undefined }], form.paper);
  const paper: PaperKnown = {
    grades: gradesOfPaper(ofPaper, developer),
    steps: stepsOfPaper([...others, form], form.paper),
    middle: middleOfPaper(ofPaper).share,
  };
  // A reload in the dark finds the lamp again.
  const lampOn = exposing.steps.length > 0;
  const hardS = typeof form.hardS === 'number' && form.hardS > 0 ? form.hardS : null;
  const plan = typeof form.baseS === 'number' && form.baseS > 0 ? printPlan(form.baseS, areasOf(form)) : [];
  const line = (id: 'name' | 'paper' | 'grade' | 'trays', label: string, hint?: string) => (
    <Field id={id} label={label} hint={hint} error={shown[id]}>
      <input
        id={id}
        className="box aria-invalid:border-2 aria-invalid:border-danger"
        autoComplete="off"
        aria-invalid={shown[id] ? true : undefined}
        aria-describedby={describedBy(id, hint, shown[id])}
        value={form[id]}
        onChange={(event) => change({ [id]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      {lampOn && (
        <EnlargerTimer
          exposing={exposing}
          set={set}
          onDone={() => {
            set({ steps: [], at: 0, onSinceMs: null });
          }}
        />
      )}
      <form className="measure" {...handlers} noValidate inert={lampOn}>
        <h1>{print === null ? (contact ? 'A contact sheet' : 'A print') : print.name}</h1>
        {roll !== undefined && (
          <p className="text-ink2">
            From <Link href={`/rolls/${encodeURIComponent(roll.id)}`}>{roll.label}</Link>.
          </p>
        )}
        <PrintSeries prints={prints ?? []} print={print} afterId={form.afterId} />
        <div className="mt-4 grid gap-4 sm:grid-cols-[minmax(0,2fr)_minmax(0,1.4fr)_90px_150px]">
          {line('name', 'What is on it', 'frame and words')}
          {line('paper', 'Paper')}
          {line('grade', 'Grade')}
          <Choice
            id="paper-developer"
            label="Developed in"
            value={form.developer}
            options={developerOptions}
            onChange={(next) => change({ developer: next })}
          />
        </div>
        <ColourHead grade={form.grade} strips={ofPaper} />
        <TestStripPanel
          printKey={key}
          contact={contact}
          grade={form.grade}
          paper={form.paper}
          known={paper}
          densityAt={ownNegative(strips ?? [])}
          onRange={(range) =>
            change({
              ownRange: { ...range, grade: form.grade.trim(), ...(developer === undefined ? {} : { developer }) },
            })
          }
          onExpose={begin}
          onTake={(baseS, grade) => change({ baseS, ...(grade === null ? {} : { grade }) })}
        />
        <section aria-labelledby="exposure" className="mt-7">
          <h2 id="exposure">The print</h2>
          <div className="mt-2 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-3">
            <Quantity
              id="baseS"
              label={form.hardS === '' ? 'Exposure' : 'Soft filter'}
              kind="shutter"
              units={units}
              value={form.baseS}
              onChange={(baseS) => change({ baseS })}
              error={shown.baseS}
            />
            <Quantity
              id="fNumber"
              label="Aperture, f/"
              kind="fNumber"
              units={units}
              value={form.fNumber}
              onChange={(fNumber) => change({ fNumber })}
              error={shown.fNumber}
            />
            <Quantity
              id="hardS"
              label="Then a hard filter"
              kind="shutter"
              units={units}
              optional
              value={form.hardS}
              onChange={(hardS) => change({ hardS })}
              error={shown.hardS}
            />
          </div>
          <PrintPicture
            print={print}
            photos={photos}
            pictureId={form.pictureId}
            onPicture={(pictureId) => change({ pictureId })}
          />
          <Areas
            form={form}
            picture={photos.find(({ id }) => id === form.pictureId) ?? null}
            change={change}
            errors={shown}
          />
          {plan.length > 0 && (
            <>
              <ol aria-label="What the hands do" className="mt-3 border-b border-hair">
                {plan.map((step) => (
                  <li key={step.kind + step.where} className="rule-row flex justify-between gap-4">
                    <span>
                      {step.kind === 'base' && 'The whole paper'}
                      {step.kind === 'dodge' && `Hold back: ${step.where}, the last of it`}
                      {step.kind === 'burn' && `Burn in: ${step.where}`}
                    </span>
                    <span className="num">{formatNumber(step.seconds, 1)} s</span>
                  </li>
                ))}
                {hardS !== null && (
                  <li className="rule-row flex justify-between gap-4">
                    <span>Hard filter in, the whole paper once more</span>
                    <span className="num">{formatNumber(hardS, 1)} s</span>
                  </li>
                )}
              </ol>
              <Lamp lamp={lamp} />
              <button
                type="button"
                className="act act-primary mt-3 max-sm:w-full"
                onClick={() => {
                  begin(printSteps(plan, hardS));
                }}
              >
                To the lamp
              </button>
              <Metronome />
            </>
          )}
        </section>
        <Changes
          form={form}
          change={change}
          errors={shown}
          steps={paper.steps}
          dries={driesOfPaper(others, form.paper)}
        />
        {print !== null && typeof form.baseS === 'number' && form.baseS > 0 && (
          <JudgePrint
            printId={print.id}
            made={print}
            changed={!isStillJudged(print, form)}
            judged={form.judged}
            paper={paper}
            onJudge={(judged) => change({ judged })}
          />
        )}
        <section aria-labelledby="trays-head" className="mt-7">
          <h2 id="trays-head">Trays and words</h2>
          <div className="mt-2 space-y-4">
            <Trays developer={developer} />
            {line('trays', 'Trays', 'developer, time, tone')}
            <Field id="note" label="Note" error={shown.note}>
              <textarea
                id="note"
                className="box min-h-20"
                value={form.note}
                onChange={(event) => change({ note: event.target.value })}
              />
            </Field>
          </div>
        </section>
        <div className="mt-5 flex flex-wrap items-center gap-x-6 gap-y-3 print:hidden">
          <button type="submit" className="act" data-next-step>
            Keep this print
          </button>
          {print !== null && (
            <>
              <button type="button" className="act-plain" aria-pressed={print.final} onClick={() => keep(!print.final)}>
                {print.final ? 'It is not the one that hangs' : 'This is the one that hangs'}
              </button>
              <Link href={`/prints/new?like=${encodeURIComponent(print.id)}`} className="act-plain">
                The same again
              </Link>
              <button type="button" className="act-plain" onClick={() => window.print()}>
                Print the card
              </button>
              <button
                type="button"
                className="act-plain"
                onClick={() =>
                  download(
                    printNote({ ...print, rollLabel: roll?.label ?? '' }),
                    `aetas-print-${print.id}.md`,
                    'text/markdown',
                  )
                }
              >
                Save as a note
              </button>
              <button
                type="button"
                className="act-plain"
                onClick={() => void removePrint(print).then(() => router.push('/prints'))}
              >
                Take it off the bench
              </button>
            </>
          )}
          {fault !== null && (
            <p role="alert" className="text-danger">
              {fault}
            </p>
          )}
        </div>
      </form>
    </>
  );
}

/** Areas whose stops read. */
function areasOf({ areas }: PrintForm): { where: string; stops: number }[] {
  return areas.flatMap(({ where, stops }) =>
    typeof stops === 'number' && stops !== 0 ? [{ where: where.trim() || 'an area', stops }] : [],
  );
}
