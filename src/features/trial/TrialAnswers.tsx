import type { Trial } from '@/core/records/records';
import { measures } from '@/core/trial/measures';
import type { TrialAnswer } from '@/core/trial/trialAnswer';
import { comparisonWords, measureWords, nextWords, stretchWords } from '@/core/trial/trialWords';
import { DifferenceRuler } from './DifferenceRuler';

/** What a trial says: a sentence, a ruler and the numbers for each thing that was looked at. */
export function TrialAnswers({ trial, answers }: { trial: Trial; answers: readonly TrialAnswer[] }) {
  if (answers.length === 0)
    return (
      <p className="mt-4 border-s-4 border-chem ps-3" role="status">
        Too few strips were read to tell anything: the control and one other, and more strips than levels.
      </p>
    );
  const several = answers.some(({ comparisons }) => comparisons.length > 1);
  return (
    <section aria-labelledby="answer" className="mt-5">
      <h2 id="answer">What it says</h2>
      {answers.map((answer) => (
        <div key={answer.measureId} className="mt-3 border-t border-hair pt-2">
          <h3 className="font-[650]">{measures[answer.measureId].name}</h3>
          {answer.comparisons.map((comparison) => (
            <p
              key={comparison.level}
              className="max-w-[68ch]"
              data-testid={`told-${answer.measureId}-${comparison.level}`}
            >
              {comparisonWords(trial, answer.measureId, comparison)}
            </p>
          ))}
          <DifferenceRuler trial={trial} answer={answer} />
          {answer.stretchLnSd > 0 && <p className="max-w-[68ch] text-[14px] text-ink2">{stretchWords(answer)}</p>}
          <details>
            <summary className="act-plain text-[14px]">The numbers</summary>
            <table className="mt-1 w-full border-collapse text-[14px]" aria-label={measures[answer.measureId].name}>
              <thead>
                <tr className="text-start text-ink2">
                  {['', 'mean', 'difference', '19 in 20', 'p', 'p, Holm', 'p, exchanged'].map((name) => (
                    <th key={name} scope="col" className="py-1 font-normal">
                      {name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody className="num">
                {answer.means.map((mean, level) => {
                  const found = answer.comparisons.find((one) => one.level === level);
                  const words = (value: number | null | undefined, signed = false): string =>
                    value === null || value === undefined ? '' : measureWords(answer.measureId, value, signed);
                  return (
                    <tr key={level} className="border-t border-hair">
                      <th scope="row" className="py-1 text-start font-normal">
                        {trial.levels[level]}
                      </th>
                      <td>{words(mean)}</td>
                      <td>{words(found?.difference, true)}</td>
                      <td>{found && `${words(found.low, true)} to ${words(found.high, true)}`}</td>
                      <td>{found?.p.toFixed(3)}</td>
                      <td>{found?.pHolm.toFixed(3)}</td>
                      <td>{found?.pPermutation?.toFixed(3)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
            <p className="text-[13px] text-ink2">
              From strip to strip {measureWords(answer.measureId, answer.stripSd)}, from roll to roll{' '}
              {measureWords(answer.measureId, answer.blockSd)}
              {answer.daySd !== null && `, from day to day ${measureWords(answer.measureId, answer.daySd)}`} (one
              standard deviation).
            </p>
          </details>
        </div>
      ))}
      <h3 className="mt-4 border-t border-hair pt-2 font-[650]">Go on, or stop?</h3>
      <p className="max-w-[68ch]" data-testid="go-on">
        {nextWords(trial, answers)}
      </p>
      {several && (
        <p className="mt-2 text-[14px] text-ink2">
          Several comparisons find something by chance more easily: their chances are raised for that (Holm 1979).
        </p>
      )}
    </section>
  );
}
