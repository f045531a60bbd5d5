import { developerFamilies, type DeveloperFamilyId } from '../../chemistry/developerFamilies';
import { completeRequest } from '../../estimate/estimate';
import type { EvidenceInput } from '../../estimate/evidenceSchema';
import type { EstimateRequest, EstimateRequestInput } from '../../estimate/request';
import { stockFamilies, type StockFamilyId } from '../../films/stockFamilies';
import { agitationSchools, type AgitationSchoolId } from '../../schedule/agitationSchools';
import type { Chance } from './chance';

/**
 * Simulated rolls from a generator that is not the estimator's own model: other curve shapes, heavy tails, batch scatter, a
 * thermometer with a bias, fog that grows by another law, eyes that drift. What the estimator states as its priors is taken
 * as the true size of each scatter; its relations are not.
 */
export interface WildRoll {
  request: EstimateRequest;
  /** Time at which the net gradient truly meets the target, min. */
  trueTimeMin: number;
  /** A clip of this roll, developed for so long and read. */
  clip: (timeMin: number, method: 'densities' | 'eye', id: string) => EvidenceInput;
  /** Some other piece of evidence, of a kind that chance decides. */
  anyPiece: (timeMin: number, id: string) => EvidenceInput;
}

const TARGET = 0.58;

const FILMS: readonly StockFamilyId[] = [
  'pan-cubic-slow',
  'pan-cubic-medium',
  'pan-cubic-fast',
  'pan-tabular-medium',
  'pan-tabular-fast',
  'orthochromatic',
  'cine-monochrome-negative',
  'colour-reversal-couplers',
];
const CONCENTRATES: readonly DeveloperFamilyId[] = [
  'mq-borax',
  'phenidone-ascorbate',
  'pq-liquid',
  'hydroquinone-syrup',
  'p-aminophenol',
  'staining',
];
const SCHOOLS: readonly AgitationSchoolId[] = [
  'ten-each-minute',
  'four-each-minute',
  'five-each-half-minute',
  'continuous',
  'every-three-minutes',
];

/** Shapes of gradient against rate × time, each rising to one and reaching a half at the same place. */
const SHAPES: readonly ((x: number, bend: number) => number)[] = [
  // Stretched exponential.
  (x, bend) => -Math.expm1(-Math.LN2 * x ** (1 + 0.22 * bend)),
  // Second order, with a shoulder that comes late.
  (x, bend) => x ** (1.25 + 0.1 * bend) / (1 + x ** (1.25 + 0.1 * bend)),
  // Gompertz, which starts slowly.
  (x, bend) =>
    (Math.exp(-Math.exp(-1.35 * (x - 1) - Math.log(1 / Math.LN2) + 0.05 * bend)) -
      Math.exp(-Math.exp(1.35 - Math.log(1 / Math.LN2)))) /
    (1 - Math.exp(-Math.exp(1.35 - Math.log(1 / Math.LN2)))),
];

/** Draws rolls until one can reach the target at all. */
export function wildRoll(luck: Chance): WildRoll {
  for (;;) {
    const roll = tryRoll(luck);
    if (roll !== null) return roll;
  }
}

