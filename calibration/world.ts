import { developerFamilies, type DeveloperFamilyId } from '../src/core/chemistry/developerFamilies';
import { completeRequest } from '../src/core/estimate/estimate';
import type { EvidenceInput } from '../src/core/estimate/evidenceSchema';
import type { EstimateRequest, EstimateRequestInput } from '../src/core/estimate/request';
import { standDeveloper } from '../src/core/estimate/stand';
import type { StrategyId } from '../src/core/estimate/strategyIds';
import { storageFactor } from '../src/core/films/effectiveAge';
import { LATENT_IMAGE_LOSS_STOPS_PER_YEAR } from '../src/core/films/speedLoss';
import { BLACK_FOG_D } from '../src/core/outcome/grades';
import { stockFamilies, type StockFamilyId } from '../src/core/films/stockFamilies';
import { agitationSchools, type AgitationSchoolId } from '../src/core/schedule/agitationSchools';
import type { Chance } from '../src/core/testing/chance';

/**
 * What a simulated world is like. What the estimator states as its priors is taken as the true size of each scatter; its
 * relations are not: curves, ageing, fog and tails follow other laws.
 */
export interface World {
  films: readonly StockFamilyId[];
  concentrates: readonly DeveloperFamilyId[];
  schools: readonly AgitationSchoolId[];
  /** A scatter whose middle four fifths are about those of a standard normal. */
  scatter: (luck: Chance) => number;
  /** Gradient against extent (rate × time), rising to one. */
  shapeOf: (luck: Chance) => (extent: number) => number;
  gradientAfter: (fresh: number, lossPerYear: number, age: number) => number;
  fogAfter: (perYear: number, age: number, largest: number) => number;
  /** Share of the fog at an extent, 1 at that of fresh film. */
  fogGrowth: (extent: number) => number;
  maskedBy: (fog: number, largest: number) => number;
  /** Speed lost, stops, from what would be lost in proportion. */
  lossAfter: (proportional: number, luck: Chance) => number;
  handSpread: (school: AgitationSchoolId) => number;
}

/** Spread of ln(density) between cameras of which nothing is known. Our invention, near what the reading of strips states. */
const CAMERA_LN_SD = 0.11;

/** Kinds of evidence that a simulated roll can bring. */
export const evidenceKinds = [
  'leaflet',
  'somebody',
  'own time',
  'clip by densities',
  'clip by picture',
  'clip by eye',
  'drop',
  'fog',
  'sister’s verdict',
] as const;

/** Rolls of the same box that were developed before: one, one that came out black, three. */
export const boxKinds = ['sister of the box', 'black sister of the box', 'three sisters of the box'] as const;
export type BoxKind = (typeof boxKinds)[number];
/** A run of somebody else’s bench on another roll of the stock. */
export const GUEST_RUN = 'run of another bench';
export type EvidenceKind = (typeof evidenceKinds)[number] | typeof GUEST_RUN;

/** Ages that are drawn: how old a roll is made, years. */
export const ageGroups = {
  'under 10': [0, 12],
  '10 to 30': [11, 38],
  'over 30': [34, 80],
} as const;
export type AgeGroup = keyof typeof ageGroups;

/** A simulated roll: what is known of it, and the truth. */
export interface WorldRoll {
  request: EstimateRequest;
  /** The time that the strategy truly asks for, min. */
  trueTimeMin: number;
  piece: (kind: EvidenceKind, timeMin: number, id: string) => EvidenceInput;
  /** The judgement of this roll after so many minutes. */
  verdict: (timeMin: number, id: string) => EvidenceInput;
  /** Age fog of this roll after so many minutes, D: what makes it black. */
  fogAt: (timeMin: number) => number;
  clearBaseD: number;
}

/** What the rolls of a box have in common: the years and the place, as stated and in truth, and how these took to it. */
interface BoxTruth {
  age: EstimateRequestInput['age'];
  trueAge: number;
  fog: number;
  loss: number;
  agedPosition: number;
}

