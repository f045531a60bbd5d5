'use client';

import { useState } from 'react';
import type { PracticeScore } from '@/core/practice/practiceScore';
import { Segments } from '@/ui/Segments';
import { PracticeRun } from './PracticeRun';
import { ScoreTable } from './ScoreTable';

const paces = { '1': 'Real time', '10': 'Ten times as fast', '60': 'Sixty times as fast' } as const;
type Pace = keyof typeof paces;
const paceOptions = (Object.keys(paces) as Pace[]).map((value) => ({ value, name: paces[value] }));

/** Runs that are advised before the first real one. Source: our choice. */
const ADVISED = 3;

/** A tank to practise on, with nothing in it and no mark left in the log. */
export function PracticeView() {
  const [pace, setPace] = useState<Pace>('10');
  const [seed, setSeed] = useState<number | null>(null);
  const [scores, setScores] = useState<readonly PracticeScore[]>([]);
  const begin = (): void => setSeed(Math.floor(Date.now() % 2_000_000_000));
  if (seed !== null)
    return (
      <PracticeRun
        key={seed}
        seed={seed}
        pace={Number(pace)}
        onScore={(score) => setScores((before) => [...before, score])}
        onAgain={begin}
        onLeave={() => setSeed(null)}
      />
    );
  return (
    <div className="max-w-[78ch]">
      <h1>Practice tank</h1>
      <p className="mt-2 text-[17px]">
        The real tank screen with a pretend tank. Its temperature drifts, its film is not quite what the leaflet says,
        and now and then something goes wrong. Dip the thermometer, follow the words, pour out on time.
      </p>
      <p className="mt-2 text-ink2">Three runs before a real one make the hands sure. None of it goes into the log.</p>
      <div className="mt-5 max-w-[520px]">
        <Segments id="pace" label="How fast" value={pace} options={paceOptions} onChange={setPace} />
      </div>
      <button type="button" className="act act-primary mt-5" data-next-step onClick={begin}>
        {scores.length === 0 ? 'Start the first run' : `Start run ${scores.length + 1}`}
      </button>
      {scores.length > 0 && (
        <section aria-labelledby="runs" className="mt-8">
          <h2 id="runs">
            {scores.length} of {Math.max(ADVISED, scores.length)} runs
          </h2>
          <ScoreTable scores={scores} />
        </section>
      )}
    </div>
  );
}
