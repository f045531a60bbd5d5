'use client';

import { useEffect, useState } from 'react';
import * as z from 'zod';
import { tankVolumeMl } from '@/core/films/filmsInTank';
import type { SharedTankRoll } from '@/core/plan/sharedTank';
import { developSeconds } from '@/core/plan/developSeconds';
import { MOST_ALONGSIDE, type Brew, type Pinned, type Plan, type Roll, type Stock } from '@/core/records/records';
import { filmFormats } from '@/core/films/filmFormats';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { useSettledBench, type RollDossier } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import { useLearned } from '@/features/learning/useLearned';
import { percentWords } from '@/features/words/evidenceWords';
import { coreWorker } from '@/workers/core';
import { Fold } from '@/ui/Fold';

const matesSchema = z.object({ rollIds: z.array(z.string()).max(MOST_ALONGSIDE) });

/** Rolls that share the tank, and what the tank's time means for each. */
export interface SharedTankChoice {
  /** Rolls that could share it. */
  possible: RollDossier[];
  chosen: RollDossier[];
  toggle: (rollId: string) => void;
  /** What each chosen roll is pinned with. */
  alongside: SharedTankRoll[];
  /** Those that have no estimate of their own in this brew. */
  unknown: readonly string[];
  /** What they get is still being worked out: no run begins before that is known. */
  pending: boolean;
}

/** A plan that was pinned. */
export type PinnedPlan = Plan & { pinned: Pinned };

/** Follows which rolls share the tank of a plan, and works out what its time means for them. */
export function useSharedTank(roll: Roll, plan: PinnedPlan | null, brew: Brew | null, nowMs: number): SharedTankChoice {
  const bench = useSettledBench();
  const learned = useLearned();
  const { form, change } = useDraft(`mates:${roll.id}`, matesSchema, (kept) => kept ?? { rollIds: [] });
  const [answer, setAnswer] = useState<{ key: string; rolls: SharedTankRoll[] } | null>(null);
  const possible = (bench?.dossiers ?? []).filter(({ roll: other, standing }) => {
    const waits = standing.atHand !== null && standing.atHand !== 'judge' && !standing.forbidden;
    return other.id !== roll.id && waits && other.exposure.state !== 'unexposed';
  });
  const chosen = possible.filter((one) => form?.rollIds.includes(one.roll.id) === true);
  const key = JSON.stringify([chosen.map((one) => one.roll.id), plan?.updatedMs, brew?.updatedMs]);
  useEffect(() => {
    if (plan === null || learned === null || chosen.length === 0) return;
    let gone = false;
    const rolls: { roll: Roll; stock: Stock }[] = chosen.map((one) => ({ roll: one.roll, stock: one.stock }));
    void coreWorker()
      .alongside(rolls, plan, developSeconds(plan.pinned) / 60, brew, nowMs)
      // A brew without an estimate has none for anybody; they may share the tank all the same.
      .catch((): SharedTankRoll[] => [])
      .then((taken) => {
        if (!gone) setAnswer({ key, rolls: taken });
      });
    return () => {
      gone = true;
    };
    // The rolls and the plan by what decides them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, learned]);
  const known = (answer?.rolls ?? []).filter(({ rollId }) => chosen.some((one) => one.roll.id === rollId));
  const unknown = chosen.flatMap(({ roll: { id } }) => (known.some(({ rollId }) => rollId === id) ? [] : [id]));
  return {
    possible,
    chosen,
    unknown,
    pending: chosen.length > 0 && (answer?.key !== key || learned?.all !== true),
    toggle: (rollId) =>
      change((now) => ({
        rollIds: now.rollIds.includes(rollId)
          ? now.rollIds.filter((other) => other !== rollId)
          : [...now.rollIds, rollId].slice(0, MOST_ALONGSIDE),
      })),
    alongside:
      plan === null
        ? []
        : chosen.map(
            ({ roll: { id } }) =>
              known.find(({ rollId }) => rollId === id) ?? {
                rollId: id,
                estimateMin: plan.pinned.timeMin,
                pinned: withoutEstimate(plan.pinned),
              },
          ),
  };
}

/** A roll that nobody can estimate in this brew gets the tank's time as its own. */
function withoutEstimate({ outlook: _outlook, ...pinned }: Pinned): Pinned {
  return { ...pinned, timeMin: developSeconds(pinned) / 60, own: true, evidenceIds: [] };
}

interface TankMatesProps {
  mates: SharedTankChoice;
  roll: Roll;
  plan: PinnedPlan;
  units: UnitChoice;
}

/** Other rolls for the same tank: one clock for all, a line in the log and a verdict for each. */
export function SharedTank({ mates, roll, plan, units }: TankMatesProps) {
  const { possible, chosen, toggle, alongside, unknown } = mates;
  if (possible.length === 0) return null;
  const wantedMl = tankVolumeMl([roll.formatId, ...chosen.map((one) => one.roll.formatId)]);
  const tankMin = developSeconds(plan.pinned) / 60;
  return (
    <Fold className="border-t border-hair pt-3" filled={chosen.length > 0}>
      <summary className="cursor-pointer font-[620]">
        {chosen.length === 0 ? 'More rolls in this tank' : `${chosen.length + 1} rolls in this tank`}
      </summary>
      <p className="mt-1 text-[14px] text-ink2">
        One clock for all of them; each gets its own line in the log and its own verdict.
      </p>
      <ul className="mt-2 max-h-80 overflow-y-auto">
        {possible.map(({ roll: other }) => {
          const on = chosen.some((one) => one.roll.id === other.id);
          const mate = alongside.find(({ rollId }) => rollId === other.id);
          return (
            <li key={other.id} className="rule-row grid grid-cols-[20px_minmax(0,1fr)] gap-x-3">
              <input
                id={`mate-${other.id}`}
                type="checkbox"
                className="relative top-[3px] size-5"
                checked={on}
                onChange={() => toggle(other.id)}
              />
              <label htmlFor={`mate-${other.id}`} className="cursor-pointer">
                {other.label} <span className="text-[14px] text-ink2">{filmFormats[other.formatId].name}</span>
                {on && mate !== undefined && (
                  <span className="block text-[14px]">
                    {unknown.includes(other.id) ? 'Without an estimate in this brew.' : mateWords(mate, tankMin)}
                  </span>
                )}
              </label>
            </li>
          );
        })}
      </ul>
      {chosen.length > 0 && plan.volumeMl < wantedMl && (
        <p className="mt-2 border-s-4 border-heat ps-3 text-[14px]">
          These reels, one on the other, need about {formatQuantity(wantedMl, 'volume', units)}; the plan has{' '}
          {formatQuantity(plan.volumeMl, 'volume', units)}. Choose a larger volume, and mix as much.
        </p>
      )}
    </Fold>
  );
}

/** What the tank's time means for another roll. */
function mateWords({ estimateMin, pinned }: SharedTankRoll, tankMin: number): string {
  const own = `By itself ${formatMinutes(estimateMin)} (${formatMinutes(pinned.lowMin)} to ${formatMinutes(pinned.highMin)})`;
  const far = percentWords(tankMin / estimateMin);
  const time = formatDuration(Math.round(tankMin * 60));
  return tankMin < pinned.lowMin || tankMin > pinned.highMin
    ? `${own}: ${time} is ${far}, outside its likely range. Give it a tank of its own.`
    : `${own}: ${time} is ${far}, inside its likely range.`;
}
