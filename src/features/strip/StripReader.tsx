'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { SettingRecord } from '@/core/evidence/evidenceRecord';
import {
  initialStripForm,
  readStripForm,
  stripFormSchema,
  stripSources,
  type StripForm,
  type StripPlan,
} from '@/core/evidence/stripForm';
import { findingOfStrip, separateDensities } from '@/core/evidence/stripReading';
import { turnedRow } from '@/core/densitometry/patch';
import { keptSpread } from '@/core/densitometry/keptSpread';
import { keptPatch, type PatchDensity } from '@/core/densitometry/patchDensity';
import type { Transfer } from '@/core/densitometry/transfer';
import type { Roll } from '@/core/records/records';
import { unknownCamera } from '@/core/densitometry/cameraBelief';
import { beliefOfCamera, keepReading, stripDraftKey, useCameras } from '@/data/readings';
import { formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { useDraft } from '@/features/drafts/useDraft';
import { EmptyChart } from '@/ui/EmptyChart';
import { Segments } from '@/ui/Segments';
import { useLast } from '@/ui/useLast';
import { DensitometerPanel } from './DensitometerPanel';
import { PatchTable } from './PatchTable';
import { PicturePanel } from './PicturePanel';
import { SaveCamera } from './SaveCamera';
import { GapPanel } from './GapPanel';
import { StripFields } from './StripFields';
import { stripFaultWords, stripSentences } from './stripWords';
import { TimeGradientNote } from './TimeGradientNote';
import { useStripDensities } from './useStripDensities';
import { useStripPictures } from './useStripPictures';
import { useStripReading } from './useStripReading';

const StripCurve = dynamic(() => import('./StripCurve'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

/** In what a strip was developed, and for how long as far as that is known. */
export interface Development {
  timeMin: number | null;
  setting: SettingRecord;
}

interface StripReaderProps {
  roll: Roll;
  /** Index that the roll was metered at, else its box speed. */
  iso: number;
  planned: Development | null;
  ran: Development | null;
  units: UnitChoice;
  /** The gradient that is wanted; null where no plan says. */
  targetGradient: number | null;
  /** Whether it opens at the gap between frames. */
  gap: boolean;
}

/** Where nobody planned anything yet, min. */
const SOME_MIN = 8;

const SOURCES = (Object.keys(stripSources) as (keyof typeof stripSources)[]).map((value) => ({
  value,
  name: stripSources[value],
}));

/** Standard error of a typed density: half a hundredth of rounding, and the hand, D. Source: our estimate. */
const TYPED_SE_D = 0.02;

const typedPatch = (value: number | string | undefined): PatchDensity =>
  typeof value === 'number'
    ? { densityD: value, seD: TYPED_SE_D, fault: null }
    : { densityD: Number.NaN, seD: Number.NaN, fault: 'small' };

/** A strip, from its picture to what it says. */
export function StripReader({ roll, iso, planned, ran, units, targetGradient, gap }: StripReaderProps) {
  const { form, change } = useDraft<StripForm>(stripDraftKey(roll.id), stripFormSchema, (kept) => {
    const first = kept ?? firstForm(iso, planned, ran);
    return gap ? gapForm(first) : first;
  });
  const pictures = useStripPictures();
  if (form === null) return <p aria-busy="true">Opening the strip.</p>;
  return (
    <Reader
      {...{ roll, planned, ran, units, targetGradient, form, change, pictures }}
      onKept={() => change(firstForm(iso, planned, ran))}
    />
  );
}

/** The same strip, read by the gap between two frames: its marks are for two taps. */
function gapForm(form: StripForm): StripForm {
  return form.source === 'gap' ? form : { ...form, source: 'gap', name: 'Gap between frames', light: [], clear: null };
}

function firstForm(iso: number, planned: Development | null, ran: Development | null): StripForm {
  return initialStripForm(ran?.timeMin ?? planned?.timeMin ?? SOME_MIN, iso, ran === null ? 'plan' : 'run');
}

interface ReaderProps extends Omit<StripReaderProps, 'iso' | 'gap'> {
  form: StripForm;
  change: (part: Partial<StripForm>) => void;
  pictures: ReturnType<typeof useStripPictures>;
  onKept: () => void;
}

function Reader({ roll, planned, ran, units, targetGradient, form, change, pictures, onKept }: ReaderProps) {
  const cameras = useCameras() ?? [];
  const read = readStripForm(form);
  const errors: Partial<Record<string, string>> = read.ok
    ? {}
    : Object.fromEntries(read.problems.map(({ path, message }) => [path, message]));
  // While a field is half typed, what was read last stays on show.
  const plan = useLast(read.ok ? read.value : null) ?? null;
  const transfer = useMemo<Transfer>(() => plan?.transfer ?? { id: 'srgb' }, [plan?.transfer]);
  const count = form.source === 'gap' ? 0 : (plan?.count ?? 1);
  const camera = cameras.find(({ id }) => id === form.camera);
  const belief = useMemo(
    () => (camera === undefined ? null : beliefOfCamera(camera)) ?? unknownCamera(transfer),
    [camera, transfer],
  );
  const { measured, fresh: measuredNow } = useStripDensities(pictures.shots, form, count, transfer, belief);
  const byHand = form.source === 'densitometer';
  const [shot] = pictures.shots.filter(({ role }) => role === 'strip');
  const densities = useMemo(
    () =>
      byHand
        ? separateDensities(
            typeof form.typedD[0] === 'number' ? typedPatch(form.typedD[0]) : null,
            Array.from({ length: count }, (_, at) => typedPatch(form.typedD[at + 1])),
          )
        : measured?.fault === null
          ? measured.densities
          : null,
    [byHand, form.typedD, count, measured],
  );
  const { reading, fresh: readNow } = useStripReading(densities, plan, byHand ? null : (shot ?? null));
  const development = form.developed === 'run' && ran !== null ? ran : planned;
  // Readings by one camera are off together; of one that nobody knows, at least those of one roll are.
  const cameraKey = byHand ? null : (camera?.id ?? shot?.device ?? `camera of ${roll.id}`);
  const finding =
    reading === null || plan === null ? null : findingOfStrip(reading, plan.timeMin, form.ownFrames, cameraKey);
  const [kept, setKept] = useState(false);

  const keep = (withEvidence: boolean): void => {
    if (reading === null || plan === null) return;
    void keepReading({
      reading: {
        rollId: roll.id,
        name: plan.name,
        timeMin: plan.timeMin,
        source: form.source,
        channel: form.channel,
        meteredIso: plan.meteredIso,
        clear: reading.clear === null ? null : keptPatch(reading.clear),
        steps: reading.steps.map((step) => ({ ...keptPatch(step), logH: step.logH })),
        ...(byHand || densities === null ? {} : { spread: keptSpread(densities) }),
        ...(finding !== null && 'doubt' in finding && finding.doubt !== undefined ? { doubt: finding.doubt } : {}),
      },
      evidence:
        withEvidence && finding !== null && development !== null ? { setting: development.setting, finding } : null,
      photo:
        byHand || shot === undefined
          ? null
          : {
              name: `Strip: ${plan.name}`.slice(0, 200),
              widthPx: shot.previewWidthPx,
              heightPx: shot.previewHeightPx,
              jpeg: shot.preview,
            },
    })
      .then(() => {
        setKept(true);
        for (const { id } of pictures.shots) pictures.drop(id);
        onKept();
      })
      .catch(() => undefined);
  };

  return (
    <div className="mt-4">
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_350px]">
        <div className="min-w-0">
          <div className="mb-3 max-w-[560px]">
            <Segments
              id="stripSource"
              label="Read from"
              value={form.source}
              options={SOURCES}
              onChange={(source) => change(source === 'gap' ? gapForm(form) : { source })}
            />
          </div>
          {byHand ? (
            <DensitometerPanel {...{ form, change, count, units, rollId: roll.id }} />
          ) : form.source === 'gap' ? (
            <GapPanel {...{ form, change, pictures }} />
          ) : (
            <PicturePanel {...{ form, change, count, transfer, pictures, rollId: roll.id }} />
          )}
        </div>
        <StripFields {...{ form, change, errors, units, cameras, planned, ran, pictures }} />
      </div>
      {camera?.device !== undefined && shot?.device != null && shot.device !== camera.device && !byHand && (
        <p role="alert" className="mt-4 max-w-[72ch] border-s-4 border-heat ps-3">
          This picture names another camera ({shot.device}) than “{camera.name}” was calibrated with. Choose “No camera”
          under “How the picture is read”, or calibrate this one.
        </p>
      )}
      {measured?.fault != null && !byHand && (
        <p role="alert" className="mt-4 max-w-[72ch] border-s-4 border-heat ps-3">
          {stripFaultWords[measured.fault]}
        </p>
      )}
      {reading !== null && plan !== null && (
        <section aria-labelledby="strip-says" className="mt-8 border-t-2 border-ink pt-4">
          <h2 id="strip-says">What the strip says</h2>
          {reading.backwards && (
            <p role="alert" className="mt-2 max-w-[72ch] border-s-4 border-heat ps-3">
              The row gets thinner as its exposures grow, so it runs the other way.{' '}
              <button type="button" className="act-plain" onClick={() => change({ row: turnedRow(form.row) })}>
                Turn it round
              </button>
            </p>
          )}
          <div className="mt-3 grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,380px)_minmax(0,1fr)]">
            <PatchTable reading={reading} plan={plan} />
            <div className="min-w-0">
              {reading.curve !== null && <StripCurve reading={reading} inStops={plan.meteredIso !== null} />}
              <ul className="mt-3 max-w-[72ch] space-y-1" data-testid="strip-sentences">
                {stripSentences(
                  reading,
                  plan,
                  byHand || measured?.fault !== null ? null : measured.gains,
                  form.opaque !== null,
                ).map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </ul>
              <TimeGradientNote
                rollId={roll.id}
                timeMin={plan.timeMin}
                gradient={reading.curve?.gradient?.value ?? null}
                doubt={{
                  ownLnSd: 0,
                  cameraLnSd: 0,
                  ...(finding?.kind === 'clip' ? finding.doubt : undefined),
                  camera: cameraKey,
                }}
                targetGradient={targetGradient}
              />
            </div>
          </div>
          <KeepRow
            {...{ finding: finding?.kind ?? null, development, plan }}
            // What is kept is what the page says of the marks and fields as they stand.
            valid={read.ok && readNow && (byHand || measuredNow)}
            onKeep={keep}
          />
          {form.source === 'picture' && measured?.fault === null && (
            <SaveCamera
              shots={pictures.shots}
              samples={measured.samples}
              fresh={measuredNow}
              clear={form.clear !== null}
              count={count}
              transfer={transfer}
            />
          )}
        </section>
      )}
      {kept && reading === null && (
        <p role="status" className="mt-6">
          Kept. It stands below, with its densities to save.
        </p>
      )}
    </div>
  );
}

/** What is done with a strip once it is read. */
function KeepRow({
  finding,
  development,
  plan,
  valid,
  onKeep,
}: {
  finding: 'clip' | 'fog' | 'chart' | 'drop' | null;
  development: Development | null;
  plan: StripPlan;
  valid: boolean;
  onKeep: (withEvidence: boolean) => void;
}) {
  const teaches = finding !== null && development !== null;
  return (
    <div className="mt-5 flex flex-wrap items-baseline gap-x-5 gap-y-2">
      {teaches && (
        <button type="button" className="act act-primary" disabled={!valid} onClick={() => onKeep(true)}>
          Add to the evidence
        </button>
      )}
      <button
        type="button"
        className={teaches ? 'act' : 'act act-primary'}
        disabled={!valid}
        onClick={() => onKeep(false)}
      >
        Keep it in the log alone
      </button>
      <span className="text-[14px] text-ink2">
        {finding === 'clip' &&
          teaches &&
          `Contrast and fog after ${formatMinutes(plan.timeMin)} change the estimates of this film and brew.`}
        {finding === 'fog' && teaches && 'Its base + fog changes the estimates of this film; contrast is not told.'}
        {finding === null && 'It tells the estimate nothing: mark clear film, at least.'}
        {finding !== null && development === null && 'Choose a developer for the roll first, so that it can teach.'}
      </span>
    </div>
  );
}
