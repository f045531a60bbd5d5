import { chartSourceIds, chartSources } from '@/core/estimate/chartSources';

/** Where a time comes from, as a list. */
export const chartSourceOptions = chartSourceIds.map((value) => ({
  value,
  name: chartSources[value].name,
  hint: `Trusted to ${Math.round(chartSources[value].lnSd * 100)} %`,
}));

/** How a strip is read, side by side. */
export const readingOptions = [
  { value: 'eye', name: 'By eye, against patches' },
  { value: 'densities', name: 'By densities' },
] as const;
