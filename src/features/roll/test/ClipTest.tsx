'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { clipAdvice } from '@/core/densitometry/clipAdvice';
import { patchGradient } from '@/core/densitometry/patchGradient';
import { clipFormSchema, initialClipForm, readClipForm, type ClipForm } from '@/core/evidence/clipForm';
import { CLIP_SHARE } from '@/core/estimate/nextTests';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { keepEvidence } from '@/data/evidence';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { FlowHead } from './FlowHead';
import { readingOptions } from '@/features/roll/plan/chartSourceOptions';
import { PatchRow } from './PatchRow';
import type { TestProps } from './TestProps';
import { markedErrors, useFlowForm } from './useFlowForm';

const tones = [
  { field: 'baseFogD', name: 'Clear film', hint: 'between frames: base and fog' },
  { field: 'shadowD', name: 'Thin tone', hint: 'the darkest part of the scene with detail' },
  { field: 'highlightD', name: 'Dense tone', hint: 'the brightest part of the scene with detail' },
] as const;

/** A few centimetres of the roll, developed first and read when dry. */
export function ClipTest({
  rollId,
  formatId,
  setting,
  brewName,
  timeMin,
  units,
  onDone,
  strip,
}: TestProps & { strip: ReactNode }) {
  const { form, change } = useFlowForm<ClipForm>(rollId, 'clip', clipFormSchema, () =>
    initialClipForm(timeMin * CLIP_SHARE),
  );
  if (form === null) return null;
  const read = readClipForm(form);
  const errors = markedErrors(read, form);
  const gradient =
    typeof form.shadowD === 'number' && typeof form.highlightD === 'number' && typeof form.stopsBetween === 'number'
      ? patchGradient(form.shadowD, form.highlightD, form.stopsBetween)
      : null;
  const keep = (): void => {
    if (read.ok) void keepEvidence(rollId, setting(), read.value).then(onDone);
  };
  return (
    <>
      <FlowHead title="Clip test" onLeave={onDone}>
        <p>
          {clipAdvice(formatId)} Develop it in {brewName} for about nine tenths of the time,{' '}
          {formatMinutes(timeMin * CLIP_SHARE)}, with the agitation of the plan; stop, fix, rinse, and let it dry: a wet
          strip gives false readings. A photograph of it{' '}
          <Link href={`/rolls/${encodeURIComponent(rollId)}/strip`} className="act-plain">
            is read too
          </Link>
          , and tells more.
        </p>
      </FlowHead>
      <div className="space-y-6">
        {strip}
        <div className="grid measure gap-x-6 gap-y-4 sm:grid-cols-[180px_minmax(0,1fr)]">
          <Quantity
            id="clipMin"
            label="Developed for"
            kind="minutes"
            units={units}
            value={form.timeMin}
            onChange={(minutes) => change({ timeMin: minutes })}
            error={errors.timeMin}
          />
          <Segments
            id="clipMethod"
            label="Read"
            value={form.method}
            options={readingOptions}
            onChange={(method) => change({ method })}
          />
        </div>
        {form.method === 'eye' && (
          <p className="max-w-[72ch] text-[14px] text-ink2">
            Hold the dry strip against a white part of this screen, at full brightness, and press the patch that
            matches. A screen makes a rough light table, so a reading by eye counts for less than a densitometer’s.
          </p>
        )}
        <div className="space-y-4">
          {tones.map(({ field, name, hint }) =>
            form.method === 'eye' ? (
              <PatchRow
                key={field}
                id={field}
                label={name}
                hint={hint}
                value={form[field]}
                onChange={(densityD) => change({ [field]: densityD })}
                error={errors[field]}
              />
            ) : (
              <div key={field} className="max-w-[420px]">
                <Quantity
                  id={field}
                  label={name}
                  kind="density"
                  units={units}
                  hint={hint}
                  value={form[field]}
                  onChange={(densityD) => change({ [field]: densityD })}
                  error={errors[field]}
                />
              </div>
            ),
          )}
          <div className="max-w-[420px]">
            <Quantity
              id="stopsBetween"
              label="Between thin and dense tone"
              kind="stops"
              units={units}
              hint="an ordinary scene: 7"
              value={form.stopsBetween}
              onChange={(stopsBetween) => change({ stopsBetween })}
              error={errors.stopsBetween}
            />
          </div>
        </div>
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
          <button type="button" className="act act-primary" disabled={!read.ok} onClick={keep}>
            Add to the evidence
          </button>
          {gradient?.ok && (
            <span data-testid="clip-gradient">
              Average gradient <b className="num">{formatNumber(gradient.value, 2)}</b>
            </span>
          )}
        </div>
      </div>
    </>
  );
}
