'use client';

import Link from 'next/link';
import { useState } from 'react';
import { fitsUsualReel } from '@/core/films/filmFormats';
import { filmFormats } from '@/core/films/filmFormats';
import { lightsOutCard, oddWays, tankKinds, type OddWay, type TankKind } from '@/core/films/lightsOut';
import { useDossier } from '@/data/queries';
import { Segments } from '@/ui/Segments';
import { BenchDrawing } from './BenchDrawing';
import { DarkRun } from './DarkRun';
import { DarkSteps, DarkWarnings } from './DarkSteps';
import { OddReelDrawing, SeeSawDrawing } from './OddReelDrawing';
import { ReelDrawing } from './ReelDrawing';

const oddOptions = (Object.keys(oddWays) as OddWay[]).map((value) => ({ value, name: oddWays[value] }));
const tankOptions = (Object.keys(tankKinds) as TankKind[]).map((value) => ({ value, name: tankKinds[value] }));

/** What to lay out, do and feel while the light is off: to read, to print, to practise, to be read aloud. */
export function LightsOut({ rollId }: { rollId: string }) {
  const dossier = useDossier(rollId);
  const [tank, setTank] = useState<TankKind>('adjustable');
  const [odd, setOdd] = useState<OddWay>('see-saw');
  const [mode, setMode] = useState<'card' | 'practice' | 'dark'>('card');
  if (dossier === undefined) return <p aria-busy="true">Opening the roll.</p>;
  if (dossier === null) return <h1>This roll is not on the bench.</h1>;
  if (dossier.standing.forbidden) {
    return (
      <>
        <h1>This roll is not to be opened here.</h1>
        <p className="mt-2">
          It is likely on nitrate base. <Link href={`/rolls/${encodeURIComponent(rollId)}#identify`}>What to do</Link>
        </p>
      </>
    );
  }
  const { roll } = dossier;
  const usual = fitsUsualReel(roll.formatId);
  const sheet = roll.formatId.startsWith('sheet');
  const card = lightsOutCard(roll.formatId, roll.condition, usual ? tank : odd);
  if (mode !== 'card') return <DarkRun card={card} dark={mode === 'dark'} onEnd={() => setMode('card')} />;
  return (
    <div className="measure">
      <p className="no-print text-[13px] text-ink2">
        <Link href={`/rolls/${encodeURIComponent(rollId)}`}>{roll.label}</Link>
      </p>
      <h1>{card.title}</h1>
      <DarkWarnings card={card} />
      {!sheet && (
        <div className="no-print mt-3 max-w-md">
          {usual ? (
            <Segments id="tank" label="Tank" value={tank} options={tankOptions} onChange={setTank} />
          ) : (
            <Segments id="odd" label="How it is developed" value={odd} options={oddOptions} onChange={setOdd} />
          )}
        </div>
      )}
      <h2 className="mt-5">In reach, from left to right</h2>
      <BenchDrawing things={card.inReach} />
      {usual && <ReelDrawing tank={tank} />}
      {!usual &&
        !sheet &&
        (odd === 'see-saw' ? <SeeSawDrawing /> : <OddReelDrawing widthMm={filmFormats[roll.formatId].widthMm} />)}
      <DarkSteps card={card} />
      <p className="rule-row text-[14px]">
        Phone face down or out of the room, timers off, door locked. A screen is a light too.
      </p>
      <div className="no-print mt-2 flex flex-wrap gap-3">
        <button type="button" className="act act-primary" onClick={() => setMode('practice')}>
          Rehearse with spare film
        </button>
        <button type="button" className="act" onClick={() => setMode('dark')}>
          Read it to me in the dark
        </button>
        <button type="button" className="act" onClick={() => window.print()}>
          Print the card
        </button>
      </div>
    </div>
  );
}
