'use client';

import { Chart, Filler, LinearScale, LineController, LineElement, PointElement, type ChartDataset } from 'chart.js';
import { useEffect, useMemo, useRef } from 'react';
import { currentInks, paperOptions, paperPlugin, type Inks } from './graphPaper';
import { useLight } from './light';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

/** A curve on graph paper. */
export interface PaperLine extends Pick<ChartDataset<'line'>, 'borderColor' | 'borderWidth' | 'borderDash' | 'fill' | 'backgroundColor'> {
  points: { x: number; y: number }[];
}

/** Where things lie on the paper, for marks drawn on top. */
export interface Paper {
  ctx: CanvasRenderingContext2D;
  left: number;
  right: number;
  top: number;
  bottom: number;
  x: (value: number) => number;
  y: (value: number) => number;
}

interface PaperChartProps {
  /** The chart in words. */
  label: string;
  heightPx: number;
  x: { title: string; min?: number; max: number };
  y: { title: string; max: number };
  lines: (inks: Inks) => PaperLine[];
  /** Marks and names on top of the curves. */
  marks: (paper: Paper, inks: Inks) => void;
}

/** Curves on graph paper. The chart is made once for a light; new figures only redraw it. */
export function PaperChart({ label, heightPx, x, y, lines, marks }: PaperChartProps) {
  const light = useLight();
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line'> | null>(null);
  const draw = useRef(marks);
  const inks = useMemo(() => currentInks(light), [light]);
  useEffect(() => {
    draw.current = marks;
  }, [marks]);
  useEffect(() => {
    if (canvas.current === null) return;
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [] },
      options: paperOptions(inks, { title: '', max: 1 }, { title: '', max: 1 }),
      plugins: [
        paperPlugin(inks),
        {
          id: 'marks',
          afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
            const [along, up] = [scales.x, scales.y];
            if (along === undefined || up === undefined) return;
            ctx.save();
            draw.current({ ctx, ...pick(chartArea), x: (value) => along.getPixelForValue(value), y: (value) => up.getPixelForValue(value) }, inks);
            ctx.restore();
          },
        },
      ],
    });
    chart.current = made;
    return () => {
      chart.current = null;
      made.destroy();
    };
  }, [inks]);
  const { title: xTitle, min: xMin, max: xMax } = x;
  const { title: yTitle, max: yMax } = y;
  useEffect(() => {
    // Options are resolved anew at some cost: only when an axis changes.
    if (chart.current !== null) chart.current.options = paperOptions(inks, { title: xTitle, min: xMin, max: xMax }, { title: yTitle, max: yMax });
  }, [inks, xTitle, xMin, xMax, yTitle, yMax]);
  useEffect(() => {
    const made = chart.current;
    if (made === null) return;
    lines(inks).forEach(({ points, ...look }, index) => {
      const dataset = made.data.datasets[index];
      if (dataset === undefined) made.data.datasets.push({ data: points, pointRadius: 0, borderWidth: 0, ...look });
      else Object.assign(dataset, look, { data: points });
    });
    made.update('none');
  }, [inks, lines, marks, xTitle, xMin, xMax, yTitle, yMax]);
  return (
    <div className="contain-strict" style={{ height: heightPx }}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  );
}

function pick({ left, right, top, bottom }: { left: number; right: number; top: number; bottom: number }): Pick<Paper, 'left' | 'right' | 'top' | 'bottom'> {
  return { left, right, top, bottom };
}
