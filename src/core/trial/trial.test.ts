import { describe, expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import { cases } from '../testing/cases';
import { byLot, layOut } from './trialDesign';
import { smallestSeen } from './trialPower';
import { trialAnswer, type ReadStrip } from './trialAnswer';
import { nextWords } from './trialWords';
import { blindOrder, emptyTrial, readTrial, rowWords, trialAnswers, trialStanding, type TrialValues } from './trial';

/** Strips of a world that is not the model's: heavy tails now and then, blocks of their own, one level moved. */
function world(seed: number, levels: number, blocks: number, sd: number, moved: number): ReadStrip[] {
  return Array.from({ length: levels * blocks }, (_, at) => {
    const [level, block] = [at % levels, Math.floor(at / levels)];
    const tail = seededEven(seed, 900 + at) < 0.05 ? 2 : 0.93;
    const noise = tail * sd * seededNormal(seed, at);
    return { level, block, value: (level === 1 ? moved : 0) + noise + 1.5 * sd * seededNormal(seed, 500 + block) };
  });
}
const share = (worlds: number, holds: (seed: number) => boolean): number =>
  Array.from({ length: worlds }, (_, seed) => holds(seed + 1)).filter(Boolean).length / worlds;

describe('a design', () => {
  test('each roll has each level once, in another order, by a lot that is kept', () => {
    const strips = layOut(4, 3, 4, 7);
    for (const block of [0, 1, 2])
      expect(
        strips
          .filter((strip) => strip.block === block)
          .map(({ level }) => level)
          .sort(),
      ).toEqual([0, 1, 2, 3]);
    expect(layOut(4, 3, 4, 7)).toEqual(strips);
    expect(layOut(4, 3, 4, 8)).not.toEqual(strips);
    expect(new Set(strips.map(({ code }) => code)).size).toBe(12);
  });
  test('short rolls take turns: every level comes equally often, and each pair meets', () => {
    const strips = layOut(3, 3, 2, 1);
    for (const level of [0, 1, 2]) expect(strips.filter((strip) => strip.level === level)).toHaveLength(2);
    const pairs = [0, 1, 2].map((block) =>
      strips
        .filter((strip) => strip.block === block)
        .map(({ level }) => level)
        .sort()
        .join(''),
    );
    expect(new Set(pairs)).toEqual(new Set(['01', '02', '12']));
  });
  test('a lot loses nothing', () => expect(byLot([1, 2, 3, 4], 3, 1).sort()).toEqual([1, 2, 3, 4]));
});

describe('what can be seen', () => {
  test('more strips see less, more levels need more, one strip sees nothing', () => {
    const [three, four, six] = [3, 4, 6].map((n) => smallestSeen(2, n, 0.15) ?? Infinity);
    expect(four).toBeLessThan(three ?? 0);
    expect(six).toBeLessThan(four ?? 0);
    expect(smallestSeen(4, 3, 0.15)).toBeGreaterThan(0);
    expect(smallestSeen(2, 1, 0.15)).toBeNull();
    expect(smallestSeen(2, 3, 0.3)).toBeCloseTo(2 * (three ?? 0), 6);
  });
  test('four times in five it is seen in worlds that are not the model’s', () => {
    const seen = smallestSeen(2, 5, 1) ?? 0;
    const found = share(
      300,
      (seed) => trialAnswer('speed', world(seed, 2, 5, 1, seen), 2, 0, 0.01)?.comparisons[0]?.told === 'different',
    );
    expect(found).toBeGreaterThan(0.72);
    expect(found).toBeLessThan(0.88);
  });
});

describe('the answer', () => {
  test('nothing there: a false alarm is rare, over all three comparisons together', () => {
    const alarms = share(300, (seed) => {
      const answer = trialAnswer('speed', world(seed, 4, 3, 1, 0), 4, 0, 0.01);
      return answer?.comparisons.some(({ told }) => told === 'different') === true;
    });
    expect(alarms).toBeLessThan(0.08);
  });
  test('the interval holds the truth', () => {
    const held = share(300, (seed) => {
      const { low = 0, high = 0 } = trialAnswer('speed', world(seed, 3, 4, 1, 2), 3, 0, 1)?.comparisons[0] ?? {};
      return low < 2 && high > 2;
    });
    expect(held).toBeGreaterThan(0.92);
    expect(held).toBeLessThan(0.99);
  });
  test('rolls too short for every level, on three days that differ: the interval still holds the truth', () => {
    const strips = (seed: number): ReadStrip[] =>
      layOut(3, 9, 2, seed).map(({ level, block }, at) => {
        const day = Math.floor(block / 3);
        const noise =
          seededNormal(seed, at) + 1.5 * seededNormal(seed, 500 + block) + 3 * seededNormal(seed, 700 + day);
        return { level, block, day, value: (level === 1 ? 2 : 0) + noise };
      });
    const answers = Array.from({ length: cases(60, 1000) }, (_, seed) =>
      trialAnswer('speed', strips(seed + 1), 3, 0, 1),
    );
    const held = answers.filter((answer) => {
      const { low = 0, high = 0 } = answer?.comparisons[0] ?? {};
      return low < 2 && high > 2;
    });
    expect(held.length / answers.length).toBeGreaterThan(0.87);
    expect(answers.every((answer) => answer?.daySd !== null)).toBe(true);
    expect(
      trialAnswer(
        'speed',
        strips(1).map(({ day: _day, ...strip }) => strip),
        3,
        0,
        1,
      )?.daySd,
    ).toBeNull();
  });
  test('strips as like as two eggs are alike within the margin; the same scatter with a margin too small is open', () => {
    const strips = world(3, 2, 6, 0.02, 0);
    expect(trialAnswer('speed', strips, 2, 0, 0.33)?.comparisons[0]?.told).toBe('alike');
    expect(trialAnswer('speed', strips, 2, 0, 0.001)?.comparisons[0]?.told).toBe('open');
  });
  test('without a control, or with a strip for each level, nothing is told', () => {
    const strips = world(3, 2, 3, 1, 0);
    expect(
      trialAnswer(
        'fog',
        strips.filter(({ level }) => level === 1),
        2,
        0,
        0.1,
      ),
    ).toBeNull();
    expect(trialAnswer('fog', strips.slice(0, 2), 2, 0, 0.1)).toBeNull();
  });
});

describe('a trial read by one camera', () => {
  const worlds = cases(150, 2000);
  /** True gradients 0.60 and 0.72, as a camera shows them that stretches all of them by one factor. */
  const photographed = (seed: number, lnSd: number, other = 0.72): ReadStrip[] => {
    const stretch = Math.exp(lnSd * seededNormal(seed, 4000));
    return world(seed, 2, 5, 0.035, 0).map(({ level, block, value }) => ({
      level,
      block,
      value: (value + (level === 1 ? other : 0.6)) * stretch,
      camera: { key: 'c', lnSd },
    }));
  };
  const of = (strips: readonly ReadStrip[], margin = 0.06) =>
    trialAnswer('gradient', strips, 2, 0, margin)?.comparisons[0];

  test('its stretch is in the interval, which then holds the truth 19 times in 20; without it, it would not', () => {
    const held = (keep: (strip: ReadStrip) => ReadStrip) =>
      share(worlds, (seed) => {
        const { low = 0, high = 0 } = of(photographed(seed, 0.3, 1.2).map(keep)) ?? {};
        return low < 0.6 && high > 0.6;
      });
    const honest = held((strip) => strip);
    expect(honest).toBeGreaterThan(0.92);
    expect(honest).toBeLessThan(0.99);
    expect(held(({ level, block, value }) => ({ level, block, value }))).toBeLessThan(0.5);
  });
  test('it makes no difference out of none, and takes none away', () => {
    const plain = photographed(7, 0.2).map(({ level, block, value }) => ({ level, block, value }));
    expect(of(photographed(7, 0.2))?.pHolm).toBeCloseTo(of(plain)?.pHolm ?? 9, 12);
    const alarms = share(worlds, (seed) => of(photographed(seed, 0.2, 0.6))?.told === 'different');
    expect(alarms).toBeLessThan(0.08);
    for (let seed = 1; seed < 40; seed++) {
      const { low = 0, high = 0, told } = of(photographed(seed, 0.3, 1.2)) ?? {};
      if (told === 'different') expect(low * high).toBeGreaterThan(0);
    }
  });
  test('levels read by two cameras differ by their stretches too, and are not told to differ', () => {
    const alarms = (named: boolean) =>
      share(worlds, (seed) => {
        const strips = world(seed, 2, 5, 0.035, 0).map(({ level, block, value }) => ({
          level,
          block,
          value: (value + 0.6) * Math.exp(0.15 * seededNormal(seed, 5000 + level)),
          ...(named ? { camera: { key: `c${level}`, lnSd: 0.15 } } : {}),
        }));
        return of(strips)?.told === 'different';
      });
    expect(alarms(true)).toBeLessThan(0.08);
    expect(alarms(false)).toBeGreaterThan(0.3);
  });
  test('more strips narrow the scatter, and not the camera', () => {
    const { nextHalf = 0, difference = 0 } = of(photographed(3, 0.3, 1.2)) ?? {};
    expect(nextHalf).toBeGreaterThan(1.9 * 0.3 * Math.abs(difference));
  });
});

const laid = (): TrialValues => {
  const read = readTrial({ ...emptyTrial, name: 'Coffee or none' }, 5);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

describe('whether to go on', () => {
  const trial = { ...laid(), levels: ['Control', 'Coffee'], margins: { speed: 0.4 } };
  const told = (repeats: number, moved: number, margin = 0.4) =>
    trialAnswer('speed', world(9, 2, repeats, 1, moved), 2, 0, margin);
  test('as many more strips as it says leave an interval no wider than what matters, on the average', () => {
    const settled = [...Array(60).keys()].map((seed) => {
      const open = trialAnswer('speed', world(seed, 2, 4, 1, 0), 2, 0, 0.9)?.comparisons[0];
      if (open?.told !== 'open' || open.moreToTell === null) return null;
      const next = trialAnswer('speed', world(seed + 500, 2, 4 + open.moreToTell, 1, 0), 2, 0, 0.9)?.comparisons[0];
      return next === undefined ? null : (next.high - next.low) / 2 / 0.9;
    });
    const widths = settled.filter((width) => width !== null).sort((a, b) => a - b);
    expect(widths.length).toBeGreaterThan(20);
    expect(widths[widths.length >> 1]).toBeLessThan(1.25);
  });
  test('told is told: it ends; open names the nearest answer; a camera’s doubt is no matter of strips', () => {
    const different = told(6, 30);
    expect(different?.comparisons[0]).toMatchObject({ told: 'different', moreToTell: 0 });
    expect(nextWords({ ...trial, strips: [] }, different === null ? [] : [different])).toBe(
      'All of it is told: the trial can end here.',
    );
    const open = told(4, 0, 0.7);
    expect(open?.comparisons[0]?.told).toBe('open');
    expect(nextWords({ ...trial, strips: [] }, open === null ? [] : [open])).toMatch(
      /^Nearest to an answer is the speed of “Coffee”: about \d+ more strips? of each would settle it\./,
    );
    const stretched = world(3, 2, 4, 0.1, 0.2).map((strip) => ({
      ...strip,
      value: 1 + strip.value,
      camera: { key: 'c', lnSd: 0.9 },
    }));
    const camera = trialAnswer('gradient', stretched, 2, 0, 0.05);
    expect(camera?.comparisons[0]).toMatchObject({ told: 'open', moreToTell: null });
    expect(nextWords({ ...trial, strips: [] }, camera === null ? [] : [camera])).toContain('second exposure');
    expect(nextWords({ ...trial, strips: [] }, [])).toBeNull();
  });
});

describe('a trial', () => {
  test('what is typed wrong is told at its field', () => {
    const wrong = readTrial({ ...emptyTrial, name: ' ', levels: ['A', 'a'], blocks: 'many', measures: [] }, 1);
    const paths = wrong.ok ? [] : wrong.problems.map(({ path }) => path);
    expect(paths).toEqual(expect.arrayContaining(['name', 'levels', 'blocks', 'measures']));
  });
  test('rows lie on so many days as evenly as they go, and on no more than there are rows', () => {
    const onDays = (days: number) => readTrial({ ...emptyTrial, name: 'Days', blocks: 5, days }, 5);
    const two = onDays(2);
    expect(two.ok && two.value.days).toEqual([0, 0, 0, 1, 1]);
    expect(two.ok && rowWords(two.value, 3)).toBe('roll 4, day 2');
    const one = onDays(1);
    expect(one.ok && one.value.days).toBeUndefined();
    expect(one.ok && rowWords(one.value, 3)).toBe('roll or day 4');
    for (const wrong of [6, 0, 1.5]) {
      const read = onDays(wrong);
      expect(read.ok ? [] : read.problems.map(({ path }) => path)).toContain('days');
    }
  });
  test('is blind until every strip was read or is lost, and then answers', () => {
    const trial = laid();
    expect(trialStanding(trial)).toMatchObject({ all: 6, read: 0, blind: true });
    const developed = { ...trial, strips: trial.strips.map((strip) => ({ ...strip, developed: true })) };
    expect(blindOrder(developed)).toHaveLength(6);
    const strips = developed.strips.map((strip, index) =>
      index === 0
        ? { ...strip, lost: 'It stuck' }
        : { ...strip, values: { contrast: strip.level === 0 ? 1 : -1, fog: 0.3 + index / 100 } },
    );
    const done = { ...developed, strips };
    expect(trialStanding(done)).toMatchObject({ read: 5, lost: 1, done: true, blind: false });
    expect(blindOrder(done)).toHaveLength(5);
    const [contrast] = trialAnswers(done);
    expect(contrast?.comparisons[0]).toMatchObject({ level: 0, told: 'different' });
    expect(contrast?.comparisons[0]?.difference).toBeCloseTo(2, 9);
  });
  test('nothing read, nothing told', () => expect(trialAnswers(laid())).toEqual([]));
});
