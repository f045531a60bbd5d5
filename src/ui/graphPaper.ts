import type { ChartOptions, Plugin } from 'chart.js';
import type { Light } from './light';

/** Colours of the light at hand, read from the page so that charts follow Day, Dim and Safe. */
export interface Inks {
  ink: string;
  ink2: string;
  hair: string;
  grid: string;
  sheet: string;
  chem: string;
  heat: string;
  band: string;
}

/**
 * Reads the inks of a light from the page. Browser only.
 * @param light the light at hand; the page already stands in it
 */
export function currentInks(light: Light): Inks {
  const style = getComputedStyle(document.querySelector(`[data-light='${light}']`) ?? document.documentElement);
  const read = (name: string): string => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: read('ink'),
    ink2: read('ink2'),
    hair: read('hair'),
    grid: read('grid'),
    sheet: read('sheet'),
    chem: read('chem'),
    heat: read('heat'),
    band: read('band'),
  };
}

/** Font of labels on charts. */
export const GRAPH_FONT = "13px 'Commissioner Variable', sans-serif";

/** Paints the paper and its fine grid: ten fine squares to every labelled step. */
export function paperPlugin(inks: Inks): Plugin<'line'> {
  return {
    id: 'paper',
    beforeDraw(chart) {
      const { ctx, chartArea, scales } = chart;
      if (chartArea === undefined) return;
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
    },
  };
}

/**
 * The next round number for the end of an axis.
 * @param value largest value to show; above 0
 * @example roundUp(27.05) // 30
 */
export function roundUp(value: number): number {
  const step = 10 ** Math.floor(Math.log10(value)) / 2;
  return Number((Math.ceil(value / step - 1e-9) * step).toPrecision(6));
}

/** Options that every chart on graph paper shares. */
export function paperOptions(
  inks: Inks,
  x: { title: string; min?: number; max: number },
  y: { title: string; max: number },
): ChartOptions<'line'> {
  const axis = (title: string, max: number, min = 0) => ({
    type: 'linear' as const,
    min,
    max,
    title: { display: true, text: title, color: inks.ink2, font: { family: 'Commissioner Variable', size: 13 } },
    grid: { color: inks.hair, lineWidth: 1 },
    border: { color: inks.ink2 },
    // Few short numbers, never turned: nothing to skip again on each redraw.
    ticks: {
      color: inks.ink2,
      maxTicksLimit: 8,
      minRotation: 0,
      maxRotation: 0,
      autoSkip: false,
      font: { family: 'Commissioner Variable', size: 12 },
    },
  });
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    events: [],
    // Points come in order and in the chart's own shape.
    parsing: false,
    normalized: true,
    scales: { x: axis(x.title, x.max, x.min), y: axis(y.title, y.max) },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
}
