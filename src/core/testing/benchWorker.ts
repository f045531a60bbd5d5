import { estimate, fitOf } from '../estimate/estimate';
import { fitEvidence } from '../estimate/fit';
import { analysis } from '../estimate/analysis';
import { emptyTrial, readTrial, trialAnswers, type TrialValues } from '../trial/trial';
import { bigLog } from './bigLog';
import { roomYears, sampleRequest } from './sampleRequest';

/** What the bench measures in a worker of the browser, where these calls run for users: medians, ms. */
export interface WorkerMedians {
  yardstick: number;
  estimate: number;
  analysis: number;
  wholeLog: number;
  /** First fit of ten thousand verdicts, and the next one after one more. */
  longLog: number;
  refit: number;
  /** A trial of 24 strips on two days, read in everything: laid out, and analysed. */
  trialLaid: number;
  trialAnalysed: number;
}

const THREE_PIECES = sampleRequest({
  age: roomYears(25),
  strategy: { id: 'extend' },
  evidence: [
    { kind: 'clip', id: 'clip', timeMin: 12, gradient: 0.42, baseFogD: 0.45, method: 'densities' },
    {
      kind: 'drop',
      id: 'drop',
      rateRatio: 0.6,
      known: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
    },
    { kind: 'verdict', id: 'verdict', timeMin: 14, contrast: -1 },
  ],
});

function median(call: () => unknown, rounds: number): number {
  for (let round = 0; round < rounds / 4; round++) call();
  const times: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const from = performance.now();
    call();
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b)[rounds >> 1] ?? NaN;
}

/** A fixed amount of arithmetic: how fast this machine is at this moment. */
function yardstick(): number {
  let sum = 0;
  for (let i = 1; i < 2_000_000; i++) sum += Math.sqrt(i) / i;
  return sum;
}

function timed<T>(call: () => T): { answer: T; ms: number } {
  const from = performance.now();
  const answer = call();
  return { answer, ms: performance.now() - from };
}

/** Four levels on six rolls. */
function layTrialOut(): TrialValues {
  const read = readTrial(
    {
      ...emptyTrial,
      name: 'Bench',
      levels: ['A', 'B', 'C', 'D'],
      blocks: 6,
      perBlock: 4,
      days: 2,
      measures: ['contrast', 'gradient', 'speed', 'fog', 'grain', 'unevenness'],
    },
    5,
  );
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
}

const trial = layTrialOut();
const readStrips: TrialValues = {
  ...trial,
  strips: trial.strips.map((strip, at) => {
    const value = 0.3 + 0.05 * strip.level + 0.03 * strip.block + 0.001 * ((at * 7919) % 29);
    const values = { contrast: value, gradient: value, speed: value, fog: value, grain: value, unevenness: value };
    return { ...strip, developed: true, values };
  }),
};
const long = bigLog(10_001, 60, 40);
const first = timed(() => fitEvidence(long.slice(0, -1)));
const next = timed(() => fitEvidence(long, null, first.answer));
const log = bigLog(500, 60, 40);
const fit = fitOf(THREE_PIECES);
const medians: WorkerMedians = {
  yardstick: median(yardstick, 40),
  estimate: median(() => estimate(THREE_PIECES), 200),
  analysis: median(() => analysis(THREE_PIECES, fit), 80),
  wholeLog: median(() => fitEvidence(log), 11),
  longLog: first.ms,
  refit: next.ms,
  trialLaid: median(layTrialOut, 40),
  trialAnalysed: median(() => trialAnswers(readStrips), 8),
};
postMessage(medians);
