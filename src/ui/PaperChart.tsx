'use client';

import { Chart, Filler, LineController, LineElement, PointElement, type ChartDataset } from 'chart.js';
import { useEffect, useMemo, useRef } from 'react';
import { currentInks, inksOnPaper, paperOptions, type Inks } from './graphPaper';
import { chartFile, chartFileKinds, type ChartFileKind } from './chartFiles';
import { download } from './download';
import { useLight } from './light';
import { usePrinting } from './usePrinting';
import { PaperScale, paperPlugin } from './standingPaper';

Chart.register(LineController, LineElement, PointElement, PaperScale, Filler);

/** A curve on graph paper. */
export interface PaperLine extends Pick<
  ChartDataset<'line'>,
  'borderColor' | 'borderWidth' | 'borderDash' | 'fill' | 'backgroundColor'
> {
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
  /** What its file is called. */
  name: string;
  heightPx: number;
  x: { title: string; min?: number; max: number };
  y: { title: string; max: number };
  lines: (inks: Inks) => PaperLine[];
  /** Marks and names on top of the curves. */
  marks: (paper: Paper, inks: Inks) => void;
}

/** Curves on graph paper. The chart is made once for a light; new figures only redraw it. */
export function PaperChart({ label, name, heightPx, x, y, lines, marks }: PaperChartProps) {
  const light = useLight();
  const printing = usePrinting();
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line'> | null>(null);
  const draw = useRef(marks);
  const axes = useRef({ x, y });
  /** What the axes were laid out by last: that takes some time, so it is done when they change alone. */
  const laidOut = useRef('');
  const inks = useMemo(() => (printing ? inksOnPaper() : currentInks(light)), [light, printing]);
  useEffect(() => {
    draw.current = marks;
    axes.current = { x, y };
  }, [marks, x, y]);
  useEffect(() => {
    if (canvas.current === null) return;
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [] },
      options: paperOptions(inks, axes.current.x, axes.current.y),
      plugins: [
        paperPlugin(inks),
        {
          id: 'marks',
          afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
            const [along, up] = [scales.x, scales.y];
            if (along === undefined || up === undefined) return;
            ctx.save();
            draw.current(
              {
                ctx,
                ...pick(chartArea),
                x: (value) => along.getPixelForValue(value),
                y: (value) => up.getPixelForValue(value),
              },
              inks,
            );
            ctx.restore();
          },
        },
      ],
    });
    chart.current = made;
    laidOut.current = keyOf(axes.current.x, axes.current.y);
    return () => {
      chart.current = null;
      made.destroy();
    };
  }, [inks]);
  const { title: xTitle, min: xMin, max: xMax } = x;
  const { title: yTitle, max: yMax } = y;
  useEffect(() => {
    const made = chart.current;
    if (made === null) return;
    const [along, up] = [
      { title: xTitle, min: xMin, max: xMax },
      { title: yTitle, max: yMax },
    ];
    if (laidOut.current !== keyOf(along, up)) {
      laidOut.current = keyOf(along, up);
      made.options = paperOptions(inks, along, up);
      made.update('none');
    }
    // A chart that came before its font: its paper stands, so it is drawn once more.
    if (document.fonts.status === 'loading')
      void document.fonts.ready.then(() => chart.current === made && made.update('none'));
  }, [inks, xTitle, xMin, xMax, yTitle, yMax]);
  useEffect(() => {
    if (chart.current !== null) redraw(chart.current, lines(inks));
  }, [inks, lines, marks, xMin, xMax, yMax]);
  return (
    <div className="group relative contain-strict" style={{ height: heightPx }}>
      <canvas ref={canvas} role="img" aria-label={label} />
      {/* Beside the name of the axis, where nothing else stands. */}
      <p className="no-print absolute end-1 bottom-0 flex gap-x-2 text-[12px] text-ink2 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 pointer-coarse:opacity-100">
        {chartFileKinds.map((kind) => (
          <button
            key={kind}
            type="button"
            className="act-plain text-ink2"
            aria-label={`Save this chart as ${kind}`}
            onClick={() => chart.current !== null && void save(chart.current, kind, name)}
          >
            {kind}
          </button>
        ))}
      </p>
    </div>
  );
}

const keyOf = (x: PaperChartProps['x'], y: PaperChartProps['y']): string =>
  JSON.stringify([x.title, x.min, x.max, y.title, y.max]);

/** Saves the chart under its name. */
async function save(chart: Chart<'line'>, kind: ChartFileKind, name: string): Promise<void> {
  const ground = getComputedStyle(document.body).backgroundColor;
  download(await chartFile(chart, kind, ground), `${name}.${kind.toLowerCase()}`);
}

/** Draws lines on axes that stand: points of the same number are moved, others laid out anew. */
function redraw(chart: Chart<'line'>, lines: PaperLine[]): void {
  const [along, up] = [chart.scales.x, chart.scales.y];
  const moves =
    along !== undefined &&
    up !== undefined &&
    lines.length === chart.data.datasets.length &&
    lines.every(({ points }, index) => points.length === chart.getDatasetMeta(index).data.length);
  lines.forEach(({ points, ...look }, index) => {
    const dataset = chart.data.datasets[index];
    if (dataset === undefined) chart.data.datasets.push({ data: points, pointRadius: 0, borderWidth: 0, ...look });
    else Object.assign(dataset, look, { data: points });
  });
  if (!moves) return chart.update('none');
  lines.forEach(({ points, borderWidth }, index) => {
    const { data, dataset } = chart.getDatasetMeta(index);
    points.forEach(({ x, y }, at) =>
      Object.assign(data[at] as PointElement, { x: along.getPixelForValue(x), y: up.getPixelForValue(y) }),
    );
    if (!(dataset instanceof LineElement)) return;
    dataset.points = data as PointElement[];
    Object.assign(dataset.options, { borderWidth: borderWidth ?? 0 });
  });
  chart.draw();
}

function pick({
  left,
  right,
  top,
  bottom,
}: {
  left: number;
  right: number;
  top: number;
  bottom: number;
}): Pick<Paper, 'left' | 'right' | 'top' | 'bottom'> {
  return { left, right, top, bottom };
}
