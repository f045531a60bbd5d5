'use client';

import { channelIds, type ChannelId } from '@/core/densitometry/pixelGrid';
import { transferIds } from '@/core/densitometry/transfer';
import { exposureKindIds, exposureKinds, type StripForm } from '@/core/evidence/stripForm';
import type { UnitChoice } from '@/core/units/quantity';
import type { Camera } from '@/data/readings';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { Tick } from '@/ui/Tick';
import type { Development } from './StripReader';
import type { StripPictures } from './useStripPictures';

const exposureHints: Record<StripForm['exposures'], string> = {
  bracket: 'One even surface, so many stops under and over',
  wedge: 'Exposed through steps of known density',
  own: 'One number for each patch',
  unknown: 'Then it tells fog and range only',
};
const exposureOptions = exposureKindIds.map((value) => ({
  value,
  name: exposureKinds[value],
  hint: exposureHints[value],
}));

const channelNames: Record<ChannelId, { name: string; hint: string }> = {
  green: { name: 'Green', hint: 'Black-and-white film; sharpest on most cameras' },
  blue: { name: 'Blue', hint: 'Stained negatives, as a paper sees them' },
  visual: { name: 'As the eye sees', hint: 'Red, green and blue by their luminance' },
  red: { name: 'Red', hint: 'Dye of colour film' },
};
const channelOptions = (
  ['green', 'blue', 'visual', 'red'] as const satisfies readonly (typeof channelIds)[number][]
).map((value) => ({ value, ...channelNames[value] }));

const transferNames = { srgb: 'sRGB', gamma: 'Gamma', linear: 'Linear' } as const;
const transferOptions = transferIds.map((value) => ({ value, name: transferNames[value] }));

interface StripFieldsProps {
  form: StripForm;
  change: (part: Partial<StripForm>) => void;
  errors: Partial<Record<string, string>>;
  units: UnitChoice;
  cameras: readonly Camera[];
  planned: Development | null;
  ran: Development | null;
  pictures: StripPictures;
}

/** What is known of a strip beside its picture. */
export function StripFields({ form, change, errors, units, cameras, planned, ran, pictures }: StripFieldsProps) {
  return (
    <div className="space-y-4">
      <div className="grid grid-cols-[minmax(0,1fr)_120px] gap-4">
        <Field id="stripName" label="Strip" error={errors.name}>
          <input
            id="stripName"
            className="box"
            value={form.name}
            maxLength={120}
            onChange={(event) => change({ name: event.target.value })}
          />
        </Field>
        <Quantity
          id="stripMin"
          label="Developed"
          kind="minutes"
          units={units}
          value={form.timeMin}
          onChange={(timeMin) => change({ timeMin })}
          error={errors.timeMin}
        />
      </div>
      {ran !== null && planned !== null && (
        <Segments
          id="developed"
          label="Developed in"
          value={form.developed}
          options={[
            { value: 'run', name: 'The roll’s run' },
            { value: 'plan', name: 'The plan, as a clip' },
          ]}
          onChange={(developed) =>
            change({
              developed,
              timeMin: (developed === 'run' ? ran.timeMin : planned.timeMin) ?? form.timeMin,
            })
          }
        />
      )}
      {form.source !== 'gap' && <Exposures {...{ form, change, errors, units }} />}
      {form.source !== 'densitometer' && pictures.shots.length > 0 && (
        <details className="border-t border-hair pt-3">
          <summary className="cursor-pointer font-[620]">How the picture is read</summary>
          <div className="mt-3 space-y-4">
            <Segments
              id="transfer"
              label="Code values are"
              value={form.transfer}
              options={transferOptions}
              onChange={(transfer) => change({ transfer })}
            />
            {form.transfer === 'gamma' && (
              <Quantity
                id="gamma"
                label="Gamma"
                kind="gradient"
                units={units}
                value={form.gamma}
                onChange={(gamma) => change({ gamma })}
                error={errors.gamma}
              />
            )}
            <Choice
              id="channel"
              label="Channel"
              value={form.channel}
              options={channelOptions}
              onChange={(channel) => change({ channel })}
            />
            {cameras.length > 0 && (
              <Choice
                id="camera"
                label="Corrected for"
                value={form.camera}
                options={[
                  { value: '', name: 'No camera', hint: 'Any camera: its curve and glare are in the doubt' },
                  ...cameras.map(({ id, name, device }) => ({
                    value: id,
                    name,
                    hint: device ?? 'Calibrated',
                  })),
                ]}
                onChange={(camera) => change({ camera })}
              />
            )}
            <Tick
              id="clearMarked"
              label="Clear film is marked"
              checked={form.clear !== null}
              onChange={(on) =>
                change({
                  clear: on
                    ? { x: form.row.first.x - 0.06, y: form.row.first.y, along: 0.03, across: 0.05, turn: 0 }
                    : null,
                  marked: true,
                })
              }
            />
            <Tick
              id="opaqueMarked"
              label="Something opaque is marked"
              checked={form.opaque !== null}
              onChange={(on) =>
                change({
                  opaque: on ? { x: 0.5, y: 0.05, along: 0.02, across: 0.02, turn: 0 } : null,
                  marked: true,
                })
              }
            />
            <p className="flex flex-wrap gap-x-4">
              <button
                type="button"
                className="act-plain"
                disabled={form.light.length >= 8}
                onClick={() =>
                  change({
                    light: [...form.light, { x: 0.5, y: 0.05, along: 0.03, across: 0.03, turn: 0 }],
                    marked: true,
                  })
                }
              >
                Mark bare light
              </button>
              {form.light.length > 0 && (
                <button
                  type="button"
                  className="act-plain"
                  onClick={() => change({ light: form.light.slice(0, -1), marked: true })}
                >
                  Take the last light mark away
                </button>
              )}
            </p>
          </div>
        </details>
      )}
    </div>
  );
}

