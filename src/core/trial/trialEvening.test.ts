import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { ordinaryKit } from '../kit/kit';
import type { RecipeLine } from '../brewing/recipe';
import type { RecipeRecord } from '../records/records';
import { demoInputs } from '../testing/demoInputs';
import { emptyTrial, readTrial, trialAnswers, type TrialValues } from './trial';
import {
  dayToDo,
  emptyTrialEvening,
  layOutTrialEvening,
  levelRequests,
  tanksOf,
  type TrialBench,
  type TrialEveningForm,
  type TrialFilm,
} from './trialEvening';
import { SHARED_SHARE, trialMix, withoutAgent } from './trialMix';

const line = (substanceId: 'soda-anhydrous' | 'ascorbic-acid' | 'instant-coffee', perL: number): RecipeLine => ({
  kind: 'substance',
  substanceId,
  perL,
});
const coffee = [line('instant-coffee', 40), line('ascorbic-acid', 16), line('soda-anhydrous', 54)];
const stamps = { createdMs: 1, updatedMs: 1 };
const recipe: RecipeRecord = {
  ...stamps,
  id: 'hut',
  name: 'Hut coffee',
  use: 'film-developer',
  lines: coffee,
  note: '',
};
const bench: TrialBench = { recipes: [recipe], brews: [], kit: ordinaryKit };
const ZERO = Date.UTC(2026, 10, 30);
const NO_FILMS = new Map<string, TrialFilm>();

const laid = (part: Partial<Parameters<typeof readTrial>[0]> = {}): TrialValues => {
  const read = readTrial({ ...emptyTrial, name: 'With and without', ...part }, 5);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};
const form = (trial: TrialValues, part: Partial<TrialEveningForm> = {}): TrialEveningForm => ({
  ...emptyTrialEvening(trial),
  levels: [
    { source: 'recipe:hut', timeMin: 12 },
    { source: 'without:hut', timeMin: 12 },
  ],
  ...part,
});

describe('the mixing of a trial', () => {
  test('what all begin with is weighed once, what differs goes in after it, and every jug is its recipe', () => {
    const volumes = [900, 600];
    const mix = trialMix([
      { name: 'Coffee', lines: coffee, volumeMl: 900 },
      { name: 'Control', lines: withoutAgent(recipe), volumeMl: 600 },
    ]);
    // Soda first, vitamin C after it, coffee last: the first two are alike in both.
    expect(mix.shared?.makesMl).toBeCloseTo(SHARED_SHARE * 1500, 9);
    expect(mix.shared?.amounts.map(({ amount }) => amount)).toEqual([54 * 1.5, 16 * 1.5]);
    expect(mix.levels.map(({ own }) => own.map(({ amount }) => amount))).toEqual([[36], []]);
    mix.levels.forEach(({ sharedMl }, at) => {
      const soda = ((mix.shared?.amounts[0]?.amount ?? 0) * sharedMl) / (mix.shared?.makesMl ?? 1);
      expect(soda / ((volumes[at] as number) / 1000)).toBeCloseTo(54, 9);
    });
    expect(mix.totals.map(({ amount }) => amount)).toEqual([54 * 1.5, 16 * 1.5, 36]);
  });
  test('a soda that differs comes first, so nothing after it is shared', () => {
    const half = [line('instant-coffee', 40), line('ascorbic-acid', 16), line('soda-anhydrous', 27)];
    const mix = trialMix([
      { name: 'Whole', lines: coffee, volumeMl: 300 },
      { name: 'Half', lines: half, volumeMl: 300 },
    ]);
    expect(mix.shared).toBeNull();
    expect(mix.levels.map(({ own }) => own[0]?.amount)).toEqual([54 * 0.3, 27 * 0.3]);
  });
  test('one level shares nothing, and none is nothing', () => {
    expect(trialMix([{ name: 'A', lines: coffee, volumeMl: 300 }]).shared).toBeNull();
    expect(trialMix([])).toEqual({ shared: null, levels: [], totals: [] });
  });
});

describe('the tanks of a trial', () => {
  test('a strip each, or strips of one row and level together; what hangs or is lost is no more', () => {
    const trial = laid({ blocks: 2, perBlock: 4 });
    expect(tanksOf(trial, 0)).toHaveLength(8);
    const together = tanksOf({ ...trial, together: true }, 0);
    expect(together).toHaveLength(4);
    for (const { codes } of together) expect(codes).toHaveLength(2);
    const done = trial.strips.map((strip, at) => (at === 0 ? { ...strip, developed: true } : strip));
    expect(tanksOf({ ...trial, strips: done }, 0)).toHaveLength(7);
    expect(tanksOf({ ...trial, days: [0, 1] }, 1).every(({ block }) => block === 1)).toBe(true);
  });
  test('strips of one tank count as one: as many repeats as tanks', () => {
    const trial = laid({ blocks: 4, perBlock: 4, measures: ['fog'] });
    const strips = trial.strips.map((strip, at) => ({
      ...strip,
      values: { fog: 0.3 + 0.05 * strip.level + 0.02 * strip.block + 0.001 * (at % 3) },
    }));
    const [apart] = trialAnswers({ ...trial, strips });
    const [together] = trialAnswers({ ...trial, strips, together: true });
    expect(together?.means[0]).toBeCloseTo(apart?.means[0] ?? 9, 9);
    // Sixteen strips are eight tanks: fewer degrees of freedom, and a chance that is larger for the same difference.
    expect(together?.comparisons[0]?.p).toBeGreaterThan(apart?.comparisons[0]?.p ?? 1);
  });
});

