'use client';

import Link from 'next/link';
import {
  coffeeSpoonIds,
  coffeeSpoons,
  spoonSetIds,
  spoonSets,
  type CoffeeSpoonId,
  type InstrumentId,
  type SpoonSetId,
} from '@/core/kit/kit';
import type { KitForm as TypedKit } from '@/core/kit/kitForm';
import { formatQuantity, type QuantityKind, type UnitChoice } from '@/core/units/quantity';
import { kitPart } from '@/data/typedParts';
import { useKeptSettings } from '@/data/queries';
import type { Settings } from '@/core/records/records';
import { useTypedPart } from '@/features/drafts/useTypedPart';
import { OwnTeaspoons } from './OwnTeaspoons';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';

const sources = (standIn: string): readonly { value: InstrumentId; name: string }[] => [
  { value: 'none', name: 'I type what I read' },
  { value: 'simulated', name: standIn },
];

const coffeeFills: readonly { value: CoffeeSpoonId | 'any'; name: string }[] = [
  { value: 'any', name: 'It varies' },
  ...coffeeSpoonIds.map((value) => ({ value, name: coffeeSpoons[value].name })),
];

/** With what the user measures, and where its readings come from. Everything else in Aetas rounds to it. */
export function KitView() {
  const settings = useKeptSettings();
  return settings === undefined ? <p aria-busy="true">Opening the kit.</p> : <KitForm settings={settings} />;
}

function KitForm({ settings }: { settings: Settings }) {
  const { form, change, errors } = useTypedPart(kitPart, '', settings.kit);
  const set = (part: Partial<TypedKit>): void => change({ ...form, ...part });
  const number = (
    field: 'scaleStepG' | 'scaleMostG' | 'cylinderStepMl' | 'thermometerLowC' | 'thermometerHighC',
    label: string,
    kind: QuantityKind,
  ) => (
    <Quantity
      id={field}
      label={label}
      kind={kind}
      units={settings}
      value={form[field]}
      onChange={(value) => set({ [field]: value })}
      error={errors[field]}
    />
  );
  return (
    <div className="measure space-y-7">
      <div>
        <h1>Kit and devices</h1>
        <p className="mt-1 text-ink2">
          What your scale, cylinder and thermometer can show. Amounts are rounded to match, and you are told when an
          instrument is too coarse.{' '}
          <Link href="/brews" className="act-plain">
            To the brews
          </Link>
        </p>
      </div>
      <section aria-labelledby="kit-scale" className="border-t border-hair pt-3">
        <h2 id="kit-scale">Scale</h2>
        <div className="mt-2 grid grid-cols-2 gap-4 sm:max-w-[420px]">
          {number('scaleStepG', 'Smallest step', 'mass')}
          {number('scaleMostG', 'Maximum load', 'mass')}
        </div>
        <div className="mt-4">
          <Segments
            id="scale"
            label="Readings from"
            value={form.scale}
            options={sources('Simulated kitchen scale')}
            onChange={(scale) => set({ scale })}
          />
        </div>
        {form.scale === 'simulated' && (
          <p className="mt-2 max-w-[62ch] text-[14px] text-ink2">
            It settles, jitters, drifts and rounds like a real one, and a simulated hand pours. For practice only: it
            weighs nothing on your table.
          </p>
        )}
      </section>
      <section aria-labelledby="kit-cylinder" className="border-t border-hair pt-3">
        <h2 id="kit-cylinder">Cylinder and spoons</h2>
        <div className="mt-2 grid gap-4 sm:max-w-[560px] sm:grid-cols-[190px_minmax(0,1fr)]">
          {number('cylinderStepMl', 'Smallest mark', 'volume')}
          <Segments
            id="spoons"
            label="Spoons"
            value={form.spoons}
            options={spoonSetIds.map((value: SpoonSetId) => ({ value, name: spoonSets[value].name }))}
            onChange={(spoons) => set({ spoons })}
          />
        </div>
        <div className="mt-4">
          <Segments
            id="coffeeSpoon"
            label="A spoon of instant coffee"
            value={form.coffeeSpoon ?? 'any'}
            options={coffeeFills}
            onChange={(fill) => set({ coffeeSpoon: fill === 'any' ? undefined : fill })}
          />
        </div>
        <p className="mt-2 text-[14px] text-ink2">
          A teaspoon of this set holds {spoonVolume(spoonSets[form.spoons].teaspoonMl, settings)}, a tablespoon{' '}
          {spoonVolume(spoonSets[form.spoons].tablespoonMl, settings)}, level.
        </p>
        <OwnTeaspoons
          teaspoons={form.teaspoons ?? {}}
          onChange={(teaspoons) => set({ teaspoons: Object.keys(teaspoons).length === 0 ? undefined : teaspoons })}
          units={settings}
          errors={errors}
        />
      </section>
      <section aria-labelledby="kit-thermometer" className="border-t border-hair pt-3">
        <h2 id="kit-thermometer">Thermometer</h2>
        <div className="mt-2 grid grid-cols-2 gap-4 sm:max-w-[620px] sm:grid-cols-3">
          <Quantity
            id="thermometerStepC"
            label="Smallest mark"
            kind="temperatureStep"
            units={settings}
            value={form.thermometerStepC}
            onChange={(thermometerStepC) => set({ thermometerStepC })}
            error={errors.thermometerStepC}
          />
          {number('thermometerLowC', 'It reads from', 'temperature')}
          {number('thermometerHighC', 'up to', 'temperature')}
        </div>
        <div className="mt-4">
          <Segments
            id="probe"
            label="Readings from"
            value={form.probe}
            options={sources('Simulated probe')}
            onChange={(probe) => set({ probe })}
          />
        </div>
        {form.probe === 'simulated' && (
          <p className="mt-2 max-w-[62ch] text-[14px] text-ink2">
            It lags behind a jug that cools towards the room. For practice only: it is not in any jug of yours.
          </p>
        )}
      </section>
      <section aria-labelledby="kit-densitometer" className="border-t border-hair pt-3">
        <h2 id="kit-densitometer">Densitometer</h2>
        <div className="mt-2">
          <Segments
            id="densitometer"
            label="Readings from"
            value={form.densitometer ?? 'none'}
            options={sources('Simulated densitometer')}
            onChange={(densitometer) => set({ densitometer })}
          />
        </div>
        {form.densitometer === 'simulated' && (
          <p className="mt-2 max-w-[62ch] text-[14px] text-ink2">
            It reads a made-up strip, settles, and repeats to a hundredth. For practice only.
          </p>
        )}
      </section>
    </div>
  );
}

/** What a spoon holds, in the user’s unit. */
function spoonVolume(ml: number, units: UnitChoice): string {
  return formatQuantity(ml, 'volume', units, units.volume === 'ml' && !Number.isInteger(ml) ? 2 : undefined);
}