function tryRoll(luck: Chance): WildRoll | null {
  const familyId = luck.pick(FILMS);
  const film = stockFamilies[familyId];
  const brew = drawBrew(luck);
  const agitationId = luck.pick(SCHOOLS);
  const temperatureC = luck.uniform(18, 23);
  const years = luck.uniform() < 0.25 ? 0 : luck.uniform(3, 40);
  const storageC = luck.pick([12, 18, 21]);
  const request = completeRequest({
    film: { familyId, iso: film.usualIso },
    age: {
      storage: years === 0 ? [] : [{ years, temperatureC: storageC, temperatureSdC: 2 }],
      yearsSd: years === 0 ? 0 : 2,
    },
    developer: brew.developer,
    temperatureC,
    agitationId,
    strategy: { id: 'extend', liftCap: true },
  });

  // The truth about the stock, its age, and this development.
  const bend = luck.uniform(-1, 1);
  const shape = luck.pick(SHAPES);
  const freshGradient = film.maximumGradient * Math.exp(0.15 * luck.heavy());
  const trueStorageC = storageC + 2 * luck.normal();
  const age = Math.max(0, years + 2 * luck.normal()) * (years === 0 ? 0 : 2.5 ** ((trueStorageC - 21) / 10));
  const worse = Math.exp(0.39 * luck.heavy());
  const fogFresh = film.freshBaseFogD + 0.04 * luck.normal();
  const fogAge = Math.min(
    0.6 * film.maximumDensityD,
    film.fogDPerYear * worse * Math.exp(0.31 * luck.normal()) * age ** 0.95 * 1.1,
  );
  const gradient = freshGradient / (1 + film.gradientLossPerYear * worse * Math.exp(0.31 * luck.normal()) * age);
  const agedRate = Math.exp(Math.min(0.4, 0.005 * age) * luck.heavy());
  const thermometerBias = 0.3 * luck.heavy();
  const stockTime = Math.exp(0.16 * luck.heavy());
  const pairTime = Math.exp(0.105 * luck.heavy());
  const q10 = brew.q10 * Math.exp(0.1 * luck.normal());
  const school = agitationSchools[agitationId];
  const handRate = school.rateFactor * Math.exp(Math.max(0.03, school.rateLnSd) * luck.normal());
  const eye = { bias: 0.25 * luck.normal(), drift: 0.15 * luck.normal(), judged: 0 };

  // Where fresh film reaches the target under the base conditions, on this shape: it anchors the rate.
  const freshExtent = extentFor(shape, bend, Math.min(0.97, TARGET / freshGradient));
  const baseTime = film.referenceTimeMin * brew.timeFactor * stockTime * brew.developerTime * pairTime;
  const rate =
    (freshExtent / baseTime) * brew.rate * handRate * agedRate * q10 ** ((temperatureC + thermometerBias - 20) / 10);
  const run = (): number => Math.exp(0.04 * luck.heavy());
  const fogAt = (timeMin: number, pace: number): number =>
    fogAge * Math.min(2, (rate * pace * timeMin) / freshExtent) ** 0.7;
  const netAt = (timeMin: number, pace: number): number =>
    gradient * shape(rate * pace * timeMin, bend) * Math.max(0, 1 - fogAt(timeMin, pace) / film.maximumDensityD) ** 1.1;

  const trueTimeMin = firstTime((timeMin) => netAt(timeMin, 1), TARGET, baseTime / (rate / (freshExtent / baseTime)));
  if (trueTimeMin === null) return null;

  const clip: WildRoll['clip'] = (timeMin, method, id) => {
    const pace = run();
    const trueGradient = netAt(timeMin, pace);
    const trueFog = fogFresh + fogAt(timeMin, pace);
    if (method === 'densities') {
      return {
        kind: 'clip',
        id,
        timeMin,
        gradient: positive(trueGradient + 0.05 * luck.heavy()),
        baseFogD: positive(trueFog + 0.03 * luck.heavy()),
        method,
      };
    }
    const off = eye.bias + eye.drift * eye.judged++;
    return {
      kind: 'clip',
      id,
      timeMin,
      gradient: positive(trueGradient * (1 + 0.18 * off) + 0.1 * luck.heavy()),
      baseFogD: positive(trueFog + 0.1 * luck.normal()),
      method,
    };
  };
  const verdict = (timeMin: number, id: string): EvidenceInput => {
    const off = eye.bias + eye.drift * eye.judged++;
    const grade = Math.log(Math.max(0.02, netAt(timeMin, run())) / TARGET) / 0.18 + off + 0.6 * luck.normal();
    return { kind: 'verdict', id, timeMin, contrast: Math.max(-2, Math.min(2, Math.round(grade))), fogD: null };
  };
  const pieces: ((timeMin: number, id: string) => EvidenceInput)[] = [
    (timeMin, id) => clip(timeMin * 0.9, 'densities', id),
    (timeMin, id) => clip(timeMin * 0.9, 'eye', id),
    verdict,
    (_timeMin, id) => ({
      kind: 'drop',
      id,
      rateRatio: Math.min(
        100,
        Math.max(
          0.01,
          ((rate * run()) /
            ((freshExtent / (film.referenceTimeMin * stockTime * Math.exp(0.2 * luck.heavy()))) *
              handRate *
              agedRate *
              2.3 ** ((temperatureC + thermometerBias - 20) / 10))) *
            Math.exp(0.15 * luck.heavy()),
        ),
      ),
      known: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
    }),
    (_timeMin, id) => ({
      kind: 'chart',
      id,
      timeMin: Math.min(180, Math.max(0.5, (baseTime / brew.rate) * Math.exp(0.12 * luck.heavy()))),
      source: 'leaflet',
      setting: { temperatureC: 20, agitationId: 'ten-each-minute' },
    }),
    (timeMin, id) => ({
      kind: 'fog',
      id,
      timeMin,
      baseFogD: positive(fogFresh + fogAt(timeMin, run()) + 0.03 * luck.heavy()),
      method: 'densities',
    }),
  ];
  return { request, trueTimeMin, clip, anyPiece: (timeMin, id) => luck.pick(pieces)(timeMin, id) };
}

