import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds } from '../chemistry/organicAgents';
import { estimate } from '../estimate/estimate';
import { strategyIds } from '../estimate/strategyIds';
import { demoInputs } from '../testing/demoInputs';
import { sampleBrew } from '../testing/sampleBrew';
import { changeForm, formDeveloperKey, knownTimeForNow } from './changeForm';
import { estimateRequestFor } from './estimateRequestFor';
import { movementFormOf } from '../schedule/movementForm';
import { bursts, seconds } from '../schedule/movement';
import { initialPlanForm, planFormOf, readPlanForm, type PlanForm } from './planForm';
import { thinnedFrom, withStrategy } from './withStrategy';
import { cases } from '../testing/cases';

const { NOW, roll, stock } = demoInputs;
const jugs = [sampleBrew(NOW - 3_600_000)];
const start = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
const known = changeForm(start, { knownTimeOn: true, knownTimeMin: 12 }, jugs);

function bandOf(form: PlanForm): { timeMin: number; width: number } {
  const read = readPlanForm(form, roll, jugs);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const { timeMin, band } = estimate(estimateRequestFor(roll, stock, read.value, null, NOW));
  return { timeMin, width: Math.log(band.highMin / band.lowMin) };
}

describe('a known time belongs to film, developer and dilution', () => {
  test.each<[string, Partial<PlanForm>]>([
    ['a concentrate', { developerKind: 'concentrate' }],
    ['a one-bath', { developerKind: 'one-bath' }],
    ['beer', { agentId: 'dark-beer', agentPerL: 1000 }],
  ])('in %s it says nothing of its own, and the time is as without it', (_what, part) => {
    const there = changeForm(known, part, jugs);
    expect(there.knownTimeOn).toBe(false);
    expect(there.knownTimeMin).toBe('');
    expect(bandOf(there)).toEqual(bandOf(changeForm(start, part, jugs)));
  });
  test('back in its developer it stands as it was typed', () => {
    const away = changeForm(known, { developerKind: 'concentrate' }, jugs);
    const back = changeForm(away, { developerKind: 'improvised' }, jugs);
    expect({ ...back, knownElsewhere: [] }).toEqual(known);
    expect(bandOf(back).timeMin).toBeCloseTo(bandOf(known).timeMin, 9);
  });
  test('two developers each keep their own', () => {
    const other = changeForm(
      changeForm(known, { developerKind: 'concentrate' }, jugs),
      {
        knownTimeOn: true,
        knownTimeMin: 9,
      },
      jugs,
    );
    expect(other).toMatchObject({ knownTimeMin: 9, knownConcentrate: 1, knownWater: 25 });
    expect(changeForm(other, { developerKind: 'improvised' }, jugs).knownTimeMin).toBe(12);
  });
  test('a time for 1+25 stays one for 1+25 when the plan goes to 1+50', () => {
    const at25 = changeForm(
      changeForm(start, { developerKind: 'concentrate' }, jugs),
      { knownTimeOn: true, knownTimeMin: 9 },
      jugs,
    );
    const at50 = changeForm(at25, { waterParts: 50 }, jugs);
    expect(at50.knownWater).toBe(25);
    expect(bandOf(at50).timeMin / bandOf(at25).timeMin).toBeGreaterThan(1.5);
  });
  test('a time for the standard brew is longer in a weaker one, until it is said to be for that', () => {
    const weaker = changeForm(known, { agentPerL: 20 }, jugs);
    expect(bandOf(weaker).timeMin / bandOf(known).timeMin).toBeGreaterThan(1.4);
    const meant = { ...weaker, ...knownTimeForNow(weaker, jugs) };
    expect(bandOf(meant).timeMin).toBeCloseTo(bandOf(known).timeMin, 2);
  });
});

describe('amounts for a jug', () => {
  test('stay the jug’s when its volume changes; amounts for a litre stay the litre’s', () => {
    const inJug = changeForm({ ...start, volumeMl: 500 }, { amountsFor: 'jug' }, jugs);
    const larger = changeForm(changeForm(inJug, { volumeMl: '' }, jugs), { volumeMl: 1000 }, jugs);
    expect(larger.agentPerL).toBeCloseTo(20, 9);
    expect(changeForm({ ...start, volumeMl: 500 }, { volumeMl: 1000 }, jugs).agentPerL).toBe(40);
  });
});

