'use client';

import { useCallback, useMemo } from 'react';
import type { OwnTimeOutlook } from '@/core/estimate/ownTime';
import type { Strategies } from '@/core/estimate/strategies';
import { strategyIds, type StrategyId } from '@/core/estimate/strategyIds';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { GRAPH_FONT, type Inks } from '@/ui/graphPaper';
import { PaperChart, type Paper, type PaperLine } from '@/ui/PaperChart';
import { chartPx } from '@/ui/EmptyChart';
import { strategyWords } from '@/features/words/strategyWords';

/** Least distance between the names of two curves, px. */
const NAME_LINE_PX = 16;

/** Dashes tell the strategies apart without colour. */
const dashes: Record<StrategyId, number[]> = { hold: [], extend: [9, 5], stand: [2, 4] };

/** Predicted characteristic curves of the three strategies against the fresh film, fog and all. */
export default function CurvesChart({
  strategies,
  chosen,
  own,
}: {
  strategies: Strategies;
  chosen: StrategyId;
  /** What a time of the user's own would give; null without one. */
  own: OwnTimeOutlook | null;
}) {
  const { logH, freshDensities, outlooks } = strategies;
  const stops = useMemo(() => logH.map((value) => value / LOG_EXPOSURE_PER_STOP), [logH]);
  const lines = useCallback(
    (inks: Inks): PaperLine[] => {
      const points = (values: readonly number[]) => values.map((y, index) => ({ x: stops[index] ?? 0, y }));
      return [
        { points: points(freshDensities), borderColor: inks.ink2, borderWidth: 1.2 },
        ...outlooks.map(({ id, densities }) => ({
          points: points(densities),
          borderColor: inks.chem,
          borderDash: dashes[id],
          borderWidth: id === chosen ? 3 : 1.6,
        })),
        ...(own === null ? [] : [{ points: points(own.densities), borderColor: inks.heat, borderWidth: 2.4 }]),
      ];
    },
    [stops, freshDensities, outlooks, chosen, own],
  );
  const marks = useCallback(
    (paper: Paper, inks: Inks): void =>
      drawNames(paper, inks, [
        { name: 'fresh film', colour: inks.ink2, density: freshDensities.at(-1) ?? 0 },
        ...outlooks.map(({ id, densities }) => ({
          name: strategyWords[id].name,
          colour: inks.chem,
          density: densities.at(-1) ?? 0,
        })),
        ...(own === null ? [] : [{ name: 'my time', colour: inks.heat, density: own.densities.at(-1) ?? 0 }]),
      ]),
    [freshDensities, outlooks, own],
  );
  const x = useMemo(
    () => ({ title: 'stops above the fresh film’s speed point', min: stops[0], max: stops.at(-1) ?? 11 }),
    [stops],
  );
  const yMax = Math.ceil(Math.max(...freshDensities, ...outlooks.flatMap(({ densities }) => densities)) * 2) / 2;
  const y = useMemo(() => ({ title: 'density', max: yMax }), [yMax]);
  const words = `Predicted density against exposure. ${outlooks.map(({ id, baseFogD, densities }) => `${strategyWords[id].name}: base and fog ${baseFogD.toFixed(2)}, highest ${(densities.at(-1) ?? 0).toFixed(2)}.`).join(' ')} Fresh film: base and fog ${(freshDensities[0] ?? 0).toFixed(2)}.`;
  return (
    <figure className="min-w-0">
      <PaperChart
        name="predicted-curves"
        label={words}
        heightPx={chartPx.strategies}
        x={x}
        y={y}
        lines={lines}
        marks={marks}
      />
      <details className="mt-1 text-[13px] text-ink2">
        <summary>The same as a table</summary>
        <table className="mt-2 w-full max-w-md text-end">
          <thead>
            <tr>
              <th scope="col">stops</th>
              <th scope="col">fresh</th>
              {strategyIds.map((id) => (
                <th key={id} scope="col">
                  {strategyWords[id].name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {stops.map((stop, index) =>
              index % 3 === 0 ? (
                <tr key={stop}>
                  <td>{stop.toFixed(0)}</td>
                  <td>{freshDensities[index]?.toFixed(2)}</td>
                  {outlooks.map(({ id, densities }) => (
                    <td key={id}>{densities[index]?.toFixed(2)}</td>
                  ))}
                </tr>
              ) : null,
            )}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

/** Names at the right end of each curve, pushed apart where they would meet. */
function drawNames(
  { ctx, right, top, y }: Paper,
  inks: Inks,
  names: readonly { name: string; colour: string; density: number }[],
): void {
  const labels = names.map((label) => ({ ...label, at: y(label.density) - 7 })).sort((a, b) => a.at - b.at);
  let above = top;
  ctx.font = GRAPH_FONT;
  ctx.textAlign = 'right';
  ctx.lineWidth = 4;
  ctx.strokeStyle = inks.sheet;
  for (const { name, colour, at } of labels) {
    above = Math.max(at, above + NAME_LINE_PX);
    ctx.strokeText(name, right - 8, above);
    ctx.fillStyle = colour;
    ctx.fillText(name, right - 8, above);
  }
}
