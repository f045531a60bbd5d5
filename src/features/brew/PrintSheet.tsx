'use client';

import { mixSteps } from '@/core/brewing/mixSteps';
import type { Sheet } from '@/core/brewing/workbench';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { stepAmountWords } from '@/features/words/stepWords';

/** The sheet on paper: one page, with room for what was really weighed. */
export function PrintSheet({ sheet, forRoll, units }: { sheet: Sheet; forRoll: string | null; units: UnitChoice }) {
  const { batch, solution } = sheet;
  const steps = mixSteps(batch);
  return (
    <div className="hidden text-[11.5px] leading-tight print:block" data-testid="print-sheet">
      <div className="flex items-baseline justify-between gap-6 border-b-2 border-ink pb-1">
        <p className="num text-[20px]">{batch.recipeName}</p>
        <p>
          {formatQuantity(batch.volumeMl, 'volume', units)} at {formatQuantity(batch.targetC, 'temperature', units)}
          {forRoll !== null && ` · for ${forRoll}`}
          {solution !== null && ` · pH about ${formatNumber(solution.ph, 1)}`}
        </p>
      </div>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-start">
            <th className="py-1 font-normal">Step</th>
            <th className="w-[150px] py-1 text-end font-normal">Wanted</th>
            <th className="w-[120px] py-1 ps-6 font-normal">Went in</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, index) => (
            <tr key={step.id} className="break-inside-avoid border-t border-hair align-baseline">
              <td className="py-1 pe-4">
                <b>
                  {index + 1}. {step.title}
                </b>{' '}
                {step.say.join(' ')}{' '}
                {step.cautions.map(({ id, text }) => (
                  <span key={id}>
                    <b>Caution:</b> {text}{' '}
                  </span>
                ))}
              </td>
              <td className="num py-1 text-end whitespace-nowrap">{stepAmountWords(step, batch, units)}</td>
              <td className="py-1 ps-6">
                <span className="inline-block w-full border-b border-ink">&nbsp;</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 border-t border-ink pt-1">
        Mixed on ______________ at ______________ by ______________ · Label it: contents, date, “not a drink”. Keep it
        from children. The product’s own safety sheet and local rules go before this sheet.
      </p>
    </div>
  );
}
