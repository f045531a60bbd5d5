'use client';

import { useEffect, useRef } from 'react';
import { formatQuantity } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { tankOf } from './useWorkbench';
import type { BenchPart } from './Workbench';

const ways = [
  { value: 'tank', name: 'The tank' },
  { value: 'bottle', name: 'A volume' },
  { value: 'scarcest', name: 'What is left' },
] as const;

/** How much is made: for the tank, for a bottle, or as far as the scarcest ingredient goes. */
export function ScaleTo({
  inHand: { form, change, errors, result },
  settings,
  dossier,
}: BenchPart & { dossier: RollDossier | undefined }) {
  const rollId = dossier?.roll.id;
  const before = useRef(rollId);
  useEffect(() => {
    if (dossier === undefined || before.current === rollId) return;
    before.current = rollId;
    change({ coverMl: tankOf(dossier).coverMl, scaleTo: 'tank' });
  }, [dossier, rollId, change]);
  const scarcest = form.lines.find(({ key }) => key === form.scarcestKey);
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <Segments
          id="scaleTo"
          label="Make enough for"
          value={form.scaleTo}
          options={ways}
          onChange={(scaleTo) => change({ scaleTo })}
        />
        <p className="pb-2 text-[15px]" aria-live="polite">
          {result?.volumeMl == null ? (
            ''
          ) : (
            <b className="num text-[20px]" data-testid="volume">
              {formatQuantity(result.volumeMl, 'volume', settings)}
            </b>
          )}
        </p>
      </div>
      <div className="mt-3 grid grid-cols-3 gap-4">
        {form.scaleTo === 'tank' && (
          <>
            <Quantity
              id="reels"
              label="Reels"
              kind="count"
              units={settings}
              value={form.reels}
              onChange={(reels) => change({ reels })}
              error={errors.reels}
            />
            <Quantity
              id="coverMl"
              label="To cover one"
              kind="volume"
              units={settings}
              value={form.coverMl}
              onChange={(coverMl) => change({ coverMl })}
              error={errors.coverMl}
            />
            <Quantity
              id="marginPercent"
              label="Margin"
              kind="percent"
              units={settings}
              value={form.marginPercent}
              onChange={(marginPercent) => change({ marginPercent })}
              error={errors.marginPercent}
            />
          </>
        )}
        {form.scaleTo === 'bottle' && (
          <Quantity
            id="bottleMl"
            label="Volume"
            kind="volume"
            units={settings}
            value={form.bottleMl}
            onChange={(bottleMl) => change({ bottleMl })}
            error={errors.bottleMl}
          />
        )}
        {form.scaleTo === 'scarcest' && (
          <>
            <div className="col-span-2">
              <Choice
                id="scarcestKey"
                label="Scarcest ingredient"
                value={form.scarcestKey}
                options={form.lines.map(({ key, name }) => ({ value: key, name: name || 'A line without a name' }))}
                onChange={(scarcestKey) => change({ scarcestKey })}
                error={errors.scarcestKey}
              />
            </div>
            <Quantity
              id="scarcestHave"
              label="Left of it"
              kind={scarcest?.unit === 'ml' ? 'volume' : 'mass'}
              units={settings}
              value={form.scarcestHave}
              onChange={(scarcestHave) => change({ scarcestHave })}
              error={form.scarcestHave === '' ? undefined : errors.scarcestHave}
            />
          </>
        )}
      </div>
    </div>
  );
}
