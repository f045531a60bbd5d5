'use client';

import { Chart, LinearScale, LineController, LineElement, PointElement, type ChartData, type Plugin } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { strategyIds, type StrategyId } from '@/core/estimate/strategyIds';
import type { Strategies } from '@/core/estimate/strategies';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { GRAPH_FONT, currentInks, paperOptions, paperPlugin } from '@/ui/graphPaper';
import { useLight } from '@/ui/light';
import { strategyWords } from './strategyWords';

Chart.register(LineController, LineElement, PointElement, LinearScale);

/** Dashes tell the strategies apart without colour. */
const dashes: Record<StrategyId, number[]> = { hold: [], extend: [9, 5], stand: [2, 4] };

/** Predicted characteristic curves of the three strategies against the fresh film, fog and all. */
export default function CurvesChart({ strategies, chosen }: { strategies: Strategies; chosen: StrategyId }) {
  const light = useLight();
  const inks = useMemo(() => currentInks(light), [light]);
  const { logH, freshDensities, outlooks } = strategies;
  const stops = useMemo(() => logH.map((value) => value / LOG_EXPOSURE_PER_STOP), [logH]);
  const data = useMemo((): ChartData<'line'> => {
    const points = (values: readonly number[]) => values.map((y, index) => ({ x: stops[index] ?? 0, y }));
    return {
      datasets: [
        { label: 'fresh film', data: points(freshDensities), borderColor: inks.ink2, borderWidth: 1.2, pointRadius: 0 },
        ...outlooks.map(({ id, densities }) => ({
          label: strategyWords[id].name,
          data: points(densities),
          borderColor: inks.chem,
          borderDash: dashes[id],
          borderWidth: id === chosen ? 3 : 1.6,
          pointRadius: 0,
        })),
      ],
    };
  }, [stops, freshDensities, outlooks, chosen, inks]);
  const yMax = Math.ceil(Math.max(...freshDensities, ...outlooks.flatMap(({ densities }) => densities)) * 2) / 2;
  const options = useMemo(() => paperOptions(inks, { title: 'stops above the fresh film’s speed point', min: stops[0], max: stops.at(-1) ?? 11 }, { title: 'density', max: yMax }), [inks, stops, yMax]);
  const plugins = useMemo(() => [paperPlugin(inks), namesPlugin(inks.sheet)], [inks]);
  const words = `Predicted density against exposure. ${outlooks.map(({ id, baseFogD, densities }) => `${strategyWords[id].name}: base and fog ${baseFogD.toFixed(2)}, highest ${(densities.at(-1) ?? 0).toFixed(2)}.`).join(' ')} Fresh film: base and fog ${(freshDensities[0] ?? 0).toFixed(2)}.`;
  return (
    <figure className="min-w-0">
      <div className="h-[300px]">
        <Line key={light} aria-label={words} data={data} options={options} plugins={plugins} />
      </div>
      <details className="mt-1 text-[13px] text-ink2">
        <summary>The same as a table</summary>
        <table className="mt-2 w-full max-w-md text-right">
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
function namesPlugin(paper: string): Plugin<'line'> {
  const LINE_PX = 16;
  return {
    id: 'names',
    afterDatasetsDraw(chart) {
      const { ctx, chartArea, scales } = chart;
      const { y } = scales;
      if (y === undefined) return;
      const labels = chart.data.datasets
        .map((dataset) => ({ name: dataset.label ?? '', colour: String(dataset.borderColor), at: y.getPixelForValue((dataset.data.at(-1) as { y: number } | undefined)?.y ?? 0) - 7 }))
        .sort((a, b) => a.at - b.at);
      labels.reduce((above, label) => {
        label.at = Math.max(label.at, above + LINE_PX);
        return label.at;
      }, chartArea.top);
      ctx.save();
      ctx.font = GRAPH_FONT;
      ctx.textAlign = 'right';
      for (const { name, colour, at } of labels) {
        ctx.lineWidth = 4;
        ctx.strokeStyle = paper;
        ctx.strokeText(name, chartArea.right - 8, at);
        ctx.fillStyle = colour;
        ctx.fillText(name, chartArea.right - 8, at);
      }
      ctx.restore();
    },
  };
}
