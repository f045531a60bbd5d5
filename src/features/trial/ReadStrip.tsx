'use client';

import * as z from 'zod';
import { useState } from 'react';
import type { Trial } from '@/core/records/records';
import { typed } from '@/core/schema/typed';
import { eyeScales, type EyeScaleId } from '@/core/trial/eyePatches';
import { measures, type MeasureId } from '@/core/trial/measures';
import { measuresOf, trialShape, type TrialStrip } from '@/core/trial/trial';
import { useSettings } from '@/data/queries';
import { dropDraft } from '@/data/drafts';
import { changeStrip } from '@/data/trials';
import { useDraft } from '@/features/drafts/useDraft';
import { AskForDay } from '@/features/scene/AskForDay';
import { EyeChoice } from './EyeChoice';
import { FromPicture } from './FromPicture';
import { StripChoice } from '@/features/scene/StripChoice';
import { contrastStrips } from '@/features/scene/gradeStrips';
import { Quantity } from '@/ui/Quantity';

const { curve, readingId } = trialShape.strips.element.shape;
const formSchema = z.object({ values: z.record(z.string(), typed), curve, readingId });

/** Whether a measure is told by the patch that it looks like. */
const isByPatch = (id: MeasureId): id is EyeScaleId => id in eyeScales;

/** One strip is read: its contrast by likeness, the rest as measured. */
export function ReadStrip({ trial, strip }: { trial: Trial; strip: TrialStrip }) {
  const units = useSettings();
  const key = `trial:${trial.id}:${strip.code}`;
  const { form, change } = useDraft(key, formSchema, (kept) => kept ?? { values: {} });
  const [asked, setAsked] = useState(false);
  if (form === null) return <p aria-busy="true">Opening the strip.</p>;
  const ids = measuresOf(trial);
  const set = (id: MeasureId, value: number | string): void =>
    change((now) => ({ values: { ...now.values, [id]: value } }));
  const errorOf = (id: MeasureId): string | undefined => {
    const value = form.values[id] ?? '';
    const [low, high] = measures[id].range;
    if (typeof value === 'number' && value >= low && value <= high) return undefined;
    return value === '' && !asked ? undefined : `${measures[id].name}: give a number from ${low} to ${high}.`;
  };
  const complete = ids.every(
    (id) => form.values[id] !== undefined && form.values[id] !== '' && errorOf(id) === undefined,
  );
  const keep = (): void => {
    setAsked(true);
    if (!complete) return;
    const values = Object.fromEntries(ids.map((id) => [id, form.values[id]])) as TrialStrip['values'];
    void changeStrip(trial.id, strip.code, { values, curve: form.curve, readingId: form.readingId }).then(() =>
      dropDraft(key),
    );
  };
  return (
    <div className="mt-3 space-y-4">
      {ids.some((id) => id === 'contrast' || isByPatch(id)) && <AskForDay />}
      {ids.includes('contrast') && (
        <StripChoice
          id="contrast"
          label="Which one does it look like?"
          hint="as scanned"
          value={typeof form.values.contrast === 'number' ? (String(form.values.contrast) as '-2') : null}
          options={contrastStrips}
          onChange={(value) => set('contrast', Number(value))}
          error={asked && form.values.contrast === undefined ? 'Choose the one that it looks like.' : undefined}
        />
      )}
      {ids.filter(isByPatch).map((id) => (
        <EyeChoice
          key={id}
          scale={id}
          value={form.values[id] ?? ''}
          onChange={(value) => set(id, value)}
          error={asked && form.values[id] === undefined ? 'Choose the one that it looks like.' : undefined}
        />
      ))}
      {ids.some((id) => id !== 'contrast' && !isByPatch(id)) && (
        <div className="max-w-[420px]">
          <FromPicture
            trial={trial}
            strip={strip}
            onTake={(found, readingId) =>
              change((now) => ({ values: { ...now.values, ...found.values }, curve: found.curve, readingId }))
            }
          />
          {form.curve !== undefined && (
            <p className="mt-1 text-[14px] text-ink2" role="status">
              Its curve of {form.curve.points.length} steps is taken over.{' '}
              <button
                type="button"
                className="act-plain"
                onClick={() => change({ curve: undefined, readingId: undefined })}
              >
                Leave the curve out
              </button>
            </p>
          )}
        </div>
      )}
      {/* Room for what is wrong: a button that moves under a finger is missed. */}
      <div className="grid min-h-[124px] max-w-[560px] grid-cols-2 content-start gap-4 sm:grid-cols-3">
        {ids
          .filter((id) => id !== 'contrast' && !isByPatch(id))
          .map((id) => (
            <Quantity
              key={id}
              id={`read-${id}`}
              label={measures[id].name}
              kind={measures[id].kind}
              units={units}
              value={form.values[id] ?? ''}
              onChange={(value) => set(id, value)}
              error={errorOf(id)}
            />
          ))}
      </div>
      <button type="button" className="act act-primary" data-next-step onClick={keep}>
        Keep it, and the next
      </button>
    </div>
  );
}
