'use client';

import { format } from 'date-fns';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { MOST_COMPARED, compareRuns } from '@/core/learning/compareRuns';
import { runFacts } from '@/core/learning/runFacts';
import { negativeGreys, positiveGreys } from '@/core/densitometry/scene';
import { patchGrey } from '@/core/densitometry/patchGrey';
import { filmLike } from '@/core/outcome/likeness';
import { imageOf } from '@/core/outcome/grades';
import { verdictWords } from '@/core/outcome/verdictWords';
import type { Verdict } from '@/core/records/records';
import { useRunRecords } from '@/data/queries';
import { ScenePicture } from '@/features/scene/ScenePicture';
import { classes } from '@/ui/classes';
import { EmptyChart } from '@/ui/EmptyChart';

const CompareChart = dynamic(() => import('./CompareChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

/** Two to six runs side by side: curves laid over each other, what differs, and how each came out. */
export function CompareView() {
  const runIds = useSearchParams().getAll('run');
  const found = useRunRecords(runIds.slice(0, MOST_COMPARED));
  if (found === undefined) return <p aria-busy="true">Opening the runs.</p>;
  if (found.length < 2)
    return (
      <>
        <h1>Runs side by side</h1>
        <p className="mt-2">
          It takes two runs that are still on this bench. <Link href="/log">Tick them in the log</Link>.
        </p>
      </>
    );
  const facts = found.map(({ run, stock, verdict }) => runFacts(run, stock.name, verdict));
  const names = found.map(({ roll }, index) => `${index + 1} ${roll.label}`);
  return (
    <>
      <h1>Runs side by side</h1>
      <div className="mt-3 overflow-x-auto" role="region" aria-label="Comparison" tabIndex={0}>
        <table className="w-full border-collapse text-start">
          <thead>
            <tr className="align-bottom">
              <td className="w-[110px]" />
              {found.map(({ run, roll, verdict }, index) => (
                <th key={run.id} scope="col" className="min-w-[150px] py-1 pe-4 font-normal">
                  {verdict !== undefined && <Came verdict={verdict} />}
                  <Link href={`/log/${encodeURIComponent(run.id)}`} className="num mt-1 block text-ink">
                    {index + 1} {roll.label}
                  </Link>
                  <span className="text-[13px] text-ink2">{format(run.createdMs, 'd MMM yyyy')}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {compareRuns(facts).map(({ name, values, differs }) => (
              <tr key={name} className={classes('border-t border-hair align-baseline', differs && 'bg-sheet')}>
                <th scope="row" className={classes('py-1.5 pe-3', differs ? 'font-[650]' : 'font-normal text-ink2')}>
                  {name}
                  {differs && <span className="sr-only">, differs</span>}
                </th>
                {values.map((value, index) => (
                  <td key={index} className={classes('py-1.5 pe-4', !differs && 'text-ink2')}>
                    {value === '' ? '–' : value}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <h2 className="mt-6">Predicted curves, and where each was poured out</h2>
      <CompareChart runs={found.map(({ run }) => run)} names={names} />
    </>
  );
}

/** A film as its verdict says it looks: the negative above, scanned below. */
function Came({ verdict }: { verdict: Verdict }) {
  if (imageOf(verdict.defects) !== 'there')
    return <span className="block text-[13px] text-ink2">{verdictWords(verdict)}</span>;
  const film = filmLike(verdict);
  return (
    <span className="block max-w-[220px] space-y-1">
      <ScenePicture greys={negativeGreys(film.densityAt)} rim={patchGrey(film.baseFogD)} />
      <ScenePicture greys={positiveGreys(film.densityAt, film.baseFogD)} label="As scanned, by its verdict" />
    </span>
  );
}
