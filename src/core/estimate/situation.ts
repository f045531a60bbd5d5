import { resolveConditions, type Conditions } from './conditions';
import { parameterIds, parameters, type ParameterId, type Scope } from './parameters';
import type { SituationInput } from './situationSchema';

/** A setting as the fit sees it: its conditions, and which unknowns it shares with others. */
export interface Situation {
  conditions: Conditions;
  /** Stock that the setting is about: unknowns of one stock alone are solved apart from the rest. */
  stockId: string;
  /** Unknowns that are in doubt here: the parameter, its spread, and the name under which it is shared. */
  unknowns: readonly { id: ParameterId; sd: number; key: string }[];
}

/**
 * Spread of ln(time) of a pair of stock and developer whose chart time is known: the chart decides, not the family. So wide
 * that a known time comes back to the second. Source: our choice.
 */
const RELEASED_PAIR_LN_SD = 40;

/** Name under which a developer's unknowns are shared: its class, or its set of agents. */
export function developerKey(developer: SituationInput['developer']): string {
  switch (developer.kind) {
    case 'concentrate':
      return developer.familyId;
    case 'improvised':
      return developer.agents
        .filter(({ amountPerL }) => amountPerL > 0)
        .map(({ agentId }) => agentId)
        .sort()
        .join('+');
    case 'one-bath':
      return 'one-bath';
    case 'other':
      return `other ${developer.name.toLowerCase()}`;
  }
}

/** Name of a pair of stock and developer. */
export function pairKey(setting: Pick<SituationInput, 'stockId' | 'developer'>): string {
  return `${setting.stockId}|${developerKey(setting.developer)}`;
}

/**
 * Looks up the tables for a setting and names its unknowns.
 * @param setting a valid setting
 * @param runId name of the run: what happens in one run only is shared with nothing
 * @param released pairs of stock and developer that a chart time decides
 */
export function situationOf(setting: SituationInput, runId: string, released: ReadonlySet<string>): Situation {
  const resolved = resolveConditions(setting);
  const pair = pairKey(setting);
  const conditions = released.has(pair)
    ? { ...resolved, lnSd: { ...resolved.lnSd, pair: RELEASED_PAIR_LN_SD } }
    : resolved;
  const elsewhere = setting.benchId === undefined ? '' : `bench ${setting.benchId} `;
  const owner: Record<Scope, string> = {
    stock: setting.stockId,
    developer: developerKey(setting.developer),
    pair,
    // What a mixing did is hardly more than a scatter: it is followed within a stock, so that the log falls into stocks.
    brew: `${setting.brewId}|${setting.stockId}`,
    // Rolls of one box share where they lay, whatever stock they are; how a stock took it is its own.
    lot: setting.lotId === undefined ? setting.rollId : `box ${setting.lotId}`,
    batch: `box ${setting.lotId ?? ''}|${setting.stockId}`,
    roll: setting.rollId,
    bench: elsewhere,
    // How somebody turns a tank is their own, whatever the school.
    school: `${elsewhere}${setting.movement === undefined ? setting.agitationId : `own ${JSON.stringify(setting.movement)}`}`,
    run: runId,
    camera: '',
  };
  const unknowns = parameterIds.flatMap((id) => {
    const { scope, sd } = parameters[id];
    const width = sd(conditions);
    return width > 0 ? [{ id, sd: width, key: `${id}|${scope}|${owner[scope]}` }] : [];
  });
  return { conditions, stockId: setting.stockId, unknowns };
}
