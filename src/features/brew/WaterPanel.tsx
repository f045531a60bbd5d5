'use client';

import { Quantity } from '@/ui/Quantity';
import { stale } from '@/ui/stale';
import { thermometerWords, waitingWords, waterWords } from '@/features/words/brewWords';
import type { BenchPart } from './Workbench';

/** Hot and cold water to a temperature, what dissolving does to it, and how long a jug takes by itself. */
export function WaterPanel({ inHand: { form, change, errors, shown, mending }, settings }: BenchPart) {
  // The words are about the temperature that the sheet was worked out for.
  const targetC = shown?.batch.targetC ?? 0;
  return (
    <section aria-labelledby="water">
      <h2 id="water">Water and temperature</h2>
      <div className="mt-2 grid grid-cols-2 gap-4 sm:grid-cols-4">
        <Quantity
          id="targetC"
          label="Wanted"
          kind="temperature"
          units={settings}
          value={form.targetC}
          onChange={(value) => change({ targetC: value })}
          error={errors.targetC}
        />
        <Quantity
          id="hotC"
          label="Hot water"
          kind="temperature"
          units={settings}
          value={form.hotC}
          onChange={(hotC) => change({ hotC })}
          error={errors.hotC}
        />
        <Quantity
          id="coldC"
          label="Cold water"
          kind="temperature"
          units={settings}
          value={form.coldC}
          onChange={(coldC) => change({ coldC })}
          error={errors.coldC}
        />
        <Quantity
          id="roomC"
          label="The room"
          kind="temperature"
          units={settings}
          value={form.roomC}
          onChange={(roomC) => change({ roomC })}
          error={errors.roomC}
        />
      </div>
      {shown !== null && (
        <div {...stale(mending, 'mt-3 space-y-1')} data-testid="water-words">
          {waterWords(shown.water, targetC, settings).map((sentence) => (
            <p key={sentence}>{sentence}</p>
          ))}
          {shown.water.problem !== null && (
            <p className="border-s-4 border-danger ps-2 text-danger">{shown.water.problem.message}</p>
          )}
          {shown.thermometer !== null && (
            <p className="border-s-4 border-danger ps-2 text-danger">
              {thermometerWords(shown.thermometer, targetC, settings)}
            </p>
          )}
        </div>
      )}
      <div className="mt-4 grid grid-cols-[132px_minmax(0,1fr)] items-end gap-4 border-t border-hair pt-3">
        <Quantity
          id="jugC"
          label="The jug now at"
          kind="temperature"
          units={settings}
          optional
          value={form.jugC === '' ? form.hotC : form.jugC}
          onChange={(jugC) => change({ jugC })}
          error={errors.jugC}
        />
        {shown !== null && (
          <p {...stale(mending, 'pb-2 text-[14px]')}>{waitingWords(shown.waiting, targetC, settings)}</p>
        )}
      </div>
    </section>
  );
}
