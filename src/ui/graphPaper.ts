import type { ChartOptions } from 'chart.js';
import { formatNumber } from '@/core/units/quantity';
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
  return inksOf(document.querySelector(`[data-light='${light}']`) ?? document.documentElement);
}

/** Inks for paper, where it is day whatever the light on the screen. Browser only. */
export function inksOnPaper(): Inks {
  const probe = document.createElement('i');
  probe.className = 'day-inks';
  document.body.append(probe);
  const inks = inksOf(probe);
  probe.remove();
  return inks;
}

function inksOf(element: Element): Inks {
  const style = getComputedStyle(element);
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

/**
 * The next round number for the end of an axis.
 * @param value largest value to show; above 0
 * @example roundUp(27.05) // 30
 */
export function roundUp(value: number): number {
  const step = 10 ** Math.floor(Math.log10(value)) / 2;
  return Number((Math.ceil(value / step - 1e-9) * step).toPrecision(6));
}

/** Most decimals at a tick. */
const MOST_DECIMALS = 4;

/**
 * The number at a tick, with as many decimals as the steps need. The library's own way asks the system for a number format: that
 * takes a slow machine 50 ms the first time, and writes decimals as the browser likes.
 */
export function tickText(value: number | string, _index: number, ticks: readonly { value: number }[]): string {
  const step = (ticks[1]?.value ?? 1) - (ticks[0]?.value ?? 0);
  let decimals = 0;
  while (decimals < MOST_DECIMALS && Math.abs(step * 10 ** decimals - Math.round(step * 10 ** decimals)) > 1e-6)
    decimals += 1;
  return formatNumber(Number(value), decimals);
}

/** Options that every chart on graph paper shares. */
export function paperOptions(
  inks: Inks,
  x: { title: string; min?: number; max: number },
  y: { title: string; max: number },
): ChartOptions<'line'> {
  const axis = (title: string, max: number, min = 0) => ({
    type: 'paper' as const,
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
      callback: tickText,
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
