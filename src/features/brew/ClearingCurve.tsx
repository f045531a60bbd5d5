'use client';

import { SPENT_CLEARING_FACTOR, type ClearingReading } from '@/core/fixing/clearing';
import { clearingCurve } from '@/core/fixing/clearingCurve';

const SIZE = { width: 420, height: 132, left: 34, bottom: 22, top: 8, right: 10 };

/** Clearing times over the films of a fixer’s life, up to the line at which it is done. */
export function ClearingCurve({ clearings }: { clearings: readonly ClearingReading[] }) {
  const { points, mostS, mostFilms, spentS } = clearingCurve(clearings);
  const x = (films: number): number => SIZE.left + ((SIZE.width - SIZE.left - SIZE.right) * films) / mostFilms;
  const y = (seconds: number): number => SIZE.top + (SIZE.height - SIZE.top - SIZE.bottom) * (1 - seconds / mostS);
  return (
    <svg
      role="img"
      aria-label={`Clearing times: ${points.map(({ films, seconds }) => `${Math.round(seconds)} s after ${films} films`).join(', ')}. Done at ${Math.round(spentS)} s.`}
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      className="mt-2 w-full max-w-[520px]"
    >
      <path d={`M${SIZE.left} ${SIZE.top}V${y(0)}H${SIZE.width - SIZE.right}`} fill="none" stroke="var(--edge)" />
      <path d={`M${SIZE.left} ${y(spentS)}H${SIZE.width - SIZE.right}`} stroke="var(--danger)" strokeDasharray="5 4" />
      <text x={SIZE.width - SIZE.right} y={y(spentS) - 4} textAnchor="end" fontSize="11" fill="var(--danger)">
        done: {SPENT_CLEARING_FACTOR} × fresh
      </text>
      <path
        d={points.map(({ films, seconds }, index) => `${index === 0 ? 'M' : 'L'}${x(films)} ${y(seconds)}`).join('')}
        fill="none"
        stroke="var(--chem)"
        strokeWidth="2"
      />
      {points.map(({ films, seconds, atMs }) => (
        <circle key={atMs} cx={x(films)} cy={y(seconds)} r="4" fill="var(--chem)" />
      ))}
      {[0, spentS].map((seconds) => (
        <text key={seconds} x={SIZE.left - 5} y={y(seconds) + 4} textAnchor="end" fontSize="11" fill="var(--ink2)">
          {Math.round(seconds)}
        </text>
      ))}
      <text x={SIZE.width - SIZE.right} y={SIZE.height - 6} textAnchor="end" fontSize="11" fill="var(--ink2)">
        {mostFilms} films
      </text>
      <text x={SIZE.left} y={SIZE.height - 6} fontSize="11" fill="var(--ink2)">
        s, by films through it
      </text>
    </svg>
  );
}
