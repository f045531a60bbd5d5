'use client';

import { Chart, Filler, LinearScale, LineController, LineElement, PointElement, type ChartData, type Plugin } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { Study } from '@/core/estimate/study';
import { formatMinutes } from '@/core/units/duration';
import { GRAPH_FONT, currentInks, paperOptions, paperPlugin, roundUp, type Inks } from '@/ui/graphPaper';
import { useLight } from '@/ui/light';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

/** Net gradient against time, with its band, the target and the time. */
export default function GradientChart({ study }: { study: Study }) {
  const light = useLight();
  const inks = useMemo(() => currentInks(light), [light]);
  const { curve, estimate, marks } = study;
  const data = useMemo((): ChartData<'line'> => {
    const points = (values: number[]) => values.map((y, index) => ({ x: curve.timesMin[index] ?? 0, y }));
    const edge = { borderWidth: 0, pointRadius: 0 };
    return {
      datasets: [
        { data: points(curve.low), ...edge },
        { data: points(curve.high), ...edge, fill: 0, backgroundColor: inks.band },
        { data: points(curve.net), borderColor: inks.chem, borderWidth: 2.4, pointRadius: 0 },
      ],
    };
  }, [curve, inks]);
  const yMax = Math.ceil(Math.max(estimate.gradient.target * 1.25, ...curve.high, ...marks.map(({ gradient }) => gradient * 1.05)) * 5) / 5;
  const xMax = roundUp(Math.max(curve.timesMin.at(-1) ?? 1, ...marks.map(({ timeMin }) => timeMin * 1.05)));
  const options = useMemo(() => paperOptions(inks, { title: 'minutes', max: xMax }, { title: 'average gradient, net of fog', max: yMax }), [inks, xMax, yMax]);
  const plugins = useMemo(() => [paperPlugin(inks), marksPlugin(inks, estimate.timeMin, estimate.gradient), readingsPlugin(inks, marks)], [inks, estimate, marks]);
  const words = `Average gradient net of fog against minutes. At ${formatMinutes(estimate.timeMin)} it is ${estimate.gradient.net.toFixed(2)}; the target is ${estimate.gradient.target.toFixed(2)}.${marks.map((mark) => ` Read after ${formatMinutes(mark.developedMin)}: ${mark.gradient.toFixed(2)}.`).join('')}`;
  return (
    <figure>
      <div className="h-[280px]">
        <Line key={light} aria-label={words} data={data} options={options} plugins={plugins} />
      </div>
      <details className="mt-1 text-[13px] text-ink2">
        <summary>The same as a table</summary>
        <table className="mt-2 w-full max-w-sm text-right">
          <thead>
            <tr>
              <th scope="col">min</th>
              <th scope="col">gradient</th>
              <th scope="col">low</th>
              <th scope="col">high</th>
            </tr>
          </thead>
          <tbody>
            {curve.timesMin.map((timeMin, index) =>
              index % 4 === 0 ? (
                <tr key={timeMin}>
                  <td>{timeMin.toFixed(1)}</td>
                  <td>{curve.net[index]?.toFixed(2)}</td>
                  <td>{curve.low[index]?.toFixed(2)}</td>
                  <td>{curve.high[index]?.toFixed(2)}</td>
                </tr>
              ) : null,
            )}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

/** The target as a line, the time as a mark, both with their words beside them. */
function marksPlugin(inks: Inks, timeMin: number, gradient: { target: number; net: number }): Plugin<'line'> {
  return {
    id: 'marks',
    afterDatasetsDraw(chart) {
      const { ctx, chartArea, scales } = chart;
      if (scales.x === undefined || scales.y === undefined) return;
      const x = scales.x.getPixelForValue(timeMin);
      const target = scales.y.getPixelForValue(gradient.target);
      const net = scales.y.getPixelForValue(gradient.net);
      ctx.save();
      ctx.font = GRAPH_FONT;
      ctx.strokeStyle = inks.heat;
      ctx.lineWidth = 1.6;
      ctx.setLineDash([6, 5]);
      ctx.beginPath();
      ctx.moveTo(chartArea.left, target);
      ctx.lineTo(chartArea.right, target);
      ctx.stroke();
      ctx.setLineDash([]);
      ctx.fillStyle = inks.heat;
      ctx.fillText(`target ${gradient.target.toFixed(2)}`, chartArea.left + 8, target - 7);
      ctx.strokeStyle = inks.ink;
      ctx.beginPath();
      ctx.moveTo(x, net);
      ctx.lineTo(x, chartArea.bottom);
      ctx.stroke();
      ctx.fillStyle = inks.ink;
      ctx.beginPath();
      ctx.arc(x, net, 5, 0, 2 * Math.PI);
      ctx.fill();
      ctx.fillText(formatMinutes(timeMin), x + 8, chartArea.bottom - 8);
      ctx.restore();
    },
  };
}

/** The user's own readings as ink crosses, at the time that counts here. */
function readingsPlugin(inks: Inks, marks: Study['marks']): Plugin<'line'> {
  const ARM_PX = 5;
  return {
    id: 'readings',
    afterDatasetsDraw({ ctx, chartArea, scales }) {
      if (scales.x === undefined || scales.y === undefined) return;
      ctx.save();
      ctx.font = GRAPH_FONT;
      ctx.strokeStyle = inks.ink;
      ctx.fillStyle = inks.ink;
      ctx.lineWidth = 2;
      for (const { timeMin, developedMin, gradient } of marks) {
        const x = scales.x.getPixelForValue(timeMin);
        const y = scales.y.getPixelForValue(gradient);
        ctx.beginPath();
        ctx.moveTo(x - ARM_PX, y - ARM_PX);
        ctx.lineTo(x + ARM_PX, y + ARM_PX);
        ctx.moveTo(x + ARM_PX, y - ARM_PX);
        ctx.lineTo(x - ARM_PX, y + ARM_PX);
        ctx.stroke();
        const left = x > chartArea.right - 90;
        ctx.textAlign = left ? 'right' : 'left';
        ctx.fillText(`read, ${formatMinutes(developedMin)}`, x + (left ? -10 : 10), y + 16);
      }
      ctx.restore();
    },
  };
}
