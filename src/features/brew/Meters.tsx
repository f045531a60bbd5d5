'use client';

import { LEAST_DEVELOPING_PH, REFERENCE_BREW_PH } from '@/core/chemistry/ph/brewPh';
import { formatNumber } from '@/core/units/quantity';
import { Meter } from '@/ui/Meter';
import { stale } from '@/ui/stale';
import { percentWords, stoppedWords } from '@/features/words/brewWords';
import type { BenchPart } from './Workbench';

const phMarks = [6, 7, 8, 9, 10, 11, 12];
const sourMarks = [1, 3, 5, 7, 9, 11];
const rateMarks = [0.1, 0.2, 0.5, 1, 2];

/** pH and strength as they stand, what share of each agent is ready to develop, and why a brew is stopped. */
export function Meters({ inHand: { form, change, shown, mending } }: Pick<BenchPart, 'inHand'>) {
  if (shown === null) return null;
  const { solution, rate, shares, stopped, mixingLnSd, composition, acidSlows } = shown;
  const develops = form.use === 'film-developer' || form.use === 'paper-developer';
  const bought = composition.concentrate !== null || composition.oneBath;
  const mend = (): void => {
    if (stopped?.bakingSoda === true) change({ sodaForm: 'oven' });
    else if (stopped?.mendSodaGPerL != null) {
      const perL = Number(stopped.mendSodaGPerL.toFixed(0));
      change((now) => ({
        lines: now.lines.map((line) => (line.substanceId === 'soda-anhydrous' ? { ...line, perL } : line)),
      }));
    }
  };
  const hasSoda = form.lines.some(({ substanceId }) => substanceId === 'soda-anhydrous');
  return (
    <section aria-label="pH and strength" {...stale(mending)}>
      {solution !== null && (
        <>
          <p className="flex items-baseline justify-between gap-3">
            <span>
              <b className="num text-[22px] whitespace-nowrap" data-testid="ph">
                pH {formatNumber(solution.ph, 1)}
              </b>
            </span>
            <span className="text-[13px] text-ink2">
              {develops
                ? `usual ${formatNumber(REFERENCE_BREW_PH, 1)}; under ${LEAST_DEVELOPING_PH} hardly any`
                : 'worked out at 25 °C'}
            </span>
          </p>
          <Meter
            words={`pH ${formatNumber(solution.ph, 1)}${develops ? `, where ${formatNumber(REFERENCE_BREW_PH, 1)} is usual and under ${LEAST_DEVELOPING_PH} it hardly develops` : ''}`}
            scale={develops ? { from: 6, to: 12, logarithmic: false } : { from: 0, to: 12, logarithmic: false }}
            marks={develops ? phMarks : sourMarks}
            value={solution.ph}
            badUpTo={develops ? LEAST_DEVELOPING_PH : undefined}
            usual={develops ? REFERENCE_BREW_PH : undefined}
          />
        </>
      )}
      {solution === null && composition.unknown.length > 0 && develops && (
        <p className="text-[14px] text-ink2">
          The pH is not known: Aetas does not know {composition.unknown.join(', ').toLowerCase()}.
        </p>
      )}
      {acidSlows !== null && stopped === null && (
        <p className="my-2 border-s-4 border-heat ps-3 text-[14px]" data-testid="acid-slows">
          More ascorbic acid alone makes this brew slower: it uses up washing soda. For every 10 g more of it, add{' '}
          {formatNumber(acidSlows, 0)} g of soda.
        </p>
      )}
      {stopped !== null && (
        <div role="alert" className="my-3 border-y-2 border-danger py-3">
          <p>
            <b className="text-danger">Stop.</b> {stoppedWords(stopped)}
          </p>
          {(stopped.bakingSoda || (stopped.mendSodaGPerL !== null && hasSoda)) && (
            <button type="button" className="act mt-2" onClick={mend}>
              {stopped.bakingSoda
                ? 'Dry it in the oven first'
                : `Take ${formatNumber(stopped.mendSodaGPerL ?? 0, 0)} g/l of washing soda`}
            </button>
          )}
        </div>
      )}
      {rate !== null && develops && !composition.oneBath && (
        <>
          <p className="mt-1 flex items-baseline justify-between gap-3">
            <b className="num text-[22px] whitespace-nowrap" data-testid="rate">
              × {formatNumber(rate, 2)}
            </b>
            <span className="text-end text-[13px] text-ink2">
              strength, against {bought ? 'the usual dilution' : 'standard coffee'}
              {mixingLnSd !== null && ` · weighing ${percentWords(mixingLnSd)}`}
            </span>
          </p>
          <Meter
            words={`Strength ${formatNumber(rate, 2)} times ${bought ? 'the usual dilution' : 'the standard coffee brew'}`}
            scale={{ from: 0.1, to: 2.5, logarithmic: true }}
            marks={rateMarks}
            value={rate}
            usual={1}
          />
        </>
      )}
      {shares.length > 0 && develops && (
        <dl className="mt-1 text-[14px]">
          {shares.map(({ id, name, share }) => (
            <div key={id} className="flex items-baseline justify-between gap-3 border-t border-hair py-1">
              <dt className="text-ink2">{name}</dt>
              <dd className="num">{formatNumber(share * 100, share < 0.1 ? 1 : 0)} %</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}
