import type { PracticeScore } from '@/core/practice/practiceScore';
import { formatNumber } from '@/core/units/quantity';
import { adviceWords, missWords } from './practiceWords';

/** The practice runs of this sitting, one a row. */
export function ScoreTable({ scores }: { scores: readonly PracticeScore[] }) {
  return (
    <table className="mt-2 w-full text-start">
      <thead className="text-[13px] text-ink2">
        <tr>
          <th className="pe-4 font-normal">Run</th>
          <th className="pe-4 font-normal">Development</th>
          <th className="pe-4 font-normal">Timing, grades</th>
          <th className="font-normal">Next time</th>
        </tr>
      </thead>
      <tbody>
        {scores.map((score, index) => (
          <tr key={index} className="border-t border-hair align-top">
            <td className="num py-1.5 pe-4">{index + 1}</td>
            <td className="py-1.5 pe-4 whitespace-nowrap">{missWords(score.developMissS)}</td>
            <td className="num py-1.5 pe-4">{formatNumber(score.handGrades, 1)}</td>
            <td className="py-1.5">{adviceWords(score)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
