/** Ways to treat old film. */
export const strategyIds = ['hold', 'extend', 'stand'] as const;
export type StrategyId = (typeof strategyIds)[number];
