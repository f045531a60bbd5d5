'use client';

import { memo, useCallback, useMemo, useState } from 'react';
import type { OwnTimeOutlook } from '@/core/estimate/ownTime';
import type { EstimatePreview } from '@/core/estimate/analysis';
import { formatMinutes } from '@/core/units/duration';
import { GRAPH_FONT, roundUp, type Inks } from '@/ui/graphPaper';
import { PaperChart, type Paper, type PaperLine } from '@/ui/PaperChart';
import { chartPx } from '@/ui/EmptyChart';
import { useSteadyEnd } from '@/ui/useSteadyEnd';

/** Arm of the cross that marks a reading, px. */
const ARM_PX = 5;

/** Net gradient against time, with its band, the target, the time, and what was read. */
export default function GradientChart({ analysis }: { analysis: EstimatePreview }) {
  const { curve, estimate, marks: readings, own } = analysis;
  const { timeMin, gradient } = estimate;
  const lines = useCallback(
    (inks: Inks): PaperLine[] => {
      const points = (values: number[]) => values.map((y, index) => ({ x: curve.timesMin[index] ?? 0, y }));
      return [
        { points: points(curve.low) },
        { points: points(curve.high), fill: 0, backgroundColor: inks.band },
        { points: points(curve.net), borderColor: inks.chem, borderWidth: 2.4 },
      ];
    },
    [curve],
  );
  const marks = useCallback(
    (paper: Paper, inks: Inks): void => {
      paper.ctx.font = GRAPH_FONT;
      drawTarget(paper, inks, gradient.target);
      drawTime(paper, inks, timeMin, gradient.net);
      if (own !== null) drawOwn(paper, inks, own, timeMin);
      for (const reading of readings) drawReading(paper, inks, reading);
    },
    [timeMin, gradient, readings, own],
  );
  const xMax = useSteadyEnd(
    roundUp(Math.max(curve.timesMin.at(-1) ?? 1, ...readings.map((reading) => reading.timeMin * 1.05))),
  );
  const yMax = useSteadyEnd(
    Math.ceil(
      Math.max(gradient.target * 1.25, ...curve.high, ...readings.map((reading) => reading.gradient * 1.05)) * 5,
    ) / 5,
  );
  const x = useMemo(() => ({ title: 'minutes', max: xMax }), [xMax]);
  const y = useMemo(() => ({ title: 'average gradient, net of fog', max: yMax }), [yMax]);
  const words = `Average gradient net of fog against minutes. At ${formatMinutes(timeMin)} it is ${gradient.net.toFixed(2)}; the target is ${gradient.target.toFixed(2)}.${readings.map((reading) => ` Read after ${formatMinutes(reading.developedMin)}: ${reading.gradient.toFixed(2)}.`).join('')}`;
  return (
    <figure>
      <PaperChart
        name="contrast-over-time"
        label={words}
        heightPx={chartPx.gradient}
        x={x}
        y={y}
        lines={lines}
        marks={marks}
      />
      <CurveTable curve={curve} />
    </figure>
  );
}

/** The curve in figures, for those who cannot see it; made when it is opened. */
const CurveTable = memo(function CurveTable({ curve }: Pick<EstimatePreview, 'curve'>) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-1 text-[13px] text-ink2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>The same as a table</summary>
      {open && (
        <table className="mt-2 w-full max-w-sm text-end">
          <thead>
            <tr>
              <th scope="col">min</th>
              <th scope="col">gradient</th>
              <th scope="col">low</th>
              <th scope="col">high</th>
            </tr>
          </thead>
          <tbody>
            {curve.timesMin.map((minutes, index) =>
              index % 4 === 0 ? (
                <tr key={index}>
                  <td>{minutes.toFixed(1)}</td>
                  <td>{curve.net[index]?.toFixed(2)}</td>
                  <td>{curve.low[index]?.toFixed(2)}</td>
                  <td>{curve.high[index]?.toFixed(2)}</td>
                </tr>
              ) : null,
            )}
          </tbody>
        </table>
      )}
    </details>
  );
});

function drawTarget({ ctx, left, right, y }: Paper, inks: Inks, target: number): void {
  ctx.strokeStyle = inks.heat;
  ctx.fillStyle = inks.heat;
  ctx.lineWidth = 1.6;
  ctx.setLineDash([6, 5]);
  ctx.beginPath();
  ctx.moveTo(left, y(target));
  ctx.lineTo(right, y(target));
  ctx.stroke();
  ctx.setLineDash([]);
  ctx.fillText(`target ${target.toFixed(2)}`, left + 8, y(target) - 7);
}

/** The user's own time: an upright of another colour, named. */
function drawOwn(
  { ctx, bottom, x, y }: Paper,
  inks: Inks,
  { timeMin, netGradient }: OwnTimeOutlook,
  estimateMin: number,
): void {
  ctx.strokeStyle = inks.heat;
  ctx.fillStyle = inks.heat;
  ctx.lineWidth = 2;
  ctx.beginPath();
  ctx.moveTo(x(timeMin), bottom);
  ctx.lineTo(x(timeMin), y(netGradient));
  ctx.stroke();
  // Its name stands on the side that the estimate's own line leaves free.
  const left = timeMin < estimateMin;
  ctx.textAlign = left ? 'right' : 'left';
  ctx.fillText('my time', x(timeMin) + (left ? -6 : 6), bottom - 22);
  ctx.textAlign = 'left';
}

function drawTime({ ctx, bottom, x, y }: Paper, inks: Inks, timeMin: number, net: number): void {
  ctx.strokeStyle = inks.ink;
  ctx.fillStyle = inks.ink;
  ctx.lineWidth = 1.6;
  ctx.beginPath();
  ctx.moveTo(x(timeMin), y(net));
  ctx.lineTo(x(timeMin), bottom);
  ctx.stroke();
  ctx.beginPath();
  ctx.arc(x(timeMin), y(net), 5, 0, 2 * Math.PI);
  ctx.fill();
  ctx.fillText(formatMinutes(timeMin), x(timeMin) + 8, bottom - 8);
}

/** The user's own reading as an ink cross, at the time that counts here. */
function drawReading(
  { ctx, right, x, y }: Paper,
  inks: Inks,
  { timeMin, developedMin, gradient }: EstimatePreview['marks'][number],
): void {
  const [at, height] = [x(timeMin), y(gradient)];
  ctx.strokeStyle = inks.ink;
  ctx.fillStyle = inks.ink;
  ctx.lineWidth = 2;
  ctx.beginPath();
  ctx.moveTo(at - ARM_PX, height - ARM_PX);
  ctx.lineTo(at + ARM_PX, height + ARM_PX);
  ctx.moveTo(at + ARM_PX, height - ARM_PX);
  ctx.lineTo(at - ARM_PX, height + ARM_PX);
  ctx.stroke();
  const beforeIt = at > right - 90;
  ctx.textAlign = beforeIt ? 'right' : 'left';
  ctx.fillText(`read, ${formatMinutes(developedMin)}`, at + (beforeIt ? -10 : 10), height + 16);
  ctx.textAlign = 'left';
}