describe('a stand proposes', () => {
  test('what it thinned is told and taken back in one step; what was changed since stays when it is left', () => {
    const typed = {
      ...start,
      developerKind: 'concentrate' as const,
      concentrateFamilyId: 'pq-liquid-high-dilution' as const,
    };
    const own = { ...typed, concentrateParts: 1, waterParts: 9, dilutionText: '1+9' };
    const stand = withStrategy(own, 'stand', []);
    expect(stand.dilutionText).toBe('');
    const back = thinnedFrom(stand);
    expect(back).toMatchObject({ concentrateParts: 1, waterParts: 9, dilutionText: '1+9' });
    const kept = changeForm(stand, back ?? {}, []);
    expect(kept).toMatchObject({ strategyId: 'stand', waterParts: 9 });
    expect(thinnedFrom(kept)).toBeNull();
    const changed = changeForm(stand, { waterParts: 20 }, []);
    expect(withStrategy(changed, 'hold', [])).toMatchObject({ waterParts: 20, agitationId: start.agitationId });
  });
});

describe('a stand in another developer', () => {
  test('is thin there as well, and what was thinned before comes back', () => {
    const stand = withStrategy(start, 'stand', []);
    const there = changeForm(stand, { developerKind: 'concentrate' }, []);
    expect(there).toMatchObject({
      strategyId: 'stand',
      agitationId: 'stand',
      waterParts: 77,
      agentPerL: start.agentPerL,
    });
    expect(bandOf(there).timeMin).toBeGreaterThan(45 - 1e-9);
    expect(withStrategy(there, 'hold', [])).toMatchObject({ waterParts: 25, agitationId: start.agitationId });
    const other = changeForm(there, { concentrateFamilyId: 'hydroquinone-syrup', waterParts: 31 }, []);
    expect(other.waterParts).toBe(95);
  });
});

/** What each field of the form may change besides itself. Everything else stays as it was. */
const DEPENDS: Partial<Record<keyof PlanForm, readonly (keyof PlanForm)[]>> = {
  volumeMl: ['amountsMl', 'agentPerL', 'ascorbicGPerL', 'sodaGPerL', 'bromideGPerL'],
  amountsFor: ['amountsMl'],
};
const KNOWN = [
  'knownTimeOn',
  'knownTimeMin',
  'knownTimeC',
  'knownTimeSource',
  'knownTimeAgitation',
  'knownTimeAged',
  'knownTimeNote',
  'knownConcentrate',
  'knownWater',
  'knownTimeFor',
  'knownElsewhere',
] as const satisfies readonly (keyof PlanForm)[];

const step: fc.Arbitrary<Partial<PlanForm>> = fc.oneof(
  fc.record({
    developerKind: fc.constantFrom('improvised' as const, 'concentrate' as const, 'one-bath' as const, 'jug' as const),
  }),
  fc.record({ agentId: fc.constantFrom(...organicAgentIds) }),
  fc.record({ concentrateFamilyId: fc.constantFrom(...developerFamilyIds) }),
  fc.record({ agentPerL: fc.double({ min: 1, max: 100, noNaN: true }) }),
  fc.record({ sodaGPerL: fc.constantFrom<number | string>(20, 54, 'much') }),
  fc.record({ waterParts: fc.constantFrom<number | string>(9, 25, 100, '') }),
  fc.record({ volumeMl: fc.constantFrom<number | string>(300, 500, 1000, '') }),
  fc.record({ amountsFor: fc.constantFrom('jug' as const, 'litre' as const) }),
  fc.record({ temperatureC: fc.double({ min: 18, max: 24, noNaN: true }) }),
  fc.record({ knownTimeMin: fc.constantFrom<number | string>(8, 12.5, '') }),
  fc.record({ knownTimeOn: fc.boolean() }),
  fc.record({ bromideGPerL: fc.constantFrom<number | string>(0, 1) }),
  fc.record({ ownTimeOn: fc.boolean(), ownTimeMin: fc.constantFrom<number | string>(10, 15) }),
);

