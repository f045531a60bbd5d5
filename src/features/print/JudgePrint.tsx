'use client';

import Link from 'next/link';
import type { PaperKnown } from '@/core/printing/gradeExposure';
import { nextPrint, offGrades, offStops, printLike, type JudgedPrint } from '@/core/printing/printLikeness';
import { formatNumber } from '@/core/units/quantity';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { classes } from '@/ui/classes';

const darkWords: Readonly<Record<number, string>> = {
  [-1]: 'much too light',
  [-0.5]: 'a little light',
  0: 'right',
  0.5: 'a little dark',
  1: 'much too dark',
};
const hardWords: Readonly<Record<number, string>> = {
  [-2]: 'much too soft',
  [-1]: 'a little soft',
  0: 'right',
  1: 'a little hard',
  2: 'much too hard',
};

interface JudgePrintProps {
  printId: string;
  made: { baseS: number; hardS?: number | undefined; grade: string };
  /** Whether the form has another exposure by now than the print that was judged. */
  changed: boolean;
  judged: JudgedPrint | null;
  /** What is known of its paper. */
  paper: PaperKnown;
  onJudge: (judged: JudgedPrint) => void;
}

/** The print in white light, dry: which picture does it look like? And what the next one wants. */
export function JudgePrint({ printId, made, changed, judged, paper, onJudge }: JudgePrintProps) {
  const off = judged ?? { stops: 0, grades: 0 };
  const next = nextPrint(made, off, paper);
  const row = (
    label: string,
    values: readonly number[],
    words: Readonly<Record<number, string>>,
    chosen: number | null,
    at: (value: number) => JudgedPrint,
  ) => (
    <div role="group" aria-label={label} className="mt-3">
      <p className="font-[620]">{label}</p>
      <ul className="mt-1 flex flex-wrap gap-2">
        {values.map((value) => (
          <li key={value}>
            <button
              type="button"
              aria-pressed={chosen === value}
              className={classes(
                'block w-[112px] border p-1 text-[13px]',
                chosen === value ? 'border-ink font-bold' : 'border-hair',
              )}
              onClick={() => onJudge(at(value))}
            >
              <ScenePicture greys={printLike(made.grade, at(value), paper.middle)} />
              {chosen === value && '✓ '}
              {words[value]}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
  return (
    <details className="mt-6 border-t border-hair pt-2 print:hidden">
      <summary className="act-plain">Judge it: which one does it look like?</summary>
      {row('How dark', offStops, darkWords, judged?.stops ?? null, (stops) => ({ ...off, stops }))}
      {row('How hard', offGrades, hardWords, judged?.grades ?? null, (grades) => ({ ...off, grades }))}
      {judged !== null && (
        <p className="mt-3 border-s-4 border-chem ps-4" data-testid="next-print">
          {next.right ? (
            'It is right: this may be the one that hangs.'
          ) : (
            <>
              The next one: {formatNumber(next.baseS, 1)} s
              {next.hardS !== null && ` and ${formatNumber(next.hardS, 1)} s through the hard filter`}
              {next.grade === made.grade.trim() ? '' : ` on grade ${next.grade}`}.{' '}
              <Link
                className="act"
                href={`/prints/new?like=${encodeURIComponent(printId)}&s=${formatNumber(next.baseS, 1)}&grade=${encodeURIComponent(next.grade)}${next.hardS === null ? '' : `&hard=${next.hardS.toFixed(1)}`}`}
              >
                Begin that one
              </Link>
            </>
          )}
        </p>
      )}
      {judged !== null && changed && (
        <p className="mt-2 max-w-[62ch] text-[14px]" role="status">
          The exposure above is another than the one that was judged, so what was judged goes when it is kept. “The same
          again” keeps both prints.
        </p>
      )}
    </details>
  );
}