function boxTruth(luck: Chance, world: World, group: AgeGroup): BoxTruth {
  const fog = 0.3 * world.scatter(luck);
  return {
    ...drawAge(luck, group),
    fog,
    loss: 0.5 * fog + 0.15 * luck.normal(),
    agedPosition: 0.85 * world.scatter(luck),
  };
}

const TARGET = 0.58;
const NOW_YEAR = 2026;

/** What belongs to a stock and a developer, and is the same for all its rolls. */
interface StockTruth {
  familyId: StockFamilyId;
  brew: Brew;
  shape: (extent: number) => number;
  freshGradient: number;
  freshExtent: number;
  freshFogD: number;
  faster: number;
  fogRate: number;
  gradientLoss: number;
  baseTimeMin: number;
  q10: number;
  thermometerBias: number;
  agitationId: AgitationSchoolId;
  handRate: number;
  eye: { bias: number; drift: number; judged: number };
}

function stockTruth(luck: Chance, world: World, stand: boolean): StockTruth | null {
  const { scatter } = world;
  const familyId = luck.pick(world.films);
  const film = stockFamilies[familyId];
  const brew = drawBrew(luck, world, stand);
  const agitationId = stand ? 'stand' : luck.pick(world.schools);
  const shape = world.shapeOf(luck);
  const freshGradient = film.maximumGradient * Math.exp(0.15 * scatter(luck));
  const share = TARGET / freshGradient;
  if (share > 0.93) return null;
  const school = agitationSchools[agitationId];
  return {
    familyId,
    brew,
    shape,
    freshGradient,
    freshExtent: extentFor(shape, share),
    freshFogD: film.freshBaseFogD + 0.04 * luck.normal(),
    faster: Math.exp(0.39 * scatter(luck)),
    fogRate: Math.exp(0.31 * luck.normal()),
    gradientLoss: Math.exp(0.31 * luck.normal()),
    baseTimeMin:
      film.referenceTimeMin *
      brew.timeFactor *
      Math.exp(0.16 * scatter(luck)) *
      brew.developerTime *
      Math.exp(0.105 * scatter(luck)),
    q10: brew.q10 * Math.exp(0.1 * luck.normal()),
    thermometerBias: 0.3 * scatter(luck),
    agitationId,
    handRate: school.rateFactor * Math.exp(Math.max(0.03, world.handSpread(agitationId)) * luck.normal()),
    eye: { bias: 0.25 * luck.normal(), drift: 0.15 * luck.normal(), judged: 0 },
  };
}

/** Spread of ln(rate) of somebody else’s bench that no school of movement explains. Our invention, wider than the estimator supposes. */
const GUEST_LN_SD = 0.2;

/** The same film and developer on a bench of somebody else: another hand, thermometer and eye. */
function benchOf(luck: Chance, world: World, stock: StockTruth): StockTruth {
  const school = agitationSchools[stock.agitationId];
  const hand = Math.max(0.03, world.handSpread(stock.agitationId)) * luck.normal();
  return {
    ...stock,
    handRate: school.rateFactor * Math.exp(hand + GUEST_LN_SD * world.scatter(luck)),
    thermometerBias: 0.3 * world.scatter(luck),
    eye: { bias: 0.25 * luck.normal(), drift: 0.15 * luck.normal(), judged: 0 },
  };
}

/** Draws one roll by itself. Rolls that could not reach the target at all are drawn again. */
export function worldRoll(luck: Chance, world: World, strategyId: StrategyId = 'extend', group?: AgeGroup): WorldRoll {
  for (;;) {
    const stock = stockTruth(luck, world, strategyId === 'stand');
    const roll = stock === null ? null : rollOf(luck, world, stock, strategyId, group, 'roll');
    if (roll !== null) return roll;
  }
}

/**
 * Draws rolls of one box, one stock and one developer: the first is asked about, the others lay beside it. They share what
 * happened to the box by other shares than the estimator supposes.
 */
