import { Matrix } from 'ml-matrix';
import { Z80 } from '../estimate/band';
import { choleskyOf } from '../inference/choleskyOf';
import { interpolate } from '../inference/interpolate';
import { headPoints } from './colourHead';
import type { OwnRange } from './paperRange';
import { gradeRanges } from './twoTones';

/** A strip of a paper by itself, on a setting of a colour head. */
interface HeadStrip {
  /** Units of magenta; below 0 for yellow. */
  units: number;
  range: number;
  sd: number;
}

/** How far a head with a paper lies from the table, ln of the range, and how far along the scale that goes together, as a share of it. Source: our estimate. */
const HEAD_LN_SD = 0.1;
const HEAD_REACH = 0.5;

/**
 * A setting of a colour head as somebody writes it in the place of a grade.
 * @returns units of magenta, below 0 for yellow; null for anything else
 * @example headUnitsOf('60 M') // 60
 * @example headUnitsOf('y35') // -35
 */
export function headUnitsOf(grade: string): number | null {
  const found = /^(?:(\d{1,3})\s*([my])|([my])\s*(\d{1,3}))$/i.exec(grade.trim());
  if (found === null) return /^0\s*\/\s*0$/.test(grade.trim()) ? 0 : null;
  const units = Number(found[1] ?? found[4]);
  return (found[2] ?? found[3] ?? '').toLowerCase() === 'm' ? units : -units;
}

/** Strips that were made on settings of a head. */
export function headStripsOf(strips: readonly (OwnRange & { grade: string })[]): HeadStrip[] {
  return strips.flatMap(({ grade, range, sd }) => {
    const units = headUnitsOf(grade);
    return units === null ? [] : [{ units, range, sd }];
  });
}

/** What a head is set to, by the table and by its own strips. */
export interface HeadSet {
  /** Units of magenta; below 0 for yellow. */
  units: number;
  /** Where the setting may lie, four times in five. */
  low: number;
  high: number;
  /** Strips that told it. */
  strips: number;
}

/**
 * What a head is set to for a grade on a paper: its own strips first, the table where they do not reach.
 * @param grade as on a packet: 00, 0, 1 to 5
 * @param mostUnits the largest value on the head's scale; above 0
 * @param strips strips of the paper by itself on this head; those beyond its scale are left out
 * @returns null for a grade that the table has not, or without a strip. Source: Gaussian process regression on what the table leaves over
 * (textbook); its spread and reach are our estimate
 */
export function ownHead(grade: string, mostUnits: number, strips: readonly HeadStrip[]): HeadSet | null {
  const wanted = gradeRanges.find((one) => one.grade === grade.trim())?.range;
  const told = strips.filter(({ units }) => Math.abs(units) <= mostUnits);
  if (wanted === undefined || told.length === 0) return null;
  const prior = (a: number, b: number): number =>
    HEAD_LN_SD ** 2 * Math.exp(-(((a - b) / mostUnits / HEAD_REACH) ** 2) / 2);
  const factor = choleskyOf(
    new Matrix(told.map((a, i) => told.map((b, j) => prior(a.units, b.units) + (i === j ? (a.sd / a.range) ** 2 : 0)))),
  );
  const weights = factor
    .solve(Matrix.columnVector(told.map(({ units, range }) => Math.log(range / tableRange(units / mostUnits)))))
    .to1DArray();
  const off = Array.from({ length: 2 * Math.floor(mostUnits) + 1 }, (_, at) => {
    const units = at - Math.floor(mostUnits);
    const shared = told.map((one) => prior(units, one.units));
    const moved = shared.reduce((sum, value, index) => sum + value * (weights[index] as number), 0);
    const taken = Matrix.rowVector(shared)
      .mmul(factor.solve(Matrix.columnVector(shared)))
      .get(0, 0);
    return {
      units,
      ln: Math.log(tableRange(units / mostUnits)) + moved - Math.log(wanted),
      sd: Math.sqrt(Math.max(0, prior(units, units) - taken)),
    };
  });
  const nearest = off.reduce((best, one) => (Math.abs(one.ln) < Math.abs(best.ln) ? one : best));
  const open = off.filter(({ ln, sd, units }) => Math.abs(ln) <= Z80 * sd || units === nearest.units);
  return {
    units: nearest.units,
    low: open[0]?.units ?? nearest.units,
    high: open.at(-1)?.units ?? nearest.units,
    strips: told.length,
  };
}

/** ISO range by the table at a place of the scale, from −1 (all yellow) to 1 (all magenta); as at its ends beyond them. */
function tableRange(share: number): number {
  const at = (index: number) => headPoints[index] as (typeof headPoints)[number];
  return interpolate(
    headPoints.length,
    (index) => at(index).share,
    (index) => at(index).range,
    share,
  );
}
