'use client';

import { useState } from 'react';
import * as z from 'zod';
import type { CameraCalibration } from '@/core/densitometry/calibrateCamera';
import { withoutClear, type PictureSamples } from '@/core/densitometry/readStrip';
import type { Transfer } from '@/core/densitometry/transfer';
import { readWedge, wedgeKinds, type WedgeKind } from '@/core/evidence/wedgeForm';
import { readCgats } from '@/core/formats/cgats';
import { formatNumber } from '@/core/units/quantity';
import { dropDraft } from '@/data/drafts';
import { keepCamera } from '@/data/readings';
import { useDraft } from '@/features/drafts/useDraft';
import { FileButton } from '@/features/files/FileButton';
import { Field } from '@/ui/Field';
import { Segments } from '@/ui/Segments';
import { calibrationSteps, stripFaultWords } from './stripWords';
import type { StripShot } from './useStripPictures';

/** Key of the draft of a calibration. */
const CAMERA_DRAFT = 'camera';

const cameraSchema = z.object({
  name: z.string(),
  known: z.string(),
  kind: z.enum(['layers', 'table']).default('layers'),
});
type CameraForm = z.infer<typeof cameraSchema>;

const KINDS = (Object.keys(wedgeKinds) as WedgeKind[]).map((value) => ({ value, name: wedgeKinds[value] }));

interface SaveCameraProps {
  shots: readonly StripShot[];
  /** What the pictures show at clear film, if it is marked, and at each patch. */
  samples: readonly PictureSamples[];
  /** Whether these are of the marks as they stand. */
  fresh: boolean;
  /** Whether the first place is clear film. */
  clear: boolean;
  count: number;
  transfer: Transfer;
}

/** Holds the camera against layers of one film, or against a wedge whose densities are typed or read from a CGATS.17 file. */
export function SaveCamera({ shots, samples, fresh, clear, count, transfer }: SaveCameraProps) {
  const { form, change } = useDraft<CameraForm>(
    CAMERA_DRAFT,
    cameraSchema,
    (kept) => kept ?? { name: '', known: '', kind: 'layers' },
  );
  const [fault, setFault] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const [answered, setAnswered] = useState<{ of: typeof samples; calibration: CameraCalibration } | null>(null);
  // A calibration by other marks is none by these.
  const found = answered?.of === samples && fresh ? answered.calibration : null;
  const forget = (): void => setAnswered(null);
  const { name, known, kind } = form ?? { name: '', known: '', kind: 'layers' as const };
  const read = kind === 'table' && known.trim() === '' ? null : readWedge(kind, known, count);
  const error = read === null || read.ok ? undefined : read.problems[0]?.message;
  const strips = shots.filter(({ role }) => role === 'strip');
  const calibrate = async (): Promise<void> => {
    const [first] = strips;
    if (read?.ok !== true || first === undefined) return;
    const steps = clear ? samples.map(withoutClear) : samples;
    const answer = await first.picture.calibrate(steps, read.value, transfer);
    if (answer === null) return;
    setFault(answer.ok ? null : stripFaultWords[answer.fault]);
    setAnswered(answer.ok ? { of: samples, calibration: answer.calibration } : null);
  };
  const open = async (file: File): Promise<void> => {
    const answer = readCgats(await file.text().catch(() => ''));
    if (!answer.ok) return setFault(`${file.name}: ${answer.problems[0]?.message ?? ''}`);
    setFault(null);
    change({ kind: 'table', known: answer.value.map(({ densityD }) => densityD.toFixed(2)).join(' ') });
  };
  const keep = (): void => {
    if (found === null) return;
    void keepCamera(name.trim(), found.belief, strips[0]?.device ?? null)
      .then(() => {
        setKept(name.trim());
        forget();
        change({ name: '', known: '' });
        return dropDraft(CAMERA_DRAFT);
      })
      .catch(() => undefined);
  };
  return (
    <details className="mt-6 border-t border-hair pt-3">
      <summary className="cursor-pointer font-[620]">Calibrate the camera by this strip</summary>
      <div className="mt-3 max-w-[420px]">
        <Segments
          id="wedgeKind"
          label="The strip is"
          value={kind}
          options={KINDS}
          onChange={(next) => {
            forget();
            change({ kind: next });
          }}
        />
      </div>
      <ol className="mt-3 max-w-[66ch] list-decimal space-y-1 ps-6 text-[15px]">
        {calibrationSteps(kind, strips.length).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <div className="mt-3 grid gap-x-5 gap-y-3 sm:grid-cols-[minmax(0,1fr)_220px]">
        {kind === 'table' && (
          <Field id="knownD" label="Known densities, first patch to last" error={error}>
            <input
              id="knownD"
              className="box num"
              value={known}
              placeholder="0.05 0.20 0.35"
              onChange={(event) => {
                forget();
                change({ known: event.target.value });
              }}
            />
          </Field>
        )}
        <Field id="cameraName" label="Camera, settings and light">
          <input
            id="cameraName"
            className="box"
            value={name}
            maxLength={120}
            onChange={(event) => change({ name: event.target.value })}
          />
        </Field>
      </div>
      {kind === 'layers' && error !== undefined && <p className="mt-2 text-danger">{error}</p>}
      {found !== null && (
        <p className="mt-2 text-[14px]" data-testid="residuals">
          Each step against the others:{' '}
          {found.leftOutD
            .map((one) => (one === null ? 'not read' : `${one > 0 ? '+' : ''}${formatNumber(one, 2)}`))
            .join(', ')}{' '}
          D; altogether ±{formatNumber(found.rmsD, 3)} D.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-baseline gap-x-5 gap-y-2">
        <button type="button" className="act" disabled={read?.ok !== true || !fresh} onClick={() => void calibrate()}>
          Calibrate
        </button>
        <button type="button" className="act" disabled={found === null || name.trim() === ''} onClick={keep}>
          Keep this calibration
        </button>
        <FileButton
          label="Known densities from a CGATS file"
          className="act-plain"
          accept=".txt,.cgats,text/plain"
          onFile={(file) => void open(file)}
        >
          Known densities from a CGATS.17 file
        </FileButton>
        {kept !== null && <span role="status">Kept as “{kept}”: choose it under “How the picture is read”.</span>}
      </div>
      {fault !== null && (
        <p role="alert" className="mt-2 border-s-4 border-danger ps-3 text-danger">
          {fault}
        </p>
      )}
    </details>
  );
}