/** What is known of the exposures of the patches. */
function Exposures({ form, change, errors, units }: Pick<StripFieldsProps, 'form' | 'change' | 'errors' | 'units'>) {
  const metered = form.exposures === 'bracket' || form.exposures === 'own';
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_120px] gap-4">
        <Choice
          id="exposures"
          label="Exposures"
          value={form.exposures}
          options={exposureOptions}
          onChange={(exposures) => change({ exposures })}
        />
        <Quantity
          id="stripCount"
          label="Patches"
          kind="count"
          units={units}
          value={form.count}
          onChange={(count) => change({ count, marked: true })}
          error={errors.count}
        />
      </div>
      {form.exposures === 'bracket' && (
        <div className="grid grid-cols-2 gap-4">
          <Quantity
            id="firstStops"
            label="First patch"
            kind="stops"
            units={units}
            value={form.firstStops}
            onChange={(firstStops) => change({ firstStops })}
            error={errors.firstStops}
          />
          <Quantity
            id="stepStops"
            label="Each one more"
            kind="stops"
            units={units}
            value={form.stepStops}
            onChange={(stepStops) => change({ stepStops })}
            error={errors.stepStops}
          />
        </div>
      )}
      {form.exposures === 'wedge' && (
        <Quantity
          id="stepD"
          label="Step of the wedge"
          kind="density"
          units={units}
          hint="often 0.15"
          value={form.stepD}
          onChange={(stepD) => change({ stepD })}
          error={errors.stepD}
        />
      )}
      {form.exposures === 'own' && (
        <Field id="ownStops" label="Stops, first to last" hint="0 as metered" error={errors.ownStops}>
          <input
            id="ownStops"
            className="box num"
            value={form.ownStops}
            placeholder="−2 −1 0 1 2"
            onChange={(event) => change({ ownStops: event.target.value })}
          />
        </Field>
      )}
      {metered && (
        <Quantity
          id="meteredIso"
          label="Metered at"
          kind="iso"
          units={units}
          hint="empty: contrast only"
          optional
          value={form.meteredIso}
          onChange={(meteredIso) => change({ meteredIso })}
          error={form.meteredIso === '' ? undefined : errors.meteredIso}
        />
      )}
      {metered && form.meteredIso !== '' && (
        <Tick
          id="ownFrames"
          label="Exposed with the roll, and waited as long"
          checked={form.ownFrames}
          onChange={(ownFrames) => change({ ownFrames })}
        />
      )}
    </>
  );
}
