import * as z from 'zod';

/** A kitchen source of phenolic developing agents. */
export const organicAgentSchema = z.object({
  name: z.string(),
  /** Unit in which it goes into a litre. */
  unit: z.enum(['g', 'ml']),
  /** Grams of instant coffee that one gram (or ml) is worth. */
  potency: z.number().positive(),
  /** Prior spread of ln(potency). */
  potencyLnSd: z.number().positive(),
  /** An amount per litre to start from, in `unit`. */
  usualPerL: z.number().positive(),
});

export type OrganicAgent = z.infer<typeof organicAgentSchema>;

/** Kitchen sources and their worth in instant coffee. Source: our estimate. */
export const organicAgents = {
  'instant-coffee': { name: 'Instant coffee', unit: 'g', potency: 1, potencyLnSd: 0.25, usualPerL: 40 },
  'ground-coffee': { name: 'Ground coffee, brewed', unit: 'g', potency: 0.5, potencyLnSd: 0.4, usualPerL: 80 },
  'black-tea': { name: 'Black tea leaf, brewed', unit: 'g', potency: 0.6, potencyLnSd: 0.5, usualPerL: 60 },
  'green-tea': { name: 'Green tea leaf, brewed', unit: 'g', potency: 0.8, potencyLnSd: 0.5, usualPerL: 50 },
  'red-wine': { name: 'Red wine', unit: 'ml', potency: 0.03, potencyLnSd: 0.6, usualPerL: 900 },
  'dark-beer': { name: 'Dark beer', unit: 'ml', potency: 0.007, potencyLnSd: 0.7, usualPerL: 900 },
  herb: { name: 'Rosemary, mint or thyme, infused', unit: 'g', potency: 0.3, potencyLnSd: 0.7, usualPerL: 100 },
  wood: { name: 'Wood or bark, infused', unit: 'g', potency: 0.3, potencyLnSd: 0.8, usualPerL: 100 },
} as const satisfies Record<string, OrganicAgent>;

export type OrganicAgentId = keyof typeof organicAgents;
export const organicAgentIds = Object.keys(organicAgents) as [OrganicAgentId, ...OrganicAgentId[]];
