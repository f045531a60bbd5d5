import { LinearScale, type Chart, type ChartArea, type LinearScaleOptions, type Plugin } from 'chart.js';
import type { Inks } from './graphPaper';

declare module 'chart.js' {
  interface CartesianScaleTypeRegistry {
    paper: { options: LinearScaleOptions };
  }
}

/** Paper, grid, axes and their names of each chart, as they were drawn last: they stand while its curves move. */
const standing = new WeakMap<object, HTMLCanvasElement>();

/** Whether a chart draws on its canvas at this moment, and not into a file. */
function drawsOnCanvas(chart: Pick<Chart, 'ctx' | 'canvas'>): boolean {
  return chart.ctx === chart.canvas.getContext('2d');
}

/** An axis that is drawn with the paper: once for as long as it stands. */
export class PaperScale extends LinearScale {
  static override id = 'paper';
  static override defaults = LinearScale.defaults;

  override draw(area: ChartArea): void {
    if (!standing.has(this.chart) || !drawsOnCanvas(this.chart)) super.draw(area);
  }
}

/** Draws the paper with its axes on a canvas of their own. */
function stand(chart: Chart<'line'>, inks: Inks): HTMLCanvasElement {
  const { width, height } = chart.canvas;
  const made = Object.assign(document.createElement('canvas'), { width, height });
  const context = made.getContext('2d');
  if (context === null) throw new Error('This browser cannot draw charts.');
  context.scale(width / chart.width, height / chart.height);
  drawPaper(context, chart, inks);
  for (const scale of Object.values(chart.scales)) {
    const own = scale.ctx;
    Object.assign(scale, { ctx: context });
    scale.draw(chart.chartArea);
    Object.assign(scale, { ctx: own });
  }
  return made;
}

/** The paper with its fine grid, ten fine squares to every labelled step, and its axes. */
export function paperPlugin(inks: Inks): Plugin<'line'> {
  return {
    id: 'paper',
    afterUpdate: (chart) => {
      standing.delete(chart);
    },
    beforeDraw(chart) {
      if (chart.chartArea === undefined || chart.width === 0 || chart.height === 0) return;
      if (!drawsOnCanvas(chart)) return drawPaper(chart.ctx, chart, inks);
      const paper = standing.get(chart) ?? stand(chart, inks);
      standing.set(chart, paper);
      chart.ctx.drawImage(paper, 0, 0, chart.width, chart.height);
    },
  };
}

function drawPaper(ctx: CanvasRenderingContext2D, { chartArea, scales }: Chart<'line'>, inks: Inks): void {
  ctx.save();
  ctx.fillStyle = inks.sheet;
  ctx.fillRect(chartArea.left, chartArea.top, chartArea.width, chartArea.height);
  for (const axis of [scales.x, scales.y]) {
    if (axis === undefined) continue;
    const [first, second] = axis.ticks;
    if (first === undefined || second === undefined) continue;
    const fine = (second.value - first.value) / 5;
    ctx.strokeStyle = inks.grid;
    ctx.lineWidth = 1;
    ctx.beginPath();
    for (let value = axis.min; value <= axis.max + fine / 2; value += fine) {
      const at = Math.round(axis.getPixelForValue(value)) + 0.5;
      if (axis.isHorizontal()) {
        ctx.moveTo(at, chartArea.top);
        ctx.lineTo(at, chartArea.bottom);
      } else {
        ctx.moveTo(chartArea.left, at);
        ctx.lineTo(chartArea.right, at);
      }
    }
    ctx.stroke();
  }
  ctx.restore();
}
