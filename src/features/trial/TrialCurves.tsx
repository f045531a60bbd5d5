'use client';

import { useCallback, useMemo } from 'react';
import type { Trial } from '@/core/records/records';
import { levelCurves } from '@/core/trial/trialCurves';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { GRAPH_FONT, type Inks } from '@/ui/graphPaper';
import { PaperChart, type Paper, type PaperLine } from '@/ui/PaperChart';

const CHART_PX = 340;

/** Dashes by level: the control is drawn through. */
const DASHES: readonly (readonly number[])[] = [[], [10, 5], [3, 4], [14, 4, 3, 4], [6, 6], [2, 7]];

/** Curves of a trial laid over each other: each level as the mean of its strips, between the outermost of them. */
export default function TrialCurves({ trial }: { trial: Trial }) {
  const curves = useMemo(
    () =>
      levelCurves(trial).map(({ points, ...curve }) => ({
        ...curve,
        points: points.map(({ logH, ...densities }) => ({ x: logH / LOG_EXPOSURE_PER_STOP, ...densities })),
      })),
    [trial],
  );
  const dash = useCallback(
    (level: number): number[] => [
      ...(DASHES[level === trial.control ? 0 : level < trial.control ? level + 1 : level] ?? []),
    ],
    [trial.control],
  );
  const lines = useCallback(
    (inks: Inks): PaperLine[] =>
      curves.flatMap(({ level, strips, points }): PaperLine[] => {
        const plain = { borderColor: 'transparent', borderWidth: 0 };
        const mean = {
          points: points.map(({ x, meanD }) => ({ x, y: meanD })),
          borderColor: level === trial.control ? inks.ink : inks.chem,
          borderWidth: 2,
          borderDash: dash(level),
        };
        return strips < 2
          ? [mean]
          : [
              { ...plain, points: points.map(({ x, lowD }) => ({ x, y: lowD })) },
              {
                ...plain,
                points: points.map(({ x, highD }) => ({ x, y: highD })),
                fill: '-1',
                backgroundColor: inks.band,
              },
              mean,
            ];
      }),
    [curves, dash, trial.control],
  );
  const marks = useCallback(
    ({ ctx, x, y, right }: Paper, inks: Inks): void => {
      ctx.font = GRAPH_FONT;
      ctx.textAlign = 'right';
      // Names at the ends of their curves; those that would meet are moved apart.
      const ends = curves
        .map(({ level, points }) => ({ level, end: points.at(-1) }))
        .flatMap(({ level, end }) => (end === undefined ? [] : [{ level, at: x(end.x), high: y(end.meanD) - 8 }]))
        .sort((a, b) => a.high - b.high);
      let above = Number.NEGATIVE_INFINITY;
      for (const { level, at, high } of ends) {
        const stand = Math.max(high, above + 17);
        above = stand;
        const [name, end] = [trial.levels[level] ?? '', Math.min(at - 6, right - 6)];
        // A rim of paper keeps a name apart from a curve that it crosses.
        ctx.strokeStyle = inks.sheet;
        ctx.lineWidth = 4;
        ctx.strokeText(name, end, stand);
        ctx.fillStyle = level === trial.control ? inks.ink : inks.chem;
        ctx.fillText(name, end, stand);
      }
      ctx.textAlign = 'left';
    },
    [curves, trial],
  );
  const all = curves.flatMap(({ points }) => points);
  const x = {
    title: 'stops of exposure',
    min: Math.floor(Math.min(...all.map((point) => point.x))),
    max: Math.ceil(Math.max(...all.map((point) => point.x))),
  };
  const y = { title: 'density', max: Math.ceil(Math.max(1, ...all.map(({ highD }) => highD)) * 2 + 0.2) / 2 };
  if (curves.length === 0) return null;
  const words = `Characteristic curves of ${curves.map(({ level, strips }) => `${trial.levels[level]} (${strips === 1 ? 'one strip' : `${strips} strips`})`).join(', ')}, laid over each other.`;
  return (
    <figure className="mt-4">
      <PaperChart name="trial-curves" label={words} heightPx={CHART_PX} x={x} y={y} lines={lines} marks={marks} />
      <figcaption className="mt-1 max-w-[68ch] text-[13px] text-ink2">
        Each line is the mean of its strips, with a band between the outermost of them. The solid line is the control.
      </figcaption>
    </figure>
  );
}
