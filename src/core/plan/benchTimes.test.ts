import { describe, expect, test } from 'vitest';
import { demoInputs } from '../testing/demoInputs';
import { learnFrom } from '../learning/learning';
import { noRecords } from '../records/tables';
import { benchTimes } from './benchTimes';

const { NOW, roll, stock, plan } = demoInputs;

describe('times on the bench', () => {
  test('a pinned plan shows what was pinned, whatever was typed since', () => {
    expect(
      benchTimes([{ roll, stock, plan, planDraft: { temperatureC: 30 } }], [], NOW, learnFrom(noRecords(), 2026)),
    ).toEqual([{ rollId: roll.id, timeMin: 15, lowMin: 11, highMin: 20, pinned: true, own: false, poor: false }]);
  });
  test('without a pin the form as last typed is estimated', () => {
    const [cool] = benchTimes(
      [{ roll, stock, plan: undefined, planDraft: { strategyId: 'hold', temperatureC: 18 } }],
      [],
      NOW,
      learnFrom(noRecords(), 2026),
    );
    const [warm] = benchTimes(
      [{ roll, stock, plan: undefined, planDraft: { strategyId: 'hold', temperatureC: 24 } }],
      [],
      NOW,
      learnFrom(noRecords(), 2026),
    );
    expect(cool?.pinned).toBe(false);
    expect(cool?.timeMin).toBeGreaterThan(warm?.timeMin ?? Infinity);
    expect(cool?.lowMin).toBeLessThan(cool?.timeMin ?? 0);
  });
  test('a form that does not read has no time, and a broken draft counts as none', () => {
    expect(
      benchTimes(
        [{ roll, stock, plan: undefined, planDraft: { temperatureC: 'warm' } }],
        [],
        NOW,
        learnFrom(noRecords(), 2026),
      ),
    ).toEqual([]);
    expect(
      benchTimes([{ roll, stock, plan: undefined, planDraft: 'gibberish' }], [], NOW, learnFrom(noRecords(), 2026)),
    ).toHaveLength(1);
  });
});

describe('a bench that is looked at every minute', () => {
  test('fits nothing again for rolls that did not change, however many bring a time of their own', () => {
    const learning = learnFrom(noRecords(), 2026);
    let asked = 0;
    const counting: typeof learning = {
      ...learning,
      fitFor: (request, muted) => {
        asked += 1;
        return learning.fitFor(request, muted);
      },
    };
    const rolls = Array.from({ length: 30 }, (_, at) => ({
      roll: { ...roll, id: `roll-${at}` },
      stock,
      plan: undefined,
      planDraft: { strategyId: 'hold', knownTimeOn: true, knownTimeMin: 8 + at / 10 },
    }));
    const first = benchTimes(rolls, [], NOW, counting);
    expect(asked).toBe(30);
    expect(new Set(first.map(({ timeMin }) => timeMin)).size).toBe(30);
    expect(benchTimes(rolls, [], NOW + 60_000, counting)).toEqual(first);
    expect(asked).toBe(30);
  });
});

describe('a time of one’s own on the bench', () => {
  test('goes before the estimate as soon as it is typed, and keeps the estimate’s band', () => {
    const typed = { ownTimeOn: true, ownTimeMin: 7.55 };
    const [plain, own] = [{ strategyId: 'hold' }, { strategyId: 'hold', ...typed }].flatMap((planDraft) =>
      benchTimes([{ roll, stock, plan: undefined, planDraft }], [], NOW, learnFrom(noRecords(), 2026)),
    );
    expect(own).toMatchObject({ timeMin: 7.55, own: true, lowMin: plain?.lowMin, highMin: plain?.highMin });
    expect(plain?.own).toBe(false);
  });
});