describe('walks through the form', () => {
  test('a change moves nothing but what depends on it, and no developer takes another’s time', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 3, maxLength: 10 }), (steps) => {
        let form = start;
        const said = new Map<string, number | string>();
        for (const part of steps) {
          const next = changeForm(form, part, jugs);
          const names = Object.keys(part) as (keyof PlanForm)[];
          const key = formDeveloperKey(next, jugs);
          const free: readonly (keyof PlanForm)[] = [
            ...names,
            ...names.flatMap((name) => DEPENDS[name] ?? []),
            ...KNOWN,
          ];
          for (const name of Object.keys(form) as (keyof PlanForm)[])
            if (!free.includes(name)) expect(next[name], name).toEqual(form[name]);
          if ('knownTimeMin' in part) said.set(key, part.knownTimeMin ?? '');
          expect(next.knownTimeMin).toBe(said.get(key) ?? '');
          if (
            next.amountsFor === 'jug' &&
            form.amountsFor === 'jug' &&
            'volumeMl' in part &&
            next.amountsMl !== null &&
            form.amountsMl !== null
          )
            expect(Number(next.agentPerL) * next.amountsMl).toBeCloseTo(Number(form.agentPerL) * form.amountsMl, 6);
          form = next;
        }
      }),
      { numRuns: cases(400, 2000), seed: 11 },
    );
  });
  test('a strategy and back again, from wherever a walk ends, is where it began', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 6 }), fc.constantFrom(...strategyIds), (steps, id) => {
        const form = steps.reduce<PlanForm>((now, part) => changeForm(now, part, jugs), start);
        expect(withStrategy(withStrategy(form, id, jugs), form.strategyId, jugs)).toEqual(form);
      }),
      { numRuns: cases(100, 300), seed: 12 },
    );
  });
});

describe('a time that is known with the tank moved as planned', () => {
  const own = movementFormOf({
    name: 'Mine',
    movement: bursts(seconds(30), [60, 'start', seconds(20)]),
  });
  const hold = withStrategy(start, 'hold', jugs);
  const said = changeForm(
    hold,
    {
      movement: own,
      knownTimeOn: true,
      knownTimeMin: 10,
      knownTimeSource: 'own',
      knownTimeAgitation: 'plan',
      knownTimeAged: true,
    },
    jugs,
  );
  const at20 = { ...said, temperatureC: 20, knownTimeC: 20 };
  test('comes back as it is with a movement of one’s own', () => {
    expect(bandOf(at20).timeMin).toBeCloseTo(10, 3);
    // Found once a minute, it would be another.
    expect(bandOf({ ...at20, knownTimeAgitation: 'ten-each-minute' }).timeMin).toBeLessThan(9.9);
  });
  test('survives being pinned and opened again', () => {
    const read = readPlanForm(at20, roll, jugs);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const stamps = { id: 'p', createdMs: 0, updatedMs: 0, rollId: roll.id, pinned: null };
    const opened = planFormOf({ ...stamps, ...read.value }, start);
    expect(bandOf(opened).timeMin).toBeCloseTo(10, 3);
  });
  test('was known with the school, and not with the stand that is chosen afterwards', () => {
    const stand = withStrategy(
      { ...hold, knownTimeOn: true, knownTimeMin: 10, knownTimeAgitation: 'plan' },
      'stand',
      jugs,
    );
    expect(stand.knownTimeAgitation).toBe(hold.agitationId);
  });
});

describe('what cools', () => {
  test('is what stands in the tank, however large the jug is', () => {
    const choices = readPlanForm(
      { ...withStrategy(start, 'hold', jugs), ambientC: 12, temperatureC: 24, volumeMl: 500 },
      roll,
      [],
    );
    if (!choices.ok) throw new Error(choices.problems[0]?.message);
    const time = (volumeMl: number): number =>
      estimate(
        estimateRequestFor(
          roll,
          stock,
          choices.value,
          { ...sampleBrew(NOW), ...choices.value, volumeMl, films: 0, mixedMs: NOW } as never,
          NOW,
        ),
      ).timeMin;
    expect(time(1000)).toBeCloseTo(time(500), 9);
  });
});