export function worldBox(
  luck: Chance,
  world: World,
  rolls: number,
  strategyId: StrategyId,
  group: AgeGroup,
): [WorldRoll, ...WorldRoll[]] {
  for (;;) {
    const stock = stockTruth(luck, world, strategyId === 'stand');
    if (stock === null) continue;
    const box = boxTruth(luck, world, group);
    const drawn = Array.from({ length: rolls }, (_, n) =>
      rollOf(luck, world, stock, strategyId, group, `roll ${n}`, box, n > 0),
    );
    if (drawn.every((roll) => roll !== null)) return drawn as [WorldRoll, ...WorldRoll[]];
  }
}

/** Draws rolls of one stock in one developer, in the order in which somebody develops them. */
export function worldLog(luck: Chance, world: World, rolls: number, strategyId: StrategyId): WorldRoll[] {
  for (;;) {
    const stock = stockTruth(luck, world, strategyId === 'stand');
    if (stock === null) continue;
    const drawn = Array.from({ length: rolls }, (_, n) =>
      rollOf(luck, world, stock, strategyId, undefined, `roll ${n}`),
    );
    if (drawn.every((roll) => roll !== null)) return drawn;
  }
}

function rollOf(
  luck: Chance,
  world: World,
  stock: StockTruth,
  strategyId: StrategyId,
  group: AgeGroup | undefined,
  rollId: string,
  box: BoxTruth | null = null,
  /** Whether it may be past saving: a roll that was developed already, and taught by that. */
  hopeless = false,
): WorldRoll | null {
  const { scatter } = world;
  const { familyId, brew, shape, freshExtent, agitationId } = stock;
  const film = stockFamilies[familyId];
  const temperatureC = luck.uniform(18, 23);
  const { age, trueAge } = box ?? drawAge(luck, group ?? luck.pick(Object.keys(ageGroups) as AgeGroup[]));
  const request = completeRequest({
    film: { familyId, iso: film.usualIso },
    age,
    developer: brew.developer,
    temperatureC,
    agitationId,
    strategy: { id: strategyId, liftCap: true },
    stockId: 'a stock',
    rollId,
    brewId: `brew of ${rollId}`,
    ...(box === null ? {} : { lotId: 'a box' }),
  });

  const boxFog = box === null ? 1 : Math.exp(box.fog + 0.18 * scatter(luck));
  const boxLoss = box === null ? 1 : Math.exp(box.loss);
  const fogAge = world.fogAfter(
    film.fogDPerYear * stock.faster * stock.fogRate * boxFog,
    trueAge,
    film.maximumDensityD,
  );
  const gradient = world.gradientAfter(
    stock.freshGradient,
    film.gradientLossPerYear * stock.faster * stock.gradientLoss * boxLoss,
    trueAge,
  );
  const agedPosition = box === null ? scatter(luck) : box.agedPosition + 0.5 * scatter(luck);
  const agedRate = Math.exp(Math.min(0.4, 0.005 * trueAge) * agedPosition);
  const warmth = (readC: number): number => stock.q10 ** ((readC + stock.thermometerBias - 20) / 10);
  const nominal = (freshExtent / stock.baseTimeMin) * brew.rate;
  const rate = nominal * brew.mixing(luck) * stock.handRate * agedRate * warmth(temperatureC);
  const run = (): number => Math.exp(0.06 * scatter(luck));
  const fogAt = (timeMin: number, pace: number): number =>
    fogAge * world.fogGrowth((rate * pace * timeMin) / freshExtent);
  const netAt = (timeMin: number, pace: number): number =>
    gradient * shape(rate * pace * timeMin) * world.maskedBy(fogAt(timeMin, pace), film.maximumDensityD);

  // The run to come scatters as well.
  const pace = run();
  const holdMin = freshExtent / (rate * pace);
  const reached = strategyId === 'extend' ? firstTime((timeMin) => netAt(timeMin, pace), TARGET, holdMin) : holdMin;
  if (reached === null && !hopeless) return null;
  const trueTimeMin = reached ?? holdMin;

  const clip = (timeMin: number, method: 'densities' | 'eye', id: string): EvidenceInput => {
    const own = run();
    const trueGradient = netAt(timeMin, own);
    const trueFog = stock.freshFogD + fogAt(timeMin, own);
    const off = stock.eye.bias + stock.eye.drift * (method === 'eye' ? stock.eye.judged++ : 0);
    return {
      kind: 'clip',
      id,
      timeMin: Math.min(300, timeMin),
      gradient:
        method === 'densities'
          ? positive(trueGradient + 0.05 * scatter(luck))
          : positive(trueGradient * (1 + 0.12 * off) + 0.1 * scatter(luck)),
      baseFogD: positive(trueFog + (method === 'densities' ? 0.03 * scatter(luck) : 0.1 * luck.normal())),
      method,
    };
  };
  const chart = (source: 'leaflet' | 'somebody' | 'own', lnSd: number, id: string): EvidenceInput => {
    const own = source === 'own';
    const there = own ? stock.handRate * warmth(temperatureC) : 1;
    const timeMin = (freshExtent / (nominal * there)) * Math.exp(lnSd * scatter(luck));
    return {
      kind: 'chart',
      id,
      timeMin: Math.min(300, Math.max(0.5, timeMin)),
      source,
      setting: { temperatureC: own ? temperatureC : 20, agitationId: own ? agitationId : 'ten-each-minute' },
    };
  };
  let guest: StockTruth | null = null;
  const piece: WorldRoll['piece'] = (kind, timeMin, id) => {
    switch (kind) {
      case 'leaflet':
        return chart('leaflet', 0.12, id);
      case 'somebody':
        return chart('somebody', 0.2, id);
      case 'own time':
        return chart('own', 0.07, id);
      case 'clip by picture': {
        // A camera that nobody knows stretches all of its densities by one factor.
        const read = clip(timeMin * 0.9, 'densities', id);
        const stretch = Math.exp(CAMERA_LN_SD * scatter(luck));
        return read.kind === 'clip'
          ? {
              ...read,
              gradient: positive(read.gradient * stretch),
              baseFogD: positive((read.baseFogD ?? 0) * stretch),
              doubt: { camera: 'a camera', cameraLnSd: CAMERA_LN_SD, ownLnSd: 0.02 },
            }
          : read;
      }
      case 'clip by densities':
        return clip(timeMin * 0.9, 'densities', id);
      case 'clip by eye':
        return clip(timeMin * 0.9, 'eye', id);
      case 'drop': {
        const known = freshExtent / (film.referenceTimeMin * Math.exp(0.19 * scatter(luck)));
        const stockTime = stock.baseTimeMin / (film.referenceTimeMin * brew.timeFactor * brew.developerTime);
        const ratio =
          (rate * run()) /
          ((known / stockTime) * stock.handRate * agedRate * 2.3 ** ((temperatureC + stock.thermometerBias - 20) / 10));
        return {
          kind: 'drop',
          id,
          rateRatio: Math.min(100, Math.max(0.01, ratio * Math.exp(0.15 * scatter(luck)))),
          known: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
        };
      }
      case 'fog':
        return {
          kind: 'fog',
          id,
          timeMin: Math.min(300, timeMin),
          baseFogD: positive(stock.freshFogD + fogAt(timeMin, run()) + 0.03 * scatter(luck)),
          method: 'densities',
        };
      case GUEST_RUN: {
        guest ??= benchOf(luck, world, stock);
        for (;;) {
          const theirs = rollOf(luck, world, guest, strategyId, group, `roll of theirs ${id}`);
          if (theirs === null) continue;
          const { age: theirAge, rollId: theirId, brewId, temperatureC: theirC } = theirs.request;
          const setting = { age: theirAge, rollId: theirId, brewId, temperatureC: theirC, benchId: 'another bench' };
          return { ...theirs.verdict(timeMin, id), setting };
        }
      }
      case 'sister’s verdict': {
        for (;;) {
          const sister = rollOf(luck, world, stock, strategyId, group, `sister of ${rollId} ${id}`);
          if (sister === null) continue;
          const { age: sisterAge, rollId: sisterId, brewId, temperatureC: sisterC } = sister.request;
          return {
            ...sister.verdict(timeMin, id),
            setting: { age: sisterAge, rollId: sisterId, brewId, temperatureC: sisterC },
          };
        }
      }
    }
  };
  const verdict = (timeMin: number, id: string): EvidenceInput => {
    const off = stock.eye.bias + stock.eye.drift * stock.eye.judged++;
    const grade = Math.log(Math.max(0.02, netAt(timeMin, run())) / TARGET) / 0.18 + off + 0.6 * luck.normal();
    return {
      kind: 'verdict',
      id,
      timeMin: Math.min(300, timeMin),
      contrast: Math.max(-2, Math.min(2, Math.round(grade))),
      fogD: null,
    };
  };
  return {
    request,
    trueTimeMin,
    piece,
    verdict,
    fogAt: (timeMin) => fogAt(timeMin, run()),
    clearBaseD: film.freshBaseFogD,
  };
}

