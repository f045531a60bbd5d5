import { materials } from '@/core/trial/material';
import { rowWords } from '@/core/trial/trial';
import type { Trial } from '@/core/records/records';

/** Exposures of the same scene, stops. Source: common practice. */
const BRACKET = [-2, -1, 0, 1, 2] as const;

/** On paper: a label for each strip, which says its code and not what it had, and a sheet to note the exposures on. */
export function TrialSheet({ trial }: { trial: Trial }) {
  const strips = trial.strips.filter(({ lost }) => lost === undefined);
  const exposedBy = trial.material === undefined ? null : materials[trial.material.kind].exposedBy;
  // A clip holds one frame: a bracket of five does not fit on it.
  const bracket = exposedBy === 'wedge' ? [] : BRACKET;
  const rows = [...new Set(strips.map(({ block }) => block))];
  return (
    <section aria-label="Labels and exposure sheet" className="mt-6 hidden print:block">
      <h2>Labels</h2>
      <ul className="mt-2 grid grid-cols-4 gap-2">
        {strips.map(({ code, block }) => (
          <li key={code} className="break-inside-avoid border border-dashed border-ink p-2 text-center">
            <b className="num block text-[26px] leading-tight">{code}</b>
            <span className="block text-[12px] wrap-anywhere">{trial.name}</span>
            <span className="block text-[12px]">{rowWords(trial, block)}</span>
          </li>
        ))}
      </ul>
      <h2 className="mt-6">Exposures</h2>
      <p className="text-[13px]">
        {exposedBy === null && 'The same scene on every strip, or one step wedge; tick what was exposed.'}
        {exposedBy === 'scene' &&
          'The same scene on every strip, in stops from the metered exposure; tick what was exposed.'}
        {exposedBy === 'wedge' && 'One step wedge on every strip, by the same light; note the light.'}
      </p>
      {rows.map((block) => (
        <table key={block} className="mt-3 w-full border-collapse break-inside-avoid text-start">
          <caption className="text-start font-[620]">{rowWords(trial, block)}</caption>
          <thead>
            <tr>
              <th scope="col" className="w-16 py-1 font-normal">
                strip
              </th>
              {bracket.map((stops) => (
                <th key={stops} scope="col" className="num py-1 text-center font-normal">
                  {stops > 0 ? '+' : stops < 0 ? '−' : ''}
                  {Math.abs(stops)}
                </th>
              ))}
              <th scope="col" className="py-1 font-normal">
                aperture, time, words
              </th>
            </tr>
          </thead>
          <tbody>
            {strips
              .filter((strip) => strip.block === block)
              .map(({ code }) => (
                <tr key={code} className="border-t border-ink">
                  <th scope="row" className="num py-2">
                    {code}
                  </th>
                  {bracket.map((stops) => (
                    <td key={stops} className="text-center text-[20px] leading-none">
                      ☐
                    </td>
                  ))}
                  <td className="w-1/2" />
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}
