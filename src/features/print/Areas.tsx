'use client';

import { useState } from 'react';
import type { PrintForm } from '@/core/printing/print';
import { areaSeconds, areaStops } from '@/core/printing/printPlan';
import type { Photo } from '@/core/records/records';
import { useSettings } from '@/data/queries';
import { Quantity } from '@/ui/Quantity';
import { AreaMap } from './AreaMap';

/** Most areas that two hands manage. */
const MOST = 12;

/** Areas that are held back or burnt in, each in stops or in seconds. */
export function Areas({
  form: { areas, baseS },
  picture,
  change,
  errors,
}: {
  form: PrintForm;
  /** What areas are drawn on; null for a plain frame. */
  picture: Photo | null;
  change: (part: Partial<PrintForm>) => void;
  errors: Partial<Record<string, string>>;
}) {
  const units = useSettings();
  /** The area that the next stroke places. */
  const [placing, setPlacing] = useState<number | null>(null);
  const set = (index: number, part: Partial<PrintForm['areas'][number]>): void =>
    change({ areas: areas.map((area, at) => (at === index ? { ...area, ...part } : area)) });
  return (
    <fieldset className="mt-4">
      <legend className="font-[620]">Areas that want more or less</legend>
      <ul className="space-y-2">
        {areas.map((area, index) => (
          <li
            key={index}
            className="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_130px_110px_auto]"
          >
            <input
              className="box max-sm:col-span-2"
              aria-label={`Area ${index + 1}`}
              autoComplete="off"
              maxLength={200}
              placeholder="as sky, face, corner"
              value={area.where}
              onChange={(event) => set(index, { where: event.target.value })}
            />
            <Quantity
              id={`areas[${index}].stops`}
              label="stops, − for less"
              kind="stops"
              units={units}
              value={area.stops}
              onChange={(stops) => set(index, { stops })}
              error={errors[`areas[${index}].stops`]}
            />
            {typeof baseS === 'number' && baseS > 0 ? (
              <Quantity
                id={`areas[${index}].seconds`}
                label="or seconds"
                kind="seconds"
                units={units}
                optional
                value={typeof area.stops === 'number' ? Number(areaSeconds(baseS, area.stops).toFixed(1)) : ''}
                onChange={(seconds) =>
                  typeof seconds === 'number' && set(index, { stops: Number(areaStops(baseS, seconds).toFixed(4)) })
                }
              />
            ) : (
              <span />
            )}
            <span className="flex gap-x-4 max-sm:col-span-2">
              <button
                type="button"
                className="act-plain text-[14px]"
                aria-pressed={placing === index}
                onClick={() => setPlacing(placing === index ? null : index)}
              >
                {area.at === undefined ? 'Draw' : 'Draw anew'}
                <span className="sr-only">: area {index + 1}</span>
              </button>
              <button
                type="button"
                className="act-plain text-[14px]"
                onClick={() => {
                  setPlacing(null);
                  change({ areas: areas.filter((_, at) => at !== index) });
                }}
              >
                Leave out<span className="sr-only">: area {index + 1}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      {(placing !== null || picture !== null || areas.some(({ at }) => at !== undefined)) && (
        <AreaMap
          areas={areas}
          picture={picture}
          placing={placing}
          onPlace={(index, at) => {
            set(index, { at });
            setPlacing(null);
          }}
        />
      )}
      {areas.length < MOST && (
        <button
          type="button"
          className="act-plain"
          onClick={() => change({ areas: [...areas, { where: '', stops: '' }] })}
        >
          {areas.length === 0 ? 'An area' : 'One more'}
        </button>
      )}
    </fieldset>
  );
}