/** What a roll of the box taught when it was developed for so long, with its whole setting: black film its fog, other film its verdict. */
export function boxVerdict(
  luck: Chance,
  roll: WorldRoll,
  timeMin: number,
  id: string,
): EvidenceInput & { black: boolean } {
  const { age, rollId, brewId, temperatureC, lotId } = roll.request;
  const setting = { age, rollId, brewId, temperatureC, lotId };
  const black = roll.fogAt(timeMin) + 0.1 * luck.normal() >= BLACK_FOG_D;
  if (!black) return { ...roll.verdict(timeMin, id), setting, black };
  const baseFogD = roll.clearBaseD + BLACK_FOG_D;
  return { kind: 'fog', id, setting, timeMin: Math.min(300, timeMin), baseFogD, method: 'eye', atLeast: true, black };
}

/** The verdict of a simulated roll that was developed for so long, with its whole setting: a line of a log. */
export function verdictOf(roll: WorldRoll, timeMin: number, id: string): EvidenceInput {
  const { age, rollId, brewId, temperatureC } = roll.request;
  return { ...roll.verdict(timeMin, id), setting: { age, rollId, brewId, temperatureC } };
}

const positive = (value: number): number => Math.min(3.9, Math.max(0, value));

/** An age as somebody would state it, and the truth: dated within a few years, or by a window that leaves decades open. */
function drawAge(luck: Chance, group: AgeGroup): { age: EstimateRequestInput['age']; trueAge: number } {
  const [low, high] = ageGroups[group];
  const temperatureC = luck.pick([14, 18, 21, 21, 24] as const);
  const trueC = temperatureC + 2 * luck.normal();
  const factor = storageFactor(trueC, false);
  if (group === 'under 10' && luck.uniform() < 0.3) return { age: { storage: [] }, trueAge: 0 };
  if (luck.uniform() < 0.35) {
    // Undated: any year of a window of ten to forty years is as likely as another.
    const middle = luck.uniform(low, high);
    const half = Math.round(luck.uniform(5, group === 'under 10' ? 6 : 20));
    const from = Math.round(NOW_YEAR - middle - half);
    const to = Math.min(NOW_YEAR - 1, Math.round(NOW_YEAR - middle + half));
    const count = to - from + 1;
    const made = Array.from({ length: count }, (_, index) => ({ year: from + index, weight: 1 / count }));
    const year = from + Math.floor(luck.uniform(0, count));
    const stays = [{ temperatureC, temperatureSdC: 2, humid: false, untilYear: null }];
    return {
      age: { dated: { made, stays, nowYear: NOW_YEAR } },
      trueAge: Math.max(0, NOW_YEAR - year - 3) * factor,
    };
  }
  const years = luck.uniform(Math.max(1, low), high);
  return {
    age: { storage: [{ years, temperatureC, temperatureSdC: 2 }], yearsSd: 2 },
    trueAge: Math.max(0, years + 2 * luck.normal()) * factor,
  };
}

