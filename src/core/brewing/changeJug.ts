import * as z from 'zod';
import { concentrateFraction } from '../chemistry/dilution';
import { organicAgentIds } from '../chemistry/organicAgents';
import { substanceIds, substanceOf, type SubstanceId } from '../chemistry/substances';
import { instantMs, limited, nameField } from '../schema/fields';
import { failure, success, type Result } from '../schema/result';
import type { BottlePrice } from './bottleSchema';
import { compositionOf, estimableDeveloper, phOf, type Developer } from './composition';
import type { MadeBrew } from './finishMix';
import { amountOf, type BrewPart } from './part';

/** Something that was done to a jug after it was mixed. */
export const jugChangeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('added'),
    atMs: instantMs,
    substanceId: z.enum(substanceIds),
    /** g, or ml of a liquid. */
    amount: limited('amount', 'Amount'),
  }),
  z.strictObject({ kind: z.literal('water'), atMs: instantMs, ml: limited('jugVolumeMl', 'Water') }),
  z.strictObject({ kind: z.literal('gone'), atMs: instantMs, ml: limited('jugVolumeMl', 'What is gone') }),
  z.strictObject({
    kind: z.literal('joined'),
    atMs: instantMs,
    ml: limited('jugVolumeMl', 'What came in'),
    name: nameField('Name of the brew'),
  }),
]);

export type JugChange = z.infer<typeof jugChangeSchema>;

/** A change that a hand makes to one jug alone. */
export type OneJugChange = Exclude<JugChange, { kind: 'joined' }>;

/** What a change works on: a brew without its identity. */
export type ChangingJug = Pick<
  MadeBrew,
  'use' | 'developer' | 'bromideGPerL' | 'volumeMl' | 'parts' | 'ph' | 'mixingLnSd'
> & { films: number; wornMl?: number | undefined; price?: BottlePrice | undefined };

/** Spread of an amount that somebody added by hand, ln. Source: our estimate. */
const ADDED_LN_SD = 0.03;

/** A jug is not emptied by parts: what is left has to be worth a name, ml. Source: our choice. */
const LEAST_LEFT_ML = 10;

/**
 * A jug after a change: contents, strength, pH and volume follow.
 * @param jug as it stands
 * @param change what was done
 * @returns the jug as it stands then, or why that cannot be
 * Source: amounts in a volume; what is gone takes its share of everything along, and of the films that wore it.
 * @example a gram of bromide in 500 ml: changedJug(jug, { kind: 'added', substanceId: 'bromide', amount: 1, atMs }) // 2 g/l more
 */
export function changedJug<T extends ChangingJug>(jug: T, change: OneJugChange): Result<T> {
  switch (change.kind) {
    case 'gone': {
      const volumeMl = jug.volumeMl - change.ml;
      if (volumeMl < LEAST_LEFT_ML)
        return failure({ path: 'ml', message: `The jug holds ${Math.round(jug.volumeMl)} ml: pour it away instead.` });
      return success(scaled(jug, volumeMl));
    }
    case 'water': {
      const volumeMl = jug.volumeMl + change.ml;
      const share = jug.volumeMl / volumeMl;
      // Water costs nothing: what was paid is spread over more.
      const { price } = jug;
      const spread = price === undefined ? {} : { price: { ...price, forMl: price.forMl / share } };
      if (jug.parts.length > 0) return success(reckoned({ ...jug, volumeMl, ...spread, ...worn(jug) }));
      return success({
        ...jug,
        ...worn(jug),
        ...spread,
        volumeMl,
        ph: null,
        developer: jug.developer === null ? null : thinned(jug.developer, share),
        bromideGPerL: jug.bromideGPerL * share,
      });
    }
    case 'added':
      return jug.parts.length > 0 ? success(reckoned(withPart(jug, change))) : addedUnweighed(jug, change);
  }
}

/**
 * A working solution made from a part of what a jug holds.
 * @param jug as it stands
 * @param takeMl what is taken of it, ml; above 0
 * @param waterMl water that it is thinned with, ml; 0 or more
 * @returns what is left in the jug, and the solution that was made; else why that cannot be
 * Source: amounts in a volume, as in `changedJug`.
 */
