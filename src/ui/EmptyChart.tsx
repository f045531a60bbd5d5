/** Heights of the charts of a roll, px. */
export const chartPx = { gradient: 280, strategies: 300 } as const;

/** Room for a chart and the line under it, so that what stands below stays under the hand when the chart comes. */
export function EmptyChart({ chart }: { chart: keyof typeof chartPx }) {
  return (
    <div aria-hidden>
      <div className="bg-sheet" style={{ height: chartPx[chart] }} />
      <div className="mt-1 text-[13px]">&nbsp;</div>
    </div>
  );
}
