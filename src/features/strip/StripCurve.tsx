'use client';

import { useCallback, useMemo } from 'react';
import { curveThrough } from '@/core/densitometry/measuredCurve';
import type { StripReading } from '@/core/evidence/stripReading';
import { SPEED_POINT_D } from '@/core/kinetics/characteristicCurve';
import { LOG_EXPOSURE_PER_STOP } from '@/core/units/stops';
import { formatNumber } from '@/core/units/quantity';
import { GRAPH_FONT, type Inks } from '@/ui/graphPaper';
import { PaperChart, type Paper, type PaperLine } from '@/ui/PaperChart';

const CHART_PX = 340;
const POINT_PX = 4;
const SAMPLES = 80;

/** An arrow up from a density that is a least one, px. */
const ARROW = { length: 26, head: 5 } as const;

function drawAtLeast(ctx: CanvasRenderingContext2D, x: number, y: number): void {
  const tip = y - ARROW.length;
  ctx.beginPath();
  ctx.moveTo(x - ARROW.head, y);
  ctx.lineTo(x + ARROW.head, y);
  ctx.moveTo(x, y);
  ctx.lineTo(x, tip);
  ctx.moveTo(x - ARROW.head, tip + ARROW.head);
  ctx.lineTo(x, tip);
  ctx.lineTo(x + ARROW.head, tip + ARROW.head);
  ctx.stroke();
}

/** The measured characteristic curve on graph paper, with every patch and its error. */
export default function StripCurve({ reading, inStops }: { reading: StripReading; inStops: boolean }) {
  const { curve, steps } = reading;
  const scale = inStops ? LOG_EXPOSURE_PER_STOP : 1;
  const points = useMemo(
    () =>
      steps.flatMap(({ logH, densityD, seD, fault, atLeast = false }) =>
        logH === null || fault !== null ? [] : [{ x: logH / scale, densityD, seD, atLeast }],
      ),
    [steps, scale],
  );
  const [from, to] = [Math.min(...points.map(({ x }) => x)), Math.max(...points.map(({ x }) => x))];
  const lines = useCallback(
    (inks: Inks): PaperLine[] => {
      if (curve === null) return [];
      const densityAt = curveThrough(curve.through);
      // No farther than it was measured: what is beyond has at least some density.
      const [first, last] = [curve.through[0]?.logH ?? 0, curve.through.at(-1)?.logH ?? 0];
      const points = Array.from({ length: SAMPLES + 1 }, (_, at) => {
        const logH = first + ((last - first) * at) / SAMPLES;
        return { x: logH / scale, y: densityAt(logH) };
      });
      return [{ points, borderColor: inks.chem, borderWidth: 2 }];
    },
    [curve, scale],
  );
  const marks = useCallback(
    (paper: Paper, inks: Inks): void => {
      const { ctx } = paper;
      if (curve === null) return;
      ctx.font = GRAPH_FONT;
      ctx.strokeStyle = inks.ink;
      ctx.fillStyle = inks.ink;
      for (const { x, densityD, seD, atLeast } of points) {
        ctx.lineWidth = 1;
        if (atLeast) {
          drawAtLeast(ctx, paper.x(x), paper.y(densityD));
          continue;
        }
        ctx.beginPath();
        ctx.moveTo(paper.x(x), paper.y(densityD - 2 * seD));
        ctx.lineTo(paper.x(x), paper.y(densityD + 2 * seD));
        ctx.stroke();
        ctx.beginPath();
        ctx.arc(paper.x(x), paper.y(densityD), POINT_PX, 0, 2 * Math.PI);
        ctx.fill();
      }
      const level = (densityD: number, words: string): void => {
        ctx.lineWidth = 1;
        ctx.setLineDash([5, 4]);
        ctx.beginPath();
        ctx.moveTo(paper.left, paper.y(densityD));
        ctx.lineTo(paper.right, paper.y(densityD));
        ctx.stroke();
        ctx.setLineDash([]);
        ctx.textAlign = 'right';
        ctx.fillText(words, paper.right - 8, paper.y(densityD) + 16);
        ctx.textAlign = 'left';
      };
      level(curve.baseFogD, `base + fog ${formatNumber(curve.baseFogD, 2)}`);
      if (curve.speedLogH === null || curve.gradient === null) return;
      const { span, fromD, toD, value } = curve.gradient;
      const [x0, x1] = [curve.speedLogH / scale, (curve.speedLogH + span) / scale];
      // The average gradient, drawn as the slope that it is.
      ctx.strokeStyle = inks.heat;
      ctx.fillStyle = inks.heat;
      ctx.lineWidth = 1.5;
      ctx.beginPath();
      ctx.moveTo(paper.x(x0), paper.y(fromD));
      ctx.lineTo(paper.x(x1), paper.y(toD));
      ctx.stroke();
      ctx.textAlign = 'right';
      ctx.fillText(`gradient ${formatNumber(value, 2)}`, paper.x((x0 + x1) / 2) - 10, paper.y((fromD + toD) / 2) - 6);
      ctx.beginPath();
      ctx.moveTo(paper.x(x0), paper.y(fromD));
      ctx.lineTo(paper.x(x0), paper.bottom);
      ctx.stroke();
      ctx.textAlign = 'left';
      ctx.fillText(`speed point, +${formatNumber(SPEED_POINT_D, 2)}`, paper.x(x0) + 6, paper.bottom - 8);
    },
    [curve, points, scale],
  );
  const x = useMemo(
    () => ({
      title: inStops ? 'stops from the metered exposure' : 'log exposure, against the least',
      min: Math.floor(from),
      max: Math.ceil(to),
    }),
    [inStops, from, to],
  );
  const top = Math.max(1, ...points.map(({ densityD }) => densityD));
  const y = useMemo(() => ({ title: 'density', max: Math.ceil(top * 2 + 0.2) / 2 }), [top]);
  if (curve === null) return null;
  const words = `Characteristic curve through ${points.length} patches, base + fog ${formatNumber(curve.baseFogD, 2)}${curve.gradient === null ? '' : `, average gradient ${formatNumber(curve.gradient.value, 2)}`}.`;
  return (
    <PaperChart name="characteristic-curve" label={words} heightPx={CHART_PX} x={x} y={y} lines={lines} marks={marks} />
  );
}
