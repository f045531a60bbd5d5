'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isGuess } from '@/core/estimate/isGuess';
import { developerName } from '@/core/plan/developerName';
import { formatMinutes } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import { cautionsFor } from '@/core/safety/cautions';
import { nitrateRisk } from '@/core/safety/nitrate';
import { runProgress } from '@/core/run/runProgress';
import type { EstimateAnalysis } from '@/core/estimate/analysis';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { changeRoll, duplicateRoll, removeRoll, rollDraftKey, rollFormOf } from '@/data/rolls';
import { isFull } from '@/data/trouble';
import { CautionList } from '@/ui/CautionList';
import { ConditionPanel } from './ConditionPanel';
import { DatingPanel } from './DatingPanel';
import { useBoxes } from '@/data/boxes';
import { BoxCard } from '@/features/box/BoxCard';
import { EdgeQuestion } from './EdgeQuestion';
import { agedWords, ageWords, conditionInShort, filmInShort, storageWords } from '@/features/words/rollWords';
import { Band } from '@/ui/Band';
import { ExposureQuestion } from './ExposureQuestion';
import { FactCard } from './FactCard';
import { MissingFacts } from './MissingFacts';
import { PhotosPanel } from './PhotosPanel';
import { RollForm } from './RollForm';
import { StoragePanel } from './StoragePanel';

/** What the roll is. */
export function IdentifyStage({
  dossier,
  analysis,
  units,
  nowYear,
}: {
  dossier: RollDossier;
  analysis: EstimateAnalysis | null;
  units: UnitChoice;
  nowYear: number;
}) {
  const { roll, stock } = dossier;
  const router = useRouter();
  const box = useBoxes()?.find(({ id }) => id === roll.boxId);
  const nitrate = nitrateRisk({ ...roll, familyId: stock.familyId });
  const cautions = cautionsFor({ nitrate }, 'identify');
  const gainOf = (id: 'date' | 'storage'): string => {
    const fact = analysis?.missing.find((one) => one.id === id);
    return fact === undefined ? '' : `would narrow it to ${formatMinutes(fact.lowMin)}–${formatMinutes(fact.highMin)}`;
  };
  return (
    <div className="grid gap-x-12 gap-y-5 lg:grid-cols-[minmax(0,1fr)_340px]">
      {/* Its room is kept until it comes, so that nothing below moves away under the hands. */}
      <div className="min-h-[300px] min-w-0 lg:sticky lg:top-4 lg:order-last lg:self-start">
        {analysis !== null && <TimeSoFar dossier={dossier} analysis={analysis} units={units} />}
      </div>
      <div className="min-w-0 space-y-5">
        <CautionList cautions={cautions} />
        {(nitrate !== 'none' || roll.condition.edge !== undefined) && <EdgeQuestion roll={roll} />}
        <div className="max-w-[560px]">
          <ExposureQuestion
            value={roll.exposure.state}
            onChange={(exposureState) => void changeRoll(roll.id, { exposureState })}
          />
        </div>
        <div className="border-b border-hair">
          <FactCard
            id="dating"
            title="When was it made?"
            known={upperFirst(ageWords(roll, stock, nowYear))}
            gain={gainOf('date')}
          >
            <DatingPanel dossier={dossier} units={units} nowYear={nowYear} />
          </FactCard>
          <FactCard
            id="keeping"
            title="Where was it stored?"
            known={upperFirst(storageWords(roll))}
            gain={gainOf('storage')}
          >
            <StoragePanel dossier={dossier} units={units} nowYear={nowYear} />
          </FactCard>
          <FactCard id="boxed" title="What did it come with?" known={box?.name ?? 'No box: it came alone'}>
            <BoxCard roll={roll} />
          </FactCard>
          <FactCard id="film" title="The film" known={filmInShort(roll, stock)}>
            <RollForm
              draftKey={rollDraftKey(roll.id)}
              initial={rollFormOf(roll, stock)}
              action="Save changes"
              onSave={(_, changed) => changeRoll(roll.id, changed)}
            />
          </FactCard>
          <FactCard id="condition" title="Condition" known={conditionInShort(roll.condition)}>
            <ConditionPanel dossier={dossier} />
          </FactCard>
          <FactCard id="photos" title="Photographs" known="Box, edge print, backing">
            <PhotosPanel rollId={roll.id} />
          </FactCard>
        </div>
        <button
          type="button"
          className="act-plain min-h-11"
          onClick={() => void duplicateRoll(roll).then((id) => router.push(`/rolls/${encodeURIComponent(id)}`))}
        >
          Add another roll like this one
        </button>
        <RemoveRoll dossier={dossier} onGone={() => router.push('/')} />
      </div>
    </div>
  );
}

const upperFirst = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** The time as all that is known makes it, beside what is being told. */
function TimeSoFar({
  dossier,
  analysis,
  units,
}: {
  dossier: RollDossier;
  analysis: EstimateAnalysis;
  units: UnitChoice;
}) {
  const { estimate } = analysis;
  return (
    <section aria-label="The time so far" className="border-t-2 border-ink pt-2">
      <p className="text-[14px] text-ink2">
        In {lowerFirst(developerName(analysis.request.developer))} at{' '}
        {formatQuantity(analysis.request.temperatureC, 'temperature', units)}
      </p>
      {!isGuess(estimate) && (
        <>
          <p className="num text-[52px] leading-none" data-testid="so-far">
            {formatMinutes(estimate.timeMin)}
          </p>
          <div className="mt-2">
            <Band timeMin={estimate.timeMin} lowMin={estimate.band.lowMin} highMin={estimate.band.highMin} />
          </div>
          <p className="text-[14px]">
            80 % likely between {formatMinutes(estimate.band.lowMin)} and {formatMinutes(estimate.band.highMin)}.
          </p>
        </>
      )}
      <p className="mt-2 text-[14px]">{agedWords(estimate, dossier.stock)}.</p>
      <div className="mt-1 text-[14px]">
        <MissingFacts analysis={analysis} />
      </div>
      <a href="#choose" className="act act-primary mt-3 inline-flex items-center" data-next-step>
        Choose developer and time
      </a>
    </section>
  );
}

/** Takes the roll off the bench. One that is at the tank is not taken off by a slip, and a full storage has its own way. */
function RemoveRoll({ dossier: { roll, run }, onGone }: { dossier: RollDossier; onGone: () => void }) {
  const [asked, setAsked] = useState<'running' | 'no-room' | null>(null);
  const running = run !== undefined && runProgress(run.steps, run.events).phase === 'running';
  const remove = (withoutCopy = false): void => {
    if (running && asked === null) {
      setAsked('running');
      return;
    }
    removeRoll(roll.id, withoutCopy).then(onGone, (error: unknown) => {
      if (isFull(error)) setAsked('no-room');
    });
  };
  return (
    <div className="space-y-2">
      <button type="button" className="act-plain text-danger" onClick={() => remove()}>
        Take this roll off the bench
      </button>
      {asked !== null && (
        <div role="alert" className="flex flex-wrap items-center gap-x-4 gap-y-2 border-s-4 border-danger ps-3">
          <span className="max-w-[62ch]">
            {asked === 'running'
              ? 'This roll is at the tank at this moment.'
              : 'There is no room to keep a copy for undo. Save a file under Records first.'}
          </span>
          <button type="button" className="act" onClick={() => remove(asked === 'no-room')}>
            {asked === 'running' ? 'Take it off all the same' : 'Take it off without undo'}
          </button>
          <button type="button" className="act-plain" onClick={() => setAsked(null)}>
            Leave it on the bench
          </button>
        </div>
      )}
    </div>
  );
}
