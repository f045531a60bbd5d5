'use client';

import { useEffect, useRef, useState } from 'react';
import { practiceStrip } from '@/core/kit/practiceStrip';
import { SimulatedDensitometer } from '@/core/kit/simulatedDensitometer';
import { readCgats } from '@/core/formats/cgats';
import type { StripForm } from '@/core/evidence/stripForm';
import { MOST_PATCHES } from '@/core/evidence/stripForm';
import type { UnitChoice } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { FileButton } from '@/features/files/FileButton';
import { Quantity } from '@/ui/Quantity';
import { seedOf } from './seedOf';

/** Smallest step of the stand-in, D. */
const STEP_D = 0.01;

/** How often it is looked at while it settles, ms. */
const LOOK_MS = 150;

interface DensitometerPanelProps {
  form: StripForm;
  change: (part: Partial<StripForm>) => void;
  count: number;
  units: UnitChoice;
  rollId: string;
}

/** Densities typed, read by the stand-in, or opened from a file: clear film first, then the row. */
export function DensitometerPanel({ form, change, count, units, rollId }: DensitometerPanelProps) {
  const { kit } = useSettings();
  const simulated = kit.densitometer === 'simulated';
  const [fault, setFault] = useState<string | null>(null);
  const { read, reading } = useStandIn(rollId);
  const set = (at: number, value: number | string): void =>
    change({
      typedD: Array.from({ length: count + 1 }, (_, index) => (index === at ? value : (form.typedD[index] ?? ''))),
    });
  const open = async (file: File): Promise<void> => {
    const answer = readCgats(await file.text().catch(() => ''));
    if (!answer.ok) return setFault(`${file.name}: ${answer.problems[0]?.message ?? ''}`);
    const patches = answer.value.slice(0, MOST_PATCHES);
    setFault(null);
    const known = patches.every(({ logH }) => logH !== null);
    change({
      typedD: [form.typedD[0] ?? '', ...patches.map(({ densityD }) => densityD)],
      count: patches.length,
      ...(known
        ? {
            exposures: 'own' as const,
            ownStops: patches.map(({ logH }) => Math.round(((logH ?? 0) / Math.log10(2)) * 100) / 100).join(' '),
          }
        : {}),
    });
  };
  return (
    <div>
      <p className="max-w-[62ch] text-[14px] text-ink2">
        Zero the densitometer on its bare light. Read clear film first, between or beside the frames, then each patch
        from the first to the last.
      </p>
      <ul className="mt-3 grid gap-x-6 gap-y-3 sm:grid-cols-2">
        {Array.from({ length: count + 1 }, (_, at) => (
          <li key={at} className="flex items-end gap-3">
            <Quantity
              id={`density-${at}`}
              label={at === 0 ? 'Clear film' : `Patch ${at}`}
              kind="density"
              units={units}
              value={form.typedD[at] ?? ''}
              onChange={(value) => set(at, value)}
            />
            {simulated && (
              <button
                type="button"
                className="act"
                disabled={reading !== null}
                onClick={() => void read(at).then((value) => set(at, value))}
              >
                {reading === at ? 'settling' : 'Read'}
                <span className="sr-only"> {at === 0 ? 'clear film' : `patch ${at}`}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-3 flex flex-wrap gap-x-5 text-[14px]">
        <FileButton
          label="Densities from a CGATS file"
          className="act-plain"
          accept=".txt,.cgats,text/plain"
          onFile={(file) => void open(file)}
        >
          Open a CGATS.17 file
        </FileButton>
        {simulated && (
          <span className="text-ink2">The simulated densitometer lies on a made-up strip of nine frames.</span>
        )}
      </p>
      {fault !== null && (
        <p role="alert" className="mt-2 border-s-4 border-danger ps-3 text-danger">
          {fault}
        </p>
      )}
    </div>
  );
}

/** The simulated densitometer over a made-up strip: it is put on a patch and read when it is at rest. */
function useStandIn(rollId: string): { read: (patch: number) => Promise<number>; reading: number | null } {
  const head = useRef<SimulatedDensitometer | null>(null);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const [reading, setReading] = useState<number | null>(null);
  useEffect(() => () => clearInterval(timer.current), []);
  const read = (patch: number): Promise<number> => {
    const seed = seedOf(rollId);
    const { strip } = practiceStrip(seed);
    head.current ??= new SimulatedDensitometer(STEP_D, seed, Date.now());
    const device = head.current;
    device.put(strip.baseFogD + (patch === 0 ? 0 : (strip.stepsD[patch - 1] ?? 0)), Date.now());
    setReading(patch);
    return new Promise((resolve) => {
      timer.current = setInterval(() => {
        const shown = device.read(Date.now());
        if (!shown.stable) return;
        clearInterval(timer.current);
        setReading(null);
        resolve(shown.value);
      }, LOOK_MS);
    });
  };
  return { read, reading };
}
