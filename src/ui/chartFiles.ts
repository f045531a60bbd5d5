import type { Chart } from 'chart.js';

/** Files that a chart goes out as. */
export const chartFileKinds = ['PNG', 'SVG', 'CSV'] as const;
export type ChartFileKind = (typeof chartFileKinds)[number];

/** Parts of a chart that hold the context that they draw on. */
interface Drawing {
  ctx: unknown;
  scales: Record<string, { ctx: unknown }>;
  draw: () => void;
}

/**
 * A chart as a file, as it stands on the screen. Browser only.
 * @param chart the chart
 * @param kind picture, drawing, or the points of its lines
 * @param ground colour behind it
 */
export async function chartFile(chart: Chart<'line'>, kind: ChartFileKind, ground: string): Promise<Blob> {
  switch (kind) {
    case 'PNG':
      return pngOf(chart, ground);
    case 'SVG':
      return new Blob([await svgOf(chart)], { type: 'image/svg+xml' });
    case 'CSV': {
      const { default: Papa } = await import('papaparse');
      return new Blob([Papa.unparse(pointsOf(chart), { newline: '\r\n' })], { type: 'text/csv' });
    }
  }
}

async function pngOf({ canvas }: Chart<'line'>, ground: string): Promise<Blob> {
  const copy = new OffscreenCanvas(canvas.width, canvas.height);
  const context = copy.getContext('2d');
  if (context === null) throw new Error('This browser cannot draw the chart into a file.');
  context.fillStyle = ground;
  context.fillRect(0, 0, copy.width, copy.height);
  context.drawImage(canvas, 0, 0);
  return copy.convertToBlob({ type: 'image/png' });
}

/** Draws the chart once more, onto a context that writes SVG. */
async function svgOf(chart: Chart<'line'>): Promise<string> {
  const { Context } = await import('svgcanvas');
  const svg = new Context({ width: chart.width, height: chart.height });
  const drawing = chart as unknown as Drawing;
  const controllers = chart.data.datasets.map(
    (_, index) => chart.getDatasetMeta(index).controller as unknown as { _ctx: unknown },
  );
  const own = drawing.ctx;
  const drawOn = (context: unknown): void => {
    drawing.ctx = context;
    for (const scale of Object.values(drawing.scales)) scale.ctx = context;
    for (const controller of controllers) controller._ctx = context;
    drawing.draw();
  };
  try {
    drawOn(svg);
  } finally {
    drawOn(own);
  }
  return svg.getSerializedSvg(true);
}

/** Every point of every line, under the names of the axes. */
function pointsOf(chart: Chart<'line'>): Record<string, number>[] {
  const title = (axis: 'x' | 'y'): string => {
    const text = (chart.options.scales?.[axis] as { title?: { text?: string } } | undefined)?.title?.text;
    return text === undefined || text === '' ? axis : text;
  };
  const [along, up] = [title('x'), title('y')];
  return chart.data.datasets.flatMap(({ data }, line) =>
    (data as { x: number; y: number }[]).map(({ x, y }) => ({ line: line + 1, [along]: x, [up]: y })),
  );
}
