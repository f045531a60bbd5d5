'use client';

import { organicAgents } from '@/core/chemistry/organicAgents';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { Slider } from '@/ui/Slider';
import { partsWords } from '@/features/dilution/dilutionWords';
import { useTriedForm } from '@/features/roll/plan/trial';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

/** Range of the temperature slider, °C: where people pour. */
const TEMPERATURE_C = { min: 14, max: 30, step: 0.5 };
const PUSH_STOPS = { min: -2, max: 3, step: 0.5 };
const WATER_PARTS = { min: 0, max: 120, step: 1 };

/** Range of the agent’s slider, as multiples of the usual amount. */
const AGENT = { least: 0.25, most: 2, steps: 40 };

/** What if it were warmer, thinner, pushed: the time follows while the hand moves. */
export function WhatIf({ plan, units }: { plan: CurrentPlan; units: UnitChoice }) {
  const { tryOut } = plan;
  const form = useTriedForm(plan.trials) ?? plan.form;
  const number = (value: number | string, otherwise: number): number => (typeof value === 'number' ? value : otherwise);
  const agent = organicAgents[form.agentId];
  return (
    <fieldset className="isolate mt-4">
      <legend className="sr-only">What if</legend>
      <div className="grid gap-x-7 gap-y-1 sm:grid-cols-3">
        <Slider
          label="What if"
          shown={formatQuantity(number(form.temperatureC, 20), 'temperature', units)}
          value={number(form.temperatureC, 20)}
          {...TEMPERATURE_C}
          onChange={(temperatureC) => tryOut({ temperatureC })}
        />
        {form.developerKind === 'improvised' && (
          <Slider
            label="Strength"
            shown={`${formatNumber(number(form.agentPerL, agent.usualPerL), 1)} ${agent.unit}/l`}
            value={number(form.agentPerL, agent.usualPerL)}
            min={agent.usualPerL * AGENT.least}
            max={agent.usualPerL * AGENT.most}
            step={agent.usualPerL / AGENT.steps}
            onChange={(agentPerL) => tryOut({ agentPerL })}
          />
        )}
        {form.developerKind === 'concentrate' && (
          <Slider
            label="Diluted"
            shown={partsWords({ concentrate: number(form.concentrateParts, 1), water: number(form.waterParts, 0) })}
            value={number(form.waterParts, 0)}
            {...WATER_PARTS}
            onChange={(waterParts) => tryOut({ waterParts, dilutionText: '' })}
          />
        )}
        {form.developerKind !== 'one-bath' && (
          <Slider
            label="Push"
            shown={formatQuantity(number(form.pushStops, 0), 'stops', units)}
            value={number(form.pushStops, 0)}
            {...PUSH_STOPS}
            onChange={(pushStops) => tryOut({ pushStops })}
          />
        )}
      </div>
    </fieldset>
  );
}
