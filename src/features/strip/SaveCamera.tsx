'use client';

import { useState } from 'react';
import * as z from 'zod';
import { calibrationFrom, calibrationSchema } from '@/core/densitometry/calibration';
import type { PatchDensity } from '@/core/densitometry/patchDensity';
import { readWedge } from '@/core/evidence/wedgeForm';
import { readCgats } from '@/core/formats/cgats';
import { formatNumber } from '@/core/units/quantity';
import { dropDraft } from '@/data/drafts';
import { keepCamera } from '@/data/readings';
import { useDraft } from '@/features/drafts/useDraft';
import { FileButton } from '@/features/files/FileButton';
import { Field } from '@/ui/Field';

/** Key of the draft of a calibration. */
const CAMERA_DRAFT = 'camera';

const cameraSchema = z.object({ name: z.string(), known: z.string() });

/** Holds the camera against a wedge whose densities are known: typed, or from a CGATS.17 file. */
export function SaveCamera({ steps }: { steps: readonly PatchDensity[] }) {
  const { form, change } = useDraft(CAMERA_DRAFT, cameraSchema, (kept) => kept ?? { name: '', known: '' });
  const [fault, setFault] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const { name, known } = form ?? { name: '', known: '' };
  const read = known.trim() === '' ? null : readWedge(known, steps);
  const error = read === null || read.ok ? undefined : read.problems[0]?.message;
  const checked = calibrationSchema.safeParse(read?.ok === true ? read.value : null);
  const calibration = checked.success ? calibrationFrom(checked.data) : null;
  const open = async (file: File): Promise<void> => {
    const answer = readCgats(await file.text().catch(() => ''));
    if (!answer.ok) return setFault(`${file.name}: ${answer.problems[0]?.message ?? ''}`);
    setFault(null);
    change({ known: answer.value.map(({ densityD }) => densityD.toFixed(2)).join(' ') });
  };
  return (
    <details className="mt-6 border-t border-hair pt-3">
      <summary className="cursor-pointer font-[620]">
        This strip is a wedge of known densities: calibrate the camera
      </summary>
      <p className="mt-2 max-w-[66ch] text-[14px] text-ink2">
        Every lens and every light flatters dense film a little. Type what each step of the wedge is known to have,
        above the same bare light, once; later strips by this camera are corrected by it.
      </p>
      <div className="mt-3 grid gap-x-5 gap-y-3 sm:grid-cols-[minmax(0,1fr)_220px]">
        <Field id="knownD" label="Known densities, first patch to last" error={error}>
          <input
            id="knownD"
            className="box num"
            value={known}
            placeholder="0.05 0.20 0.35"
            onChange={(event) => change({ known: event.target.value })}
          />
        </Field>
        <Field id="cameraName" label="Camera and light">
          <input
            id="cameraName"
            className="box"
            value={name}
            maxLength={120}
            onChange={(event) => change({ name: event.target.value })}
          />
        </Field>
      </div>
      {calibration !== null && (
        <p className="mt-2 text-[14px]" data-testid="residuals">
          Left over step by step:{' '}
          {calibration.residualsD.map((one) => `${one > 0 ? '+' : ''}${formatNumber(one, 2)}`).join(', ')} D; altogether
          ±{formatNumber(calibration.rmsD, 3)} D.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-baseline gap-x-5 gap-y-2">
        <button
          type="button"
          className="act"
          disabled={calibration === null || name.trim() === ''}
          onClick={() =>
            checked.success &&
            void keepCamera(name.trim(), checked.data)
              .then(() => {
                setKept(name.trim());
                change({ name: '', known: '' });
                return dropDraft(CAMERA_DRAFT);
              })
              .catch(() => undefined)
          }
        >
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
        <p role="alert" className="mt-2 border-l-4 border-danger pl-3 text-danger">
          {fault}
        </p>
      )}
    </details>
  );
}