describe('the evening of a trial', () => {
  test('mixing comes first, then each tank after the one before it, as long as its level takes', () => {
    const trial = laid({ blocks: 1, perBlock: 2 });
    const out = layOutTrialEvening(trial, form(trial, { from: '18:30', reel: 'steel' }), NO_FILMS, bench, ZERO);
    if (!out.ok) throw new Error(out.problems[0]?.message);
    const { items } = out.value.evening;
    const mixing = items.find(({ id }) => id === 'mix all');
    expect([mixing?.startMin, mixing?.endMin]).toEqual([18.5 * 60, 18.5 * 60 + 20]);
    const develop = items.filter(({ what }) => what === 'Develop');
    expect(develop).toHaveLength(2);
    expect((develop[0]?.endMin ?? 0) - (develop[0]?.startMin ?? 0)).toBeCloseTo(12, 1);
    expect(develop[0]?.startMin).toBeGreaterThan((mixing?.endMin ?? 0) + 8);
    const hung = items.find(({ what }) => what === 'Hangs')?.startMin ?? 0;
    expect(develop[1]?.startMin).toBeGreaterThan(hung);
    // Two tanks at a time end sooner.
    const two = layOutTrialEvening(trial, form(trial, { tanks: 2, reel: 'steel' }), NO_FILMS, bench, ZERO);
    expect(two.ok && two.value.evening.endsMin).toBeLessThan(out.value.evening.endsMin);
  });
  test('what is typed wrong is told at its field, and a level that is not developed today is not asked for', () => {
    const trial = laid({ blocks: 1, perBlock: 2 });
    const wrong = layOutTrialEvening(
      trial,
      form(trial, {
        from: 'late',
        tankMl: 9,
        levels: [
          { source: '', timeMin: '' },
          { source: '', timeMin: 12 },
        ],
      }),
      NO_FILMS,
      bench,
      ZERO,
    );
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual(['from', 'tankMl', 'levels.0.timeMin']);
    const over = trial.strips.map((strip) => ({ ...strip, developed: true }));
    const none = layOutTrialEvening({ ...trial, strips: over }, form(trial), NO_FILMS, bench, ZERO);
    expect(none.ok ? [] : none.problems.map(({ path }) => path)).toEqual(['day']);
    // A day that is done leads on to the next.
    const days = laid({ blocks: 2, perBlock: 2, days: 2 });
    const first = days.strips.map((strip) => (strip.block === 0 ? { ...strip, developed: true } : strip));
    expect(dayToDo({ ...days, strips: first })).toBe(1);
    expect(layOutTrialEvening({ ...days, strips: first }, form(days), NO_FILMS, bench, ZERO).ok).toBe(true);
  });
});

test('times come from the estimator: as the same brew would get for that roll, and none for what does not develop', () => {
  const trial = laid();
  const film = demoInputs.roll.id;
  const films = new Map([[film, demoInputs]]);
  const mine = form(trial, { rollId: film });
  const [coffeeRequest, control] = levelRequests(mine, films, bench, ZERO);
  expect(control).toBeNull();
  if (coffeeRequest == null) throw new Error('The recipe has a developer.');
  const { timeMin } = estimate(coffeeRequest);
  const warmer = levelRequests({ ...mine, temperatureC: 24 }, films, bench, ZERO)[0];
  expect(warmer == null ? 0 : estimate(warmer).timeMin).toBeLessThan(timeMin);
  expect(levelRequests({ ...mine, temperatureC: 'warm' }, films, bench, ZERO)).toEqual([null, null]);
  expect(levelRequests({ ...mine, rollId: '' }, films, bench, ZERO)).toEqual([null, null]);
});

describe('levels that differ in more than their brew', () => {
  const trial = laid({ levels: ['Cool', 'Warm'], blocks: 1, perBlock: 2 });
  const film = demoInputs.roll.id;
  const films = new Map([[film, demoInputs]]);
  const levels: TrialEveningForm['levels'] = [
    { source: 'recipe:hut', timeMin: 14, temperatureC: 18, agitationId: 'ten-each-minute', rollId: film },
    { source: 'recipe:hut', timeMin: 9, temperatureC: 24, agitationId: 'continuous', rollId: '' },
  ];
  const timesOf = (varied: TrialEveningForm['varied']): (number | null)[] =>
    levelRequests(form(trial, { rollId: film, varied, levels }), films, bench, ZERO).map(
      (request) => request && estimate(request).timeMin,
    );
  test('each is estimated by its own temperature, agitation or film; what does not differ is as all have it', () => {
    const [same, alike] = timesOf('brew');
    expect(alike).toBe(same);
    const [cool, warm] = timesOf('temperature');
    expect(cool).toBeGreaterThan(same ?? 0);
    expect(warm).toBeLessThan(same ?? 0);
    const [slow, turned] = timesOf('agitation');
    expect(slow).toBe(same);
    expect(turned).toBeLessThan(same ?? 0);
    expect(timesOf('film')).toEqual([same, null]);
  });
  test('a temperature that cannot be is told at its level', () => {
    const wrong = form(trial, {
      varied: 'temperature',
      levels: levels.map((one) => ({ ...one, temperatureC: 'hot' })),
    });
    const out = layOutTrialEvening(trial, wrong, films, bench, ZERO);
    expect(out.ok ? [] : out.problems.map(({ path }) => path)).toEqual([
      'levels.0.temperatureC',
      'levels.1.temperatureC',
    ]);
  });
});