const positive = (value: number): number => Math.min(3.9, Math.max(0, value));

interface DrawnBrew {
  developer: EstimateRequestInput['developer'];
  timeFactor: number;
  q10: number;
  /** True rate relative to the base conditions. */
  rate: number;
  /** True factor on the class's time. */
  developerTime: number;
}

function drawBrew(luck: Chance): DrawnBrew {
  if (luck.uniform() < 0.5) {
    const familyId = luck.pick(CONCENTRATES);
    const { referenceParts, timeFactor, dilutionExponent, q10 } = developerFamilies[familyId];
    const thinner = luck.uniform(0.7, 2);
    const parts = {
      concentrate: referenceParts.concentrate,
      water:
        Math.round(((referenceParts.concentrate + referenceParts.water) * thinner - referenceParts.concentrate) * 10) /
        10,
    };
    const water = Math.max(0, parts.water);
    const fraction = (referenceParts.concentrate + referenceParts.water) / (referenceParts.concentrate + water);
    return {
      developer: { kind: 'concentrate', familyId, parts: { concentrate: referenceParts.concentrate, water } },
      timeFactor,
      q10,
      rate: fraction ** (dilutionExponent + 0.12 * luck.normal()) * Math.exp(0.03 * luck.heavy()),
      developerTime: Math.exp(0.16 * luck.heavy()),
    };
  }
  const tea = luck.uniform() < 0.25;
  const strength = luck.uniform(0.6, 1.6);
  const agentId = tea ? 'black-tea' : 'instant-coffee';
  const amountPerL = (tea ? 60 : 40) * strength;
  const ascorbicGPerL = luck.uniform(8, 20);
  const potency = Math.exp((tea ? 0.5 : 0.25) * luck.heavy());
  const equivalent = strength * potency * (tea ? 0.9 : 1);
  return {
    developer: {
      kind: 'improvised',
      agents: [{ agentId, amountPerL }],
      ascorbicGPerL,
      sodaGPerL: luck.uniform(45, 65),
    },
    timeFactor: 1.6,
    q10: 2.2,
    rate:
      equivalent ** (0.8 + 0.2 * luck.normal()) *
      (ascorbicGPerL / 16) ** (0.25 + 0.1 * luck.normal()) *
      Math.exp(0.06 * luck.heavy()),
    developerTime: Math.exp((tea ? 0.57 : 0.16) * luck.heavy()),
  };
}

/** Extent at which a shape reaches a share. */
function extentFor(shape: (x: number, bend: number) => number, bend: number, share: number): number {
  let low = 0;
  let high = 200;
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (shape(middle, bend) < share) low = middle;
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
