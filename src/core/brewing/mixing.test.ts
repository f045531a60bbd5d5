import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { brewPartSchema } from './part';
import { batchSchema } from './batch';
import { formularyIds } from './formulary';
import { brewCode, differences, finishMix, labelText } from './finishMix';
import { closeness, mixProgress, standingLeftMs, type MixEvent } from './mixRun';
import { mixSteps, type MixStep } from './mixSteps';
import { fineKit, formFor, sheetFor } from '../testing/sampleBrew';
import { sampleParts } from '../testing/sampleParts';
import { workbench } from './workbench';
import { workWater } from './waterPlan';
import { initialWorkbench, lineForName } from './workbenchForm';
import { formulary } from './formulary';
import { mixRules } from './mixCautions';

const NOW = Date.UTC(2026, 10, 25, 9);
const batch = sheetFor('coffee-restrained').batch;
const steps = mixSteps(batch);
const ids = (list: readonly MixStep[]): string[] => list.map(({ id }) => id);
const done = (
  stepId: string,
  amount: number | null = null,
  atMs = NOW,
  how: 'scale' | 'spoons' = 'scale',
): MixEvent => ({ kind: 'done', stepId, amount, how, atMs });
const cautionIds = (list: readonly MixStep[], id: string): string[] =>
  list.find((step) => step.id === id)?.cautions.map((note) => note.id) ?? [];

describe('the order of mixing (common practice)', () => {
  test('water, soda, ascorbic acid, coffee, restrainer, standing, straining, topping up, measuring', () => {
    expect(ids(steps)).toEqual([
      'water',
      'part:line-0',
      'part:line-1',
      'part:line-2',
      'part:line-3',
      'stand',
      'strain',
      'top-up',
      'measure',
    ]);
    expect(steps[0]).toMatchObject({ target: 375, unit: 'ml' });
    expect(steps[1]).toMatchObject({ target: 27, unit: 'g', title: 'Washing soda, anhydrous' });
    expect(steps[1]?.say.join(' ')).toMatch(/tare.*cakes/);
  });
  test('the home-made fixer: thiosulfate, ammonium chloride, and the metabisulfite last', () => {
    const fixer = mixSteps(sheetFor('fixer-rapid').batch);
    expect(fixer.filter(({ kind }) => kind === 'part').map(({ title }) => title)).toEqual([
      'Sodium thiosulfate, crystals',
      'Ammonium chloride',
      'Potassium metabisulfite',
    ]);
  });
  test('tea steeps before the soda, beer goes in as water, tablets fizz out in a glass', () => {
    expect(ids(mixSteps(sheetFor('tea').batch)).slice(0, 4)).toEqual([
      'water',
      'part:line-0',
      'stand:line-0',
      'part:line-1',
    ]);
    expect(mixSteps(sheetFor('beer').batch)[0]).toMatchObject({ title: 'Dark beer', unit: 'ml' });
    const fizzing = mixSteps(sheetFor('coffee-standard', { ascorbicForm: 'effervescent' }).batch);
    expect(fizzing.find(({ id }) => id === 'stand:line-1')).toMatchObject({ standMin: 5 });
  });
  test('where beer is the water, it is the beer that is warmed or cooled', () => {
    // 50 g of soda warm 440 ml by about 7 °C: 26.7 kJ/mol × 50 g ÷ 106 g/mol ÷ (4.18 J/(ml·K) × 440 ml). Source: CRC Handbook.
    const { plan, problem } = workWater(
      sampleParts([
        ['dark-beer', 440],
        ['soda-anhydrous', 50],
      ]),
      440,
      {
        targetC: 20,
        hotC: 60,
        coldC: 12,
        roomC: 20,
      },
    );
    expect(problem).toBeNull();
    expect(plan).toMatchObject({ firstMl: 0, lastMl: 0 });
    expect(20 - (plan.liquidC ?? 0)).toBeCloseTo(6.85, 1);
  });
  test('powder from a packet starts warm and is cooled down before it is measured', () => {
    const lines = formFor('one-bath').lines.map((line) => ({ ...line, packetG: 100 }));
    const { batch: kit } = sheetFor('one-bath', { lines });
    expect(kit.water).toMatchObject({ firstC: 52 });
    expect(ids(mixSteps(kit)).slice(-2)).toEqual(['cool', 'measure']);
  });
  test('a concentrate goes into its water and waits for nothing', () =>
    expect(ids(mixSteps(sheetFor('syrup').batch))).toEqual(['water', 'part:line-0', 'measure']));
  test.each(formularyIds.map((id) => [id]))(
    '%s: every step has an id of its own, and the batch fits its schema',
    (id) => {
      const made = sheetFor(id).batch;
      const list = ids(mixSteps(made));
      expect(new Set(list).size).toBe(list.length);
      expect(batchSchema.safeParse(made).error?.issues ?? []).toEqual([]);
    },
  );
});

