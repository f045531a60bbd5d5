'use client';

import { Z80 } from '@/core/estimate/band';
import type { StripReading } from '@/core/evidence/stripReading';
import type { StripPlan } from '@/core/evidence/stripForm';
import { patchGrey } from '@/core/densitometry/patchGrey';
import type { PatchDensity } from '@/core/densitometry/patchDensity';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { formatNumber } from '@/core/units/quantity';
import { patchFaultWords } from './stripWords';
import { Term } from '@/ui/Term';

/** Every patch with its grey, its exposure and its density. */
export function PatchTable({ reading, plan }: { reading: StripReading; plan: StripPlan }) {
  const metered = plan.meteredIso !== null;
  const exposure = (logH: number | null): string =>
    logH === null ? '' : metered ? stopsText(logH / LOG_EXPOSURE_PER_STOP) : formatNumber(logH, 2);
  return (
    <table className="w-full border-collapse text-[15px]">
      <caption className="sr-only">Densities of the strip</caption>
      <thead>
        <tr className="text-start text-[13px] text-ink2">
          <th scope="col" className="py-1 font-normal">
            Patch
          </th>
          <th scope="col" className="py-1 text-end font-normal">
            {plan.logH === null ? '' : metered ? 'Stops' : 'Log exposure'}
          </th>
          <th scope="col" className="py-1 text-end font-normal">
            <Term id="density">Density</Term>
          </th>
          <th scope="col" className="py-1 ps-3 font-normal">
            80 % likely ±
          </th>
        </tr>
      </thead>
      <tbody>
        {reading.clear !== null && <Line name="Clear film" exposure="" patch={reading.clear} />}
        {reading.steps.map((step, index) => (
          <Line key={index} name={String(index + 1)} exposure={exposure(step.logH)} patch={step} />
        ))}
      </tbody>
    </table>
  );
}

function stopsText(stops: number): string {
  const text = formatNumber(stops, Number.isInteger(Math.round(stops * 1000) / 1000) ? 0 : 1);
  return stops > 0.001 ? `+${text}` : text;
}

function Line({ name, exposure, patch }: { name: string; exposure: string; patch: PatchDensity }) {
  const grey = patch.fault === null ? patchGrey(Math.max(0, patch.densityD)) : 0;
  return (
    <tr className="border-t border-hair align-baseline">
      <th scope="row" className="py-1 text-start font-normal">
        <span
          aria-hidden
          className="me-2 inline-block h-4 w-7 translate-y-[3px] border border-hair"
          style={{ background: `rgb(${grey} ${grey} ${grey})` }}
        />
        {name}
      </th>
      <td className="num py-1 text-end">{exposure}</td>
      {patch.fault === null ? (
        <>
          <td className="num py-1 text-end">{`${patch.atLeast === true ? 'at least ' : ''}${formatNumber(patch.densityD, 2)}`}</td>
          <td className="num py-1 ps-3 text-ink2">{patch.atLeast === true ? '' : formatNumber(Z80 * patch.seD, 2)}</td>
        </>
      ) : (
        <td colSpan={2} className="py-1 ps-3 text-end text-[13px] text-heat">
          {patchFaultWords[patch.fault]}
        </td>
      )}
    </tr>
  );
}