export function takenFrom<T extends ChangingJug>(
  jug: T,
  takeMl: number,
  waterMl: number,
): Result<{ left: T; taken: T }> {
  const most = Math.floor(jug.volumeMl - LEAST_LEFT_ML);
  if (takeMl > most)
    return failure({
      path: 'takeMl',
      message: `The jug holds ${Math.round(jug.volumeMl)} ml: take ${Math.max(0, most)} ml at most.`,
    });
  const left = changedJug(jug, { kind: 'gone', atMs: 0, ml: takeMl });
  if (!left.ok) return left;
  const taken = scaled(jug, takeMl);
  const thinner = waterMl === 0 ? success(taken) : changedJug(taken, { kind: 'water', atMs: 0, ml: waterMl });
  return thinner.ok ? success({ left: left.value, taken: thinner.value }) : thinner;
}

/**
 * A jug with another one poured into it.
 * @param into the jug that is kept
 * @param from the jug that is empty then
 * @returns the jug with both: volumes, contents and films add up; else why they do not go together
 * Source: amounts in a volume, as in `changedJug`.
 */
export function joined<T extends ChangingJug>(into: T, from: T): Result<T> {
  const strangers = failure({ path: 'joinId', message: 'These two are not the same kind, so they stay apart.' });
  if (into.use !== from.use || into.developer?.kind !== from.developer?.kind) return strangers;
  const volumeMl = into.volumeMl + from.volumeMl;
  const films = into.films + from.films;
  const worn = films > 0 ? { wornMl: (into.wornMl ?? into.volumeMl) + (from.wornMl ?? from.volumeMl) } : {};
  const both = { ...into, volumeMl, films, ...worn };
  // Where only one of them has a price, nobody knows that of both.
  delete both.price;
  if (into.price !== undefined && from.price !== undefined)
    both.price = { amount: paidFor(into.price, into.volumeMl) + paidFor(from.price, from.volumeMl), forMl: volumeMl };
  if (into.parts.length > 0 && from.parts.length > 0) {
    const parts = [...into.parts];
    for (const part of from.parts) {
      const known = parts.findIndex(({ name, unit }) => name === part.name && unit === part.unit);
      const there = parts[known];
      if (there === undefined) parts.push({ ...part, key: `${part.key}-joined` });
      else
        parts[known] = {
          ...there,
          target: there.target + part.target,
          actual: amountOf(there) + amountOf(part),
          lnSd: Math.max(there.lnSd, part.lnSd),
        };
    }
    return success(reckoned({ ...both, parts }));
  }
  const share = into.volumeMl / volumeMl;
  const developer = mixedDeveloper(into.developer, from.developer, share);
  if (developer === undefined) return strangers;
  return success({
    ...both,
    parts: [],
    ph: null,
    developer,
    bromideGPerL: share * into.bromideGPerL + (1 - share) * from.bromideGPerL,
  });
}

/** Money in a volume, by a price. */
export function paidFor({ amount, forMl }: BottlePrice, ml: number): number {
  return (amount * ml) / forMl;
}

/** Two developers of one kind together, by the share of the first; undefined where they are none. */
function mixedDeveloper(a: Developer | null, b: Developer | null, share: number): Developer | null | undefined {
  const mean = (x: number, y: number): number => share * x + (1 - share) * y;
  if (a === null || b === null) return a === b ? null : undefined;
  if (a.kind === 'one-bath' && b.kind === 'one-bath') return a;
  if (a.kind === 'concentrate' && b.kind === 'concentrate') {
    if (a.familyId !== b.familyId) return undefined;
    const fraction = mean(concentrateFraction(a.parts), concentrateFraction(b.parts));
    return { ...a, parts: { concentrate: 1, water: Number((1 / fraction - 1).toFixed(6)) } };
  }
  if (a.kind !== 'improvised' || b.kind !== 'improvised' || a.others.length + b.others.length > 0) return undefined;
  const ids = new Set([...a.agents, ...b.agents].map(({ agentId }) => agentId));
  const of = (developer: typeof a, id: string): number =>
    developer.agents.find(({ agentId }) => agentId === id)?.amountPerL ?? 0;
  return {
    ...a,
    agents: [...ids].map((agentId) => ({ agentId, amountPerL: mean(of(a, agentId), of(b, agentId)) })),
    ascorbicGPerL: mean(a.ascorbicGPerL, b.ascorbicGPerL),
    sodaGPerL: mean(a.sodaGPerL, b.sodaGPerL),
  };
}

