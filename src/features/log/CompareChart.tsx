'use client';

import { useCallback, useMemo } from 'react';
import { outlookGradient } from '@/core/outcome/tankOutlook';
import type { Run } from '@/core/records/records';
import { runProgress } from '@/core/run/runProgress';
import { GRAPH_FONT, roundUp, type Inks } from '@/ui/graphPaper';
import { PaperChart, type Paper, type PaperLine } from '@/ui/PaperChart';

/** Dashes tell the runs apart without colour. */
const DASHES = [[], [9, 5], [2, 4], [12, 4, 2, 4], [5, 3], [1, 3]];

const CHART_PX = 300;
const MARK_PX = 5;

/** The curve of each run as it was pinned, with the minute at which it was poured out. */
export default function CompareChart({ runs, names }: { runs: readonly Run[]; names: readonly string[] }) {
  const curves = useMemo(
    () =>
      runs.map((run) => {
        const at = run.steps.findIndex(({ kind }) => kind === 'develop');
        const tookS = runProgress(run.steps, run.events).tookS[at] ?? null;
        const curve = run.pinned.outlook?.curve ?? [];
        const pouredMin = tookS === null ? null : tookS / 60;
        return { curve, pouredMin, poured: pouredMin === null ? 0 : outlookGradient(curve, pouredMin) };
      }),
    [runs],
  );
  const lines = useCallback(
    (inks: Inks): PaperLine[] =>
      curves.map(({ curve }, index) => ({
        points: curve.map(({ timeMin, net }) => ({ x: timeMin, y: net })),
        borderColor: inks.chem,
        borderWidth: 2,
        borderDash: DASHES[index] ?? [],
      })),
    [curves],
  );
  const marks = useCallback(
    (paper: Paper, inks: Inks): void => {
      const { ctx } = paper;
      ctx.font = GRAPH_FONT;
      ctx.fillStyle = inks.ink;
      curves.forEach(({ curve, pouredMin, poured }, index) => {
        const last = curve.at(-1);
        if (pouredMin === null || last === undefined) return;
        ctx.beginPath();
        ctx.arc(paper.x(pouredMin), paper.y(poured), MARK_PX, 0, 2 * Math.PI);
        ctx.fill();
        ctx.fillText(String(index + 1), paper.x(pouredMin) + 2 * MARK_PX, paper.y(poured) - MARK_PX);
      });
    },
    [curves],
  );
  const points = curves.flatMap(({ curve }) => curve);
  const x = useMemo(
    () => ({ title: 'minutes', max: roundUp(Math.max(1, ...points.map(({ timeMin }) => timeMin))) }),
    [points],
  );
  const y = useMemo(
    () => ({
      title: 'average gradient, net of fog',
      max: Math.ceil(Math.max(0.6, ...points.map(({ net }) => net)) * 5) / 5,
    }),
    [points],
  );
  const words = curves
    .map(({ pouredMin, poured }, index) =>
      pouredMin === null
        ? `${names[index]}: not timed.`
        : `${names[index]}: poured out after ${pouredMin.toFixed(1)} min, predicted gradient ${poured.toFixed(2)}.`,
    )
    .join(' ');
  if (points.length === 0)
    return <p className="mt-1 text-ink2">These runs are from before curves were kept with them.</p>;
  return <PaperChart name="runs-compared" label={words} heightPx={CHART_PX} x={x} y={y} lines={lines} marks={marks} />;
}