describe('taps, in whatever order', () => {
  const anyTap: fc.Arbitrary<MixEvent> = fc.oneof(
    {
      weight: 4,
      arbitrary: fc
        .record({
          id: fc.constantFrom(...ids(steps), 'part:gone'),
          amount: fc.option(fc.double({ min: 0, max: 5000, noNaN: true })),
        })
        .map(({ id, amount }) => done(id, amount)),
    },
    { weight: 1, arbitrary: fc.constant<MixEvent>({ kind: 'undo', atMs: NOW }) },
  );
  test('what is done is always the beginning of the way; a second tap counts for nothing; undo takes the last one back', () => {
    fc.assert(
      fc.property(fc.array(anyTap, { maxLength: 40 }), (taps) => {
        const { done: made, stepIndex, step } = mixProgress(steps, taps);
        expect(made.map(({ stepId }) => stepId)).toEqual(ids(steps).slice(0, stepIndex));
        expect(step).toBe(steps[stepIndex] ?? null);
        const last = made.at(-1);
        if (last !== undefined) expect(mixProgress(steps, [...taps, last]).stepIndex).toBe(stepIndex);
        expect(mixProgress(steps, [...taps, { kind: 'undo', atMs: NOW }]).stepIndex).toBe(Math.max(0, stepIndex - 1));
      }),
    );
  });
  test('wherever it stands, it can be bottled: what was not weighed counts as laid out', () => {
    fc.assert(
      fc.property(fc.nat({ max: steps.length }), (count) => {
        const taps = steps.slice(0, count).map((step) => done(step.id, step.target));
        const made = finishMix(batch, mixProgress(steps, taps));
        expect(made.parts.map(({ actual, target }) => (actual ?? target) / target)).toEqual(made.parts.map(() => 1));
        expect(made.developer).toEqual(finishMix(batch, mixProgress(steps, [])).developer);
      }),
    );
  });
});

describe('cautions stand at the step where they bite', () => {
  test('mask at the first powder, gloves at the alkali, gas where acid meets carbonate', () => {
    expect(cautionIds(steps, 'water')).toContain('vessels');
    expect(cautionIds(steps, 'part:line-0')).toEqual(['powder-mask', 'alkali-gloves']);
    expect(cautionIds(steps, 'part:line-1')).toEqual(['carbonate-acid']);
    expect(cautionIds(steps, 'part:line-3')).toEqual(['harmful']);
    expect(cautionIds(steps, 'measure')).toContain('label');
  });
  test('metabisulfite gives off its gas, a can is opened before it is warmed, fixer stays from bleach', () => {
    const fixer = mixSteps(sheetFor('fixer-rapid').batch);
    expect(cautionIds(fixer, 'part:line-2')).toContain('sulfite-acid');
    expect(cautionIds(fixer, 'measure')).toContain('bleach');
    expect(cautionIds(mixSteps(sheetFor('beer').batch), 'part:line-0')).toContain('sealed-can');
  });
  test('ammonium salt and alkali are stopped, in either order', () => {
    const mixed = (names: string[]) => {
      const start = initialWorkbench({ ...formulary.control, lines: [] }, null);
      const lines = names.map((name, at) => ({ ...lineForName(name, `line-${at}`), perL: 10 }));
      return mixSteps(workbench({ ...start, lines }, fineKit).sheet?.batch ?? batch).flatMap(({ cautions }) =>
        cautions.map(({ id }) => id),
      );
    };
    expect(mixed(['ammonium chloride', 'washing soda'])).toContain('ammonium-alkali');
    expect(mixed(['lye', 'ammonium chloride'])).toEqual(expect.arrayContaining(['caustic-heat', 'ammonium-alkali']));
    expect(mixed(['washing soda', 'bromide'])).not.toContain('ammonium-alkali');
    expect(mixed(['cow milk'])).toContain('biohazard');
  });
  test('every rule is a whole sentence with an id of its own', () => {
    expect(new Set(mixRules.map(({ id }) => id)).size).toBe(mixRules.length);
    for (const { text } of mixRules) expect(text).toMatch(/\.$/);
  });
});

