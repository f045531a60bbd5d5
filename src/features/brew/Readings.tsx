'use client';

import { useEffect, useState } from 'react';
import type { Batch } from '@/core/brewing/batch';
import type { MixStep } from '@/core/brewing/mixSteps';
import type { Reading } from '@/core/kit/instrument';
import { SimulatedProbe } from '@/core/kit/simulatedProbe';
import { SimulatedScale, handPours } from '@/core/kit/simulatedScale';
import { decimalsOf } from '@/core/kit/readable';
import type { Kit } from '@/core/kit/kit';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { classes } from '@/ui/classes';

/** How often an instrument is read, ms. */
const READ_MS = 200;

/** The stand-ins of one bench read alike, so that what happens can be repeated. */
const SEED = 1958;

/** What a cup weighs, g: the simulated hand puts one on first. */
const CUP_G = 38.4;

function useReading(read: (nowMs: number) => Reading | null): Reading | null {
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => {
    const look = (): void => setReading(read(Date.now()));
    look();
    const timer = setInterval(look, READ_MS);
    return () => clearInterval(timer);
  }, [read]);
  return reading;
}

/** The simulated kitchen scale, with a simulated hand that pours. */
export function ScaleReading({ step, kit, onTake }: { step: MixStep; kit: Kit; onTake: (value: number) => void }) {
  const [scale] = useState(() => {
    const now = Date.now();
    const pan = new SimulatedScale(kit.scaleStepG, kit.scaleMostG, SEED, now);
    pan.put(CUP_G, now);
    return pan;
  });
  const [read] = useState(() => (nowMs: number) => scale.read(nowMs));
  const [pours, setPours] = useState(0);
  const [poured, setPoured] = useState(0);
  const [tared, setTared] = useState(false);
  const reading = useReading(read);
  const wanted = step.target ?? 0;
  const pour = (towards: number): void => {
    const massG = Math.max(-poured, handPours(towards, kit.scaleStepG, SEED + step.id.length, pours));
    setPours(pours + 1);
    setPoured(poured + massG);
    scale.put(massG, Date.now());
  };
  // One act leads at a time: tare the cup, pour, take the reading.
  const next = !tared ? 'tare' : poured === 0 ? 'pour' : 'take';
  const lead = (act: typeof next) => ({
    className: classes('act', act === next && 'act-primary'),
    'data-next-step': act === next || undefined,
  });
  const shown =
    reading === null || !Number.isFinite(reading.value)
      ? 'too much'
      : `${formatNumber(reading.value, decimalsOf(kit.scaleStepG))} g`;
  return (
    <fieldset className="mb-5 border-y border-hair py-3">
      <legend className="sr-only">Kitchen scale, simulated</legend>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
        <span
          className={classes('num min-w-[150px] text-[34px] leading-none', reading?.stable !== true && 'following')}
          data-testid="scale"
        >
          {shown}
        </span>
        <span className="text-[14px] text-ink2">
          {reading?.stable === true ? 'at rest' : 'settling'} · simulated scale
        </span>
      </div>
      <div className="mt-3 flex flex-wrap gap-3">
        <button
          type="button"
          {...lead('tare')}
          onClick={() => {
            scale.tare(Date.now());
            setTared(true);
          }}
        >
          Tare
        </button>
        <button type="button" {...lead('pour')} onClick={() => pour(wanted - poured)}>
          Pour
        </button>
        <button
          type="button"
          className="act"
          disabled={poured === 0}
          onClick={() => pour(Math.max(0.02 * wanted, kit.scaleStepG))}
        >
          Add a pinch
        </button>
        <button
          type="button"
          className="act"
          disabled={poured === 0}
          onClick={() => pour(-Math.max(0.02 * wanted, kit.scaleStepG))}
        >
          Remove a pinch
        </button>
        <button
          type="button"
          {...lead('take')}
          disabled={reading?.stable !== true || !tared || !(reading.value >= 0)}
          onClick={() => reading !== null && onTake(reading.value)}
        >
          Take this reading
        </button>
      </div>
      {!tared && <p className="mt-2 text-[14px] text-ink2">The empty cup is on the scale: tare first.</p>}
    </fieldset>
  );
}

/** The simulated probe in the jug: it cools after Newton, from what the waters and the dissolving made of it. */
export function ProbeReading({
  batch,
  startMs,
  step,
  units,
  onTake,
}: {
  batch: Batch;
  startMs: number;
  step: number;
  units: UnitChoice;
  onTake: (value: number) => void;
}) {
  const [read] = useState(() => {
    // The jug was filled when the sheet was begun, a little warmer than wanted, as jugs are.
    const probe = new SimulatedProbe(
      step,
      { startC: batch.targetC + 1, roomC: batch.roomC, volumeMl: batch.volumeMl, filledMs: startMs },
      SEED,
      Date.now(),
    );
    return (nowMs: number) => probe.read(nowMs);
  });
  const reading = useReading(read);
  return (
    <fieldset className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-3 border-y border-hair py-3">
      <legend className="sr-only">Probe thermometer, simulated</legend>
      <span
        className={classes('num min-w-[150px] text-[34px] leading-none', reading?.stable !== true && 'following')}
        data-testid="probe"
      >
        {reading === null ? '…' : formatQuantity(reading.value, 'temperature', units)}
      </span>
      <span className="text-[14px] text-ink2">
        {reading?.stable === true ? 'at rest' : 'still moving'} · simulated probe
      </span>
      <button
        type="button"
        className="act act-primary"
        data-next-step
        disabled={reading?.stable !== true}
        onClick={() => reading !== null && onTake(reading.value)}
      >
        Take this reading
      </button>
    </fieldset>
  );
}
