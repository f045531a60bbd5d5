/** Where a chart time comes from, and how far it is trusted: the spread of ln(time). Source: our estimate. */
export const chartSources = {
  leaflet: { name: 'A leaflet', lnSd: 0.12 },
  somebody: { name: 'Somebody else’s time', lnSd: 0.2 },
  own: { name: 'My own time, repeated', lnSd: 0.07 },
} as const;

export type ChartSourceId = keyof typeof chartSources;
export const chartSourceIds = Object.keys(chartSources) as [ChartSourceId, ...ChartSourceId[]];