describe('a mixing as events', () => {
  test('steps follow each other; undo takes back one; a second tap counts for nothing', () => {
    const events = [done('water', 375), done('part:line-0', 27.4), done('part:line-0', 27.4)];
    expect(mixProgress(steps, events)).toMatchObject({ stepIndex: 2, step: { id: 'part:line-1' } });
    expect(mixProgress(steps, [...events, { kind: 'undo', atMs: NOW }])).toMatchObject({
      stepIndex: 1,
      step: { id: 'part:line-0' },
    });
    expect(mixProgress(steps, [{ kind: 'undo', atMs: NOW }])).toMatchObject({ stepIndex: 0, sinceMs: null });
    expect(
      mixProgress(
        steps,
        steps.map(({ id }) => done(id)),
      ).step,
    ).toBeNull();
  });
  test('standing is counted from the instant at which it began, whatever was closed meanwhile', () => {
    const stand = steps.find(({ id }) => id === 'stand') as MixStep;
    expect(standingLeftMs(stand, NOW, NOW + 3 * 60_000)).toBe(5 * 60_000);
    expect(standingLeftMs(stand, NOW, NOW + 60 * 60_000)).toBe(0);
    expect(standingLeftMs(steps[0] as MixStep, NOW, NOW)).toBeNull();
  });
  test('what moves the time by no more than 3 % is good; over and under are told', () => {
    const [, soda, , coffee] = steps as [MixStep, MixStep, MixStep, MixStep];
    expect(coffee).toMatchObject({ title: 'Instant coffee', coarseShare: null });
    // Rate goes with coffee to the power of 0.8, less what its acid takes: a little under 4 % of it.
    const share = ((coffee.tolerance?.high ?? 0) - (coffee.target ?? 0)) / (coffee.target ?? 1);
    expect(share).toBeGreaterThan(0.03);
    expect(share).toBeLessThan(0.06);
    expect([closeness(coffee, 20.4), closeness(coffee, 18), closeness(coffee, 22)]).toEqual(['good', 'under', 'over']);
    expect([closeness(soda, 24), closeness(soda, 30)]).toEqual(['under', 'over']);
  });
  test('a scale too coarse for 3 % of the time is told as a spread', () => {
    const coarse = mixSteps({ ...batch, scaleStepG: 5 });
    const coffee = coarse.find(({ title }) => title === 'Instant coffee') as MixStep;
    expect(coffee.coarseShare).toBeCloseTo(2.5 / 20, 9);
    expect(coffee.tolerance).toEqual({ low: 17.5, high: 22.5 });
  });
});

describe('the brew as it was really mixed', () => {
  const events = [
    done('water', 375),
    done('part:line-0', 27),
    done('part:line-1', 8),
    done('part:line-2', 19.2),
    done('part:line-3', 0.5),
    done('stand'),
    done('strain'),
    done('top-up', 510),
    done('measure', 20.4),
  ];
  const made = finishMix(batch, mixProgress(steps, events));
  test('composition, pH, temperature and volume are those of what went in', () => {
    expect(made).toMatchObject({
      volumeMl: 510,
      temperatureC: 20.4,
      use: 'film-developer',
      name: 'Coffee with restrainer',
    });
    const { developer } = made;
    if (developer?.kind !== 'improvised') throw new Error('lost');
    expect(developer.sodaGPerL).toBeCloseTo(27000 / 510, 9);
    expect(developer.agents[0]?.amountPerL).toBeCloseTo(19200 / 510, 9);
    expect(made.bromideGPerL).toBeCloseTo(500 / 510, 3);
    expect(made.ph).toBeGreaterThan(9.5);
    for (const part of made.parts) expect(brewPartSchema.safeParse(part).success).toBe(true);
  });
  test('what differs from the wish is listed, largest first', () => {
    expect(differences(made.parts)).toEqual([{ name: 'Instant coffee', unit: 'g', target: 20, actual: 19.2 }]);
    expect(differences(sampleParts([['bromide', 1]]))).toEqual([]);
  });
  test('a volume that no jug can have is not believed', () => {
    expect(
      finishMix(
        batch,
        mixProgress(
          steps,
          events.map((event) => ('stepId' in event && event.stepId === 'top-up' ? { ...event, amount: 0.001 } : event)),
        ),
      ).volumeMl,
    ).toBe(500);
  });
  test('nothing measured counts as laid out; spoons leave their spread', () => {
    const plain = finishMix(batch, mixProgress(steps, []));
    expect(plain.volumeMl).toBe(500);
    expect(plain.parts.every(({ actual }) => actual === null)).toBe(true);
    const spooned = finishMix(
      batch,
      mixProgress(
        steps,
        events.map((event) => ('how' in event ? { ...event, how: 'spoons' as const } : event)),
      ),
    );
    expect(spooned.mixingLnSd ?? 0).toBeGreaterThan(made.mixingLnSd ?? 9);
  });
  test('a label says what, when, and that it is no drink; its code is short and the same every time', () => {
    expect(brewCode('some-id')).toMatch(/^[ACDEFHJKLMNPRTUVWXY34679]{4}$/);
    expect(brewCode('some-id')).toBe(brewCode('some-id'));
    expect(new Set(Array.from({ length: 500 }, (_, at) => brewCode(`brew-${at}`))).size).toBeGreaterThan(490);
    const text = labelText({ ...made, code: 'K7F4' }, '25 Nov 2026, 10:00');
    expect(text).toContain('K7F4 Coffee with restrainer');
    expect(text).toContain('Instant coffee 19.2 g');
    expect(text).toMatch(/NOT A DRINK$/);
    // A tenth of a gram of bromide is a fifth of it here.
    expect(
      labelText({ ...made, code: 'K7F4', parts: made.parts.map((part) => ({ ...part, actual: 0.24 })) }, 'today'),
    ).toContain('Potassium bromide 0.24 g');
    expect(
      labelText(
        { ...made, code: 'K7F4', parts: made.parts.map((part) => ({ ...part, unit: 'tablets' as const, actual: 12 })) },
        'today',
      ),
    ).toContain('Instant coffee 12 tablets');
  });
});
