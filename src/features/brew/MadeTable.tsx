'use client';

import type { MadeBrew } from '@/core/brewing/finishMix';
import { amountOf } from '@/core/brewing/part';
import { formatNumber, formatQuantity } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { amountWords, percentWords } from '@/features/words/brewWords';

const howWords = { scale: 'weighed', typed: 'typed', spoons: 'by spoons', target: 'as listed' } as const;

/** What went in against what was wanted, and what that makes. */
export function MadeTable({
  made,
}: {
  made: Pick<MadeBrew, 'parts' | 'volumeMl' | 'temperatureC' | 'ph' | 'mixingLnSd'>;
}) {
  const units = useSettings();
  const facts = [
    formatQuantity(made.volumeMl, 'volume', units),
    ...(made.temperatureC === null ? [] : [formatQuantity(made.temperatureC, 'temperature', units)]),
    ...(made.ph === null ? [] : [`pH ${formatNumber(made.ph, 1)}, worked out`]),
    ...(made.mixingLnSd === null ? [] : [`strength ${percentWords(made.mixingLnSd)} by the weighing`]),
  ];
  return (
    <div>
      {made.parts.length > 0 && (
        <table className="w-full border-collapse">
          <caption className="sr-only">What went in</caption>
          <thead>
            <tr className="text-start text-[13px] text-ink2">
              <th scope="col" className="py-1 font-normal">
                Ingredient
              </th>
              <th scope="col" className="py-1 text-end font-normal">
                Wanted
              </th>
              <th scope="col" className="py-1 text-end font-normal">
                Went in
              </th>
              <th scope="col" className="hidden py-1 ps-6 font-normal sm:table-cell">
                How
              </th>
            </tr>
          </thead>
          <tbody>
            {made.parts.map((part) => {
              const decimals = part.target >= 1 ? 1 : 2;
              return (
                <tr key={part.key} className="border-t border-hair">
                  <td className="py-1.5 pe-3">{part.name}</td>
                  <td className="num py-1.5 text-end whitespace-nowrap text-ink2">
                    {amountWords(part.target, part.unit, decimals, units)}
                  </td>
                  <td className="num py-1.5 text-end whitespace-nowrap">
                    {amountWords(amountOf(part), part.unit, decimals, units)}
                  </td>
                  <td className="hidden py-1.5 ps-6 text-[14px] text-ink2 sm:table-cell">{howWords[part.how]}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <p className="border-t border-ink py-2">{facts.join(' · ')}</p>
    </div>
  );
}
