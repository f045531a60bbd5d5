'use client';

import { useState } from 'react';
import { SQUARES, readCassette, writeCassette } from '@/core/films/cassetteCode';
import { formatNumber } from '@/core/units/quantity';

/** The twelve squares of a 35 mm cassette, tapped as they look. */
export function CassetteCode({ iso, onSpeed }: { iso: number; onSpeed: (iso: number) => void }) {
  const [squares, setSquares] = useState<boolean[]>(() =>
    Array.from({ length: SQUARES }, (_, index) => index % 6 === 0),
  );
  const read = readCassette(squares);
  const pattern = writeCassette({ iso, exposures: 36, toleranceStops: { over: 3, under: 1 } });
  return (
    <details className="sm:col-span-2">
      <summary className="w-fit underline underline-offset-3">Read the speed off the cassette</summary>
      <p className="mt-2 max-w-[62ch] text-[13px] text-ink2">
        Hold the cassette with the long end of the spool to the left, and tap each square as it looks: bare metal or
        paint.
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-6">
        <div role="group" aria-label="Squares of the cassette" className="grid w-fit grid-cols-6 gap-1">
          {squares.map((bare, index) => (
            <button
              key={index}
              type="button"
              aria-pressed={bare}
              aria-label={`Row ${index < 6 ? 1 : 2}, square ${(index % 6) + 1}: ${bare ? 'bare metal' : 'paint'}`}
              className={`size-11 border-2 border-ink text-[11px] ${bare ? 'bg-sheet text-ink' : 'bg-ink text-ground'}`}
              onClick={() => setSquares(squares.map((square, at) => (at === index ? !square : square)))}
            >
              {bare ? 'bare' : 'paint'}
            </button>
          ))}
        </div>
        {pattern.ok && (
          <button type="button" className="act-plain text-[13px]" onClick={() => setSquares(pattern.value)}>
            Show how ISO {iso}, 36 exposures would look
          </button>
        )}
        <div role="status" className="max-w-[40ch]">
          {read.ok ? (
            <>
              <p>
                <b className="num text-[20px]">ISO {read.value.iso}</b>,{' '}
                {read.value.exposures === null ? 'unusual length' : `${read.value.exposures} exposures`}, tolerates +
                {formatNumber(read.value.toleranceStops.over, 1)} / −{formatNumber(read.value.toleranceStops.under, 1)}{' '}
                stops
              </p>
              <button type="button" className="act mt-2" onClick={() => onSpeed(read.value.iso)}>
                Use ISO {read.value.iso}
              </button>
            </>
          ) : (
            <p>{read.problems[0]?.message}</p>
          )}
        </div>
      </div>
    </details>
  );
}
