import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sampleBrew } from '../testing/sampleBrew';
import { sampleRun } from '../testing/sampleRun';
import { POURS_APART_MIN, planEvening, type EveningJug, type EveningRoll, type EveningWish } from './evening';

const { steps } = sampleRun();
const jug = (id: string, part: Partial<EveningJug> = {}): EveningJug => ({
  id,
  name: 'Hut coffee',
  developer: sampleBrew(0).developer,
  volumeMl: 500,
  films: 0,
  mixedMin: null,
  mixingMin: 15,
  standingMin: 8,
  chosenMin: 1000,
  ...part,
});
const roll = (id: string, part: Partial<EveningRoll> = {}): EveningRoll => ({
  id,
  label: id,
  steps,
  jug: null,
  films: 1,
  begunMin: null,
  ...part,
});
const wish = (part: Partial<EveningWish>): EveningWish => ({
  fromMin: 1110,
  rolls: [roll('a')],
  tanks: 1,
  reelDryMin: 30,
  waterMin: 120,
  temperMin: 30,
  loadMin: 10,
  ...part,
});
const startOf = (evening: ReturnType<typeof planEvening>, id: string): number =>
  evening.items.find((item) => item.id === id)?.startMin ?? Number.NaN;

describe('a jug that stands already', () => {
  const lengthOf = (part: Partial<EveningJug>): number => {
    const evening = planEvening(wish({ rolls: [roll('a', { jug: jug('j', { mixedMin: 870, ...part }) })] }));
    const step = evening.items.find(({ what, lane }) => lane === 'roll:a' && what.startsWith('Develop'));
    return (step?.endMin ?? 0) - (step?.startMin ?? 0);
  };
  test('ages from when its time was chosen, and not twice: chosen as it is poured, the time is the pinned one', () => {
    // Poured at 18:50 or so, four hours after it was mixed.
    expect(lengthOf({ chosenMin: 1120 })).toBeCloseTo(12, 0);
    expect(lengthOf({ chosenMin: 870 })).toBeGreaterThan(18);
  });
  test('a bought one-shot fades as well, and a powder at stock strength does not', () => {
    const family = (familyId: 'p-aminophenol' | 'mq-borax', water: number): EveningJug['developer'] => ({
      kind: 'concentrate',
      familyId,
      parts: { concentrate: 1, water },
    });
    expect(lengthOf({ chosenMin: 870, developer: family('p-aminophenol', 50) })).toBeGreaterThan(13.5);
    expect(lengthOf({ chosenMin: 870, developer: family('mq-borax', 0) })).toBeCloseTo(12, 6);
  });
});

describe('an evening, worked by hand', () => {
  test('one roll: water two hours ahead, mixing, standing, loading, then the baths', () => {
    const evening = planEvening(wish({ rolls: [roll('a', { jug: jug('j') })] }));
    // Hands at 18:30, mixed at 18:45, ready at 18:53; loaded from 18:45, so wet at 18:55.
    expect(startOf(evening, 'j mix')).toBe(1110);
    expect(startOf(evening, 'j stand')).toBe(1125);
    expect(startOf(evening, 'a load')).toBe(1125);
    expect(startOf(evening, 'a 000')).toBe(1135);
    expect(startOf(evening, 'water')).toBe(1110 - 120);
    expect(evening.items.filter(({ ahead }) => ahead).map(({ id }) => id)).toEqual(['water', 'temper']);
    expect(evening.shifts).toEqual([]);
  });
  test('one tank and two rolls: the second waits until its reel is dry, and it says so', () => {
    const evening = planEvening(wish({ rolls: [roll('a'), roll('b')] }));
    const hung = startOf(evening, 'a hang');
    expect(startOf(evening, 'b load')).toBeCloseTo(hung + 30, 9);
    expect(evening.shifts).toMatchObject([{ what: 'b', why: 'tank' }]);
  });
  test('two tanks: the second goes on beside the first, its pours half a minute away from the other’s', () => {
    const evening = planEvening(wish({ rolls: [roll('a'), roll('b')], tanks: 2, loadMin: 1 }));
    expect(startOf(evening, 'b 000')).toBeLessThan(startOf(evening, 'a hang'));
  });
  test('a second film in one jug takes 15/13 of its time and the fading of what it stood (common practice 13, then 15 min)', () => {
    const shared = jug('j', { mixedMin: 1100 });
    const evening = planEvening(
      wish({ rolls: [roll('a', { jug: shared }), roll('b', { jug: shared })], reelDryMin: 0, loadMin: 0 }),
    );
    const develop = (id: string): number => {
      const item = evening.items.find((one) => one.id === `${id} 001`);
      return (item?.endMin ?? 0) - (item?.startMin ?? 0);
    };
    expect(develop('a')).toBeCloseTo(12, 6);
    const stoodH = (startOf(evening, 'b 001') - 1100) / 60;
    expect(develop('b')).toBeCloseTo(12 * (15 / 13) * 2 ** (Math.max(0, stoodH - 0.5) / 4), 6);
  });
  test('a jug that is spent by then is a problem that no moving mends', () => {
    const old = jug('j', { mixedMin: 1110 - 6 * 60, films: 2 });
    expect(planEvening(wish({ rolls: [roll('a', { jug: old })] })).problems).toMatchObject([
      { what: 'a', why: 'spent' },
    ]);
  });
  test('a roll that is in the tank stays where it began, and the rest goes around it', () => {
    const evening = planEvening(wish({ rolls: [roll('b'), roll('a', { begunMin: 1100 })] }));
    expect(startOf(evening, 'a 000')).toBe(1100);
    expect(startOf(evening, 'b load')).toBeCloseTo(startOf(evening, 'a hang') + 30, 9);
  });
});