/** A part of what is in a jug, with its share of everything. */
function scaled<T extends ChangingJug>(jug: T, volumeMl: number): T {
  const share = volumeMl / jug.volumeMl;
  return {
    ...jug,
    volumeMl,
    parts: jug.parts.map((part) => ({ ...part, target: part.target * share, actual: amountOf(part) * share })),
    films: jug.films * share,
    ...(jug.wornMl === undefined ? {} : { wornMl: jug.wornMl * share }),
  };
}

/** What films took from a jug stays taken, however much water comes after them. */
function worn({ films, wornMl, volumeMl }: ChangingJug): Pick<ChangingJug, 'wornMl'> {
  return films > 0 ? { wornMl: wornMl ?? volumeMl } : {};
}

function reckoned<T extends ChangingJug>(jug: T): T {
  const composition = compositionOf(jug.parts, jug.volumeMl);
  return {
    ...jug,
    developer: jug.use === 'film-developer' ? estimableDeveloper(composition) : null,
    bromideGPerL: Number(composition.bromideGPerL.toFixed(4)),
    ph: phOf(composition)?.ph ?? null,
  };
}

function withPart<T extends ChangingJug>(jug: T, { substanceId, amount }: Extract<JugChange, { kind: 'added' }>): T {
  const { name, unit } = substanceOf(substanceId);
  const known = jug.parts.findIndex(({ makeup }) => makeup.kind === 'substance' && makeup.substanceId === substanceId);
  const added: BrewPart = {
    key: `added-${jug.parts.length}`,
    name,
    unit,
    target: amount,
    actual: amount,
    how: 'typed',
    lnSd: ADDED_LN_SD,
    makeup: { kind: 'substance', substanceId },
  };
  const parts =
    known < 0
      ? [...jug.parts, added]
      : jug.parts.map((part, index) =>
          index === known ? { ...part, target: part.target + amount, actual: amountOf(part) + amount } : part,
        );
  return unit === 'ml' ? { ...jug, ...worn(jug), parts, volumeMl: jug.volumeMl + amount } : { ...jug, parts };
}

/** A brew that nobody weighed here is known by its developer alone: only what that names can be added to. */
function addedUnweighed<T extends ChangingJug>(
  jug: T,
  { substanceId, amount }: Extract<JugChange, { kind: 'added' }>,
): Result<T> {
  const perL = (amount * 1000) / jug.volumeMl;
  if (substanceId === 'bromide') return success({ ...jug, bromideGPerL: jug.bromideGPerL + perL });
  const { developer } = jug;
  if (developer?.kind === 'improvised') {
    if (substanceId === 'soda-anhydrous')
      return success({ ...jug, developer: { ...developer, sodaGPerL: developer.sodaGPerL + perL } });
    if (substanceId === 'ascorbic-acid')
      return success({ ...jug, developer: { ...developer, ascorbicGPerL: developer.ascorbicGPerL + perL } });
    const agentId = organicAgentIds.find((id) => (id as SubstanceId) === substanceId);
    if (agentId !== undefined && developer.agents.some((agent) => agent.agentId === agentId))
      return success({
        ...jug,
        developer: {
          ...developer,
          agents: developer.agents.map((agent) =>
            agent.agentId === agentId ? { ...agent, amountPerL: agent.amountPerL + perL } : agent,
          ),
        },
      });
  }
  return failure({
    path: 'substanceId',
    message: 'This jug was not weighed here, so only bromide and what its recipe names can be added to it.',
  });
}

function thinned(developer: Developer, share: number): Developer {
  switch (developer.kind) {
    case 'concentrate': {
      const { concentrate, water } = developer.parts;
      return { ...developer, parts: { concentrate, water: (concentrate + water) / share - concentrate } };
    }
    case 'improvised':
      return {
        ...developer,
        agents: developer.agents.map((agent) => ({ ...agent, amountPerL: agent.amountPerL * share })),
        ascorbicGPerL: developer.ascorbicGPerL * share,
        sodaGPerL: developer.sodaGPerL * share,
        others: developer.others.map((other) => ({ ...other, amountPerL: other.amountPerL * share })),
      };
    default:
      return developer;
  }
}