interface Brew {
  developer: EstimateRequest['developer'];
  timeFactor: number;
  q10: number;
  /** True rate of the recipe relative to the base conditions. */
  rate: number;
  /** Scatter of one mixing. */
  mixing: (luck: Chance) => number;
  /** True factor on the class's time. */
  developerTime: number;
}

function drawBrew(luck: Chance, world: World, stand: boolean): Brew {
  const { scatter } = world;
  if (luck.uniform() < 0.5) {
    const familyId = luck.pick(world.concentrates);
    const { referenceParts, timeFactor, dilutionExponent, q10 } = developerFamilies[familyId];
    const { concentrate, water } = referenceParts;
    const thinner = luck.uniform(0.7, 2);
    const planned = {
      concentrate,
      water: Math.max(0, Math.round(((concentrate + water) * thinner - concentrate) * 10) / 10),
    };
    const plain = { kind: 'concentrate' as const, familyId, parts: planned };
    const developer = stand ? standDeveloper(plain) : plain;
    const parts = developer.kind === 'concentrate' ? developer.parts : planned;
    const fraction = (concentrate + water) / concentrate / ((parts.concentrate + parts.water) / parts.concentrate);
    return {
      developer,
      timeFactor,
      q10,
      rate: fraction ** (dilutionExponent + 0.12 * luck.normal()),
      mixing: (own) => Math.exp(0.03 * scatter(own)),
      developerTime: Math.exp(0.16 * scatter(luck)),
    };
  }
  const tea = luck.uniform() < 0.25;
  const strength = luck.uniform(0.6, 1.6) / (stand ? 3 : 1);
  const agentId = tea ? ('black-tea' as const) : ('instant-coffee' as const);
  const ascorbicGPerL = luck.uniform(8, 20) / (stand ? 3 : 1);
  const potency = Math.exp((tea ? 0.5 : 0.25) * scatter(luck));
  return {
    developer: {
      kind: 'improvised',
      agents: [{ agentId, amountPerL: (tea ? 60 : 40) * strength }],
      ascorbicGPerL,
      sodaGPerL: luck.uniform(45, 65) / (stand ? 3 : 1),
      others: [],
    },
    timeFactor: 1.6,
    q10: 2.2,
    rate:
      (strength * potency * (tea ? 0.9 : 1)) ** (0.8 + 0.2 * luck.normal()) *
      (ascorbicGPerL / 16) ** (0.25 + 0.1 * luck.normal()),
    mixing: (own) => Math.exp(0.06 * scatter(own)),
    developerTime: Math.exp((tea ? 0.57 : 0.16) * scatter(luck)),
  };
}

/** Speed that an image has lost after so many room-years, in a world; for tables of losses. */
export function lossIn(world: World, luck: Chance, stopsPerYear: number, age: number): number {
  return world.lossAfter((stopsPerYear + LATENT_IMAGE_LOSS_STOPS_PER_YEAR) * age, luck);
}

/** Extent at which a shape reaches a share. */
function extentFor(shape: (extent: number) => number, share: number): number {
  let low = 0;
  let high = 200;
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (shape(middle) < share) low = middle;
    else high = middle;
  }
  return high;
}

/** Earliest time at which a quantity meets a level, on a fine grid and then by halving; null when it never does. */
function firstTime(of: (timeMin: number) => number, level: number, scaleMin: number): number | null {
  const step = scaleMin / 40;
  for (let timeMin = step; timeMin < 8 * scaleMin; timeMin += step) {
    if (of(timeMin) < level) continue;
    let low = timeMin - step;
    let high = timeMin;
    for (let halving = 0; halving < 30; halving++) {
      const middle = (low + high) / 2;
      if (of(middle) < level) low = middle;
      else high = middle;
    }
    return high;
  }
  return null;
}