const anyWish = fc.record({
  fromMin: fc.integer({ min: 0, max: 1439 }),
  tanks: fc.integer({ min: 1, max: 3 }),
  reelDryMin: fc.integer({ min: 0, max: 60 }),
  loadMin: fc.integer({ min: 0, max: 20 }),
  waterMin: fc.integer({ min: 0, max: 300 }),
  temperMin: fc.integer({ min: 0, max: 60 }),
  jugs: fc.array(fc.constantFrom('j', 'k', null), { minLength: 1, maxLength: 6 }),
  developS: fc.array(fc.integer({ min: 60, max: 4500 }), { minLength: 6, maxLength: 6 }),
});

test('whatever is wished: no two pours at once, one film a tank, dry reels, jugs that have stood (property)', () =>
  fc.assert(
    fc.property(anyWish, ({ jugs, developS, ...part }) => {
      const rolls = jugs.map((id, at) =>
        roll(`r${at}`, {
          jug: id === null ? null : jug(id),
          steps: steps.map((step) => (step.kind === 'develop' ? { ...step, durationS: developS[at] ?? 600 } : step)),
        }),
      );
      const asked = wish({ ...part, rolls });
      const evening = planEvening(asked);
      const pours = rolls.map(({ id }) =>
        evening.items.filter(({ pours: p, lane }) => p && lane === `roll:${id}`).map(({ startMin }) => startMin),
      );
      pours.forEach((mine, a) =>
        pours.slice(a + 1).forEach((others) => {
          for (const minute of mine)
            for (const other of others) expect(Math.abs(minute - other)).toBeGreaterThanOrEqual(POURS_APART_MIN - 1e-6);
        }),
      );
      const spans = rolls.map(({ id }) => ({
        fromMin: startOf(evening, `${id} load`),
        toMin: startOf(evening, `${id} hang`) + asked.reelDryMin,
      }));
      for (const { fromMin } of spans)
        expect(
          spans.filter((span) => span.fromMin <= fromMin + 1e-9 && span.toMin > fromMin + 1e-6).length,
        ).toBeLessThanOrEqual(asked.tanks);
      rolls.forEach(({ id, jug: made }) => {
        expect(startOf(evening, `${id} load`)).toBeGreaterThanOrEqual(asked.fromMin - 1e-9);
        if (made === null) return;
        const stands = evening.items.find((item) => item.id === `${made.id} stand`);
        const develops = evening.items.find((item) => item.lane === `roll:${id}` && item.what === 'Develop');
        expect(develops?.startMin ?? 0).toBeGreaterThanOrEqual((stands?.endMin ?? 0) - 1e-6);
      });
    }),
    { numRuns: 300 },
  ));
