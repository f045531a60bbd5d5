'use client';

import { fogFormSchema, readFogForm, type FogForm as Form } from '@/core/evidence/fogForm';
import { keepEvidence } from '@/data/evidence';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { AskForDay } from '@/features/scene/AskForDay';
import { FlowHead } from './FlowHead';
import { readingOptions } from '@/features/roll/plan/chartSourceOptions';
import { PatchRow } from './PatchRow';
import type { TestProps } from './TestProps';
import { markedErrors, useFlowForm } from './useFlowForm';

/** Base and fog of unexposed leader, developed in this brew. */
export function FogForm({ rollId, setting, brewName, timeMin, units, onDone }: TestProps) {
  const { form, change } = useFlowForm<Form>(rollId, 'fog', fogFormSchema, () => ({
    timeMin: Math.round(timeMin * 4) / 4,
    method: 'densities',
    baseFogD: '',
  }));
  if (form === null) return null;
  const read = readFogForm(form);
  const errors = markedErrors(read, form);
  const keep = (): void => {
    if (read.ok) void keepEvidence(rollId, setting(), read.value).then(onDone);
  };
  return (
    <>
      <FlowHead title="A measured base + fog" onLeave={onDone}>
        <p>
          From a piece that saw no light, developed in {brewName}. It tells how fast this film has aged, and so how much
          speed and contrast it has lost as well.
        </p>
      </FlowHead>
      <div className="space-y-4">
        <div className="grid measure gap-x-6 gap-y-4 sm:grid-cols-[180px_minmax(0,1fr)]">
          <Quantity
            id="fogMin"
            label="Developed for"
            kind="minutes"
            units={units}
            value={form.timeMin}
            onChange={(minutes) => change({ timeMin: minutes })}
            error={errors.timeMin}
          />
          <Segments
            id="fogMethod"
            label="Read"
            value={form.method}
            options={readingOptions}
            onChange={(method) => change({ method })}
          />
        </div>
        {form.method === 'eye' && <AskForDay />}
        {form.method === 'eye' ? (
          <PatchRow
            id="baseFogD"
            label="Clear film"
            hint="base and fog"
            value={form.baseFogD}
            onChange={(baseFogD) => change({ baseFogD })}
            error={errors.baseFogD}
          />
        ) : (
          <div className="max-w-[420px]">
            <Quantity
              id="baseFogD"
              label="Base + fog"
              kind="density"
              units={units}
              value={form.baseFogD}
              onChange={(baseFogD) => change({ baseFogD })}
              error={errors.baseFogD}
            />
          </div>
        )}
        <button type="button" className="act act-primary" disabled={!read.ok} onClick={keep}>
          Add to the evidence
        </button>
      </div>
    </>
  );
}
