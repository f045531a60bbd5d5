'use client';

import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { chartFormSchema, initialChartForm, readChartForm, type ChartForm as Form } from '@/core/evidence/chartForm';
import { keepEvidence } from '@/data/evidence';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { FlowHead } from './FlowHead';
import type { TestProps } from './TestProps';
import { chartSourceOptions } from '@/features/roll/plan/chartSourceOptions';
import { markedErrors, useFlowForm } from './useFlowForm';

/** A time for this film when fresh: in the plan’s developer, or in another one. */
export function ChartForm({ rollId, setting, brewName, units, onDone }: TestProps) {
  const { form, change } = useFlowForm<Form>(rollId, 'chart', chartFormSchema, initialChartForm);
  if (form === null) return null;
  const read = readChartForm(form, setting());
  const errors = markedErrors(read, form);
  const developers = [
    { value: 'same' as const, name: `The plan’s: ${brewName}` },
    ...developerFamilyIds.map((value) => ({ value, name: developerFamilies[value].name })),
  ];
  const keep = (): void => {
    if (read.ok) void keepEvidence(rollId, read.value.setting, read.value.finding).then(onDone);
  };
  return (
    <>
      <FlowHead title="A leaflet’s time" onLeave={onDone}>
        <p>
          For this film when fresh. A time in another developer helps too: it says how fast the film develops, though
          not how strong the brew is.
        </p>
      </FlowHead>
      <div className="grid measure gap-x-6 gap-y-4 sm:grid-cols-2">
        <Quantity
          id="chartMin"
          label="Time"
          kind="minutes"
          units={units}
          range={[0.5, 180]}
          value={form.timeMin}
          onChange={(timeMin) => change({ timeMin })}
          error={errors.timeMin}
        />
        <Quantity
          id="chartC"
          label="At"
          kind="temperature"
          units={units}
          range={[5, 40]}
          value={form.temperatureC}
          onChange={(temperatureC) => change({ temperatureC })}
          error={errors.temperatureC}
        />
        <Choice
          id="chartSource"
          label="Source"
          value={form.source}
          options={chartSourceOptions}
          onChange={(source) => change({ source })}
        />
        <Choice
          id="chartDeveloper"
          label="In"
          value={form.developer}
          options={developers}
          onChange={(developer) => {
            const parts = developer === 'same' ? null : developerFamilies[developer].referenceParts;
            change({
              developer,
              ...(parts === null ? {} : { concentrateParts: parts.concentrate, waterParts: parts.water }),
            });
          }}
        />
        {form.developer !== 'same' && (
          <>
            <Quantity
              id="chartConcentrate"
              label="Concentrate"
              kind="parts"
              units={units}
              value={form.concentrateParts}
              onChange={(concentrateParts) => change({ concentrateParts })}
              error={errors.concentrateParts}
            />
            <Quantity
              id="chartWater"
              label="Water"
              kind="parts"
              units={units}
              value={form.waterParts}
              onChange={(waterParts) => change({ waterParts })}
              error={errors.waterParts}
            />
          </>
        )}
      </div>
      <button type="button" className="act act-primary mt-5" disabled={!read.ok} onClick={keep}>
        Add to the evidence
      </button>
    </>
  );
}
