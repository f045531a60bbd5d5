import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { REFERENCE_BREW_PH } from '../chemistry/ph/brewPh';
import { molesIn } from '../chemistry/substances';
import { ordinaryKit } from '../kit/kit';
import { fineKit, sheetFor } from '../testing/sampleBrew';
import { sampleParts } from '../testing/sampleParts';
import { biohazardIn } from './animalMatter';
import { brewRate, mixingLnSd } from './brewRate';
import { compositionOf, developerOf, phOf } from './composition';
import { formulary, formularyIds, formularyRecipe } from './formulary';
import { recipeShape, type Recipe } from './recipe';
import * as z from 'zod';
import { workbench, sodaForPh } from './workbench';
import {
  fingerprint,
  freeKey,
  initialWorkbench,
  lineForName,
  lineOfKind,
  recipeOfDeveloper,
  reopenedWorkbench,
  workbenchFormSchema,
  type WorkbenchForm,
} from './workbenchForm';

const coffee = (part: Partial<WorkbenchForm> = {}): WorkbenchForm => ({
  ...initialWorkbench(formulary['coffee-standard'], null),
  ...part,
});
const problemsOf = (part: Partial<WorkbenchForm>): { path: string; message: string }[] =>
  workbench(coffee(part), fineKit).problems;
const amountsOf = (sheet: ReturnType<typeof sheetFor>) =>
  Object.fromEntries(sheet.rows.map(({ part }) => [part.name, part.target]));
const withLine = (index: number, part: object): WorkbenchForm['lines'] =>
  coffee().lines.map((line, at) => (at === index ? { ...line, ...part } : line));

test('more than anybody weighs is told at its line, also a hair more', () => {
  const packet = { ...lineOfKind('Packet', 'packet', 'line-9', 'mq-borax'), packetG: 200.0000000000002, makesMl: 100 };
  const huge = coffee({ scaleTo: 'bottle', bottleMl: 100_000, lines: [packet] });
  expect(workbench(huge, fineKit)).toMatchObject({ sheet: null, problems: [{ path: 'lines.line-9.packetG' }] });
  const soda = coffee({
    scaleTo: 'bottle',
    bottleMl: 100_000,
    sodaForm: 'crystals',
    lines: withLine(0, { perL: 1000 }),
  });
  const { problems, sheet } = workbench(soda, fineKit);
  expect(sheet).toBeNull();
  expect(problems[0]?.message).toMatch(/comes to 2\d\d,\d{3} g in this volume, and 200,000 are the most/);
});

/** One can of 440 ml and 50 g of soda: check values of common practice. */
describe('a recipe for one jug', () => {
  const can = (perJug: number): number => (1000 * perJug) / 440;
  const recipe: Recipe = {
    name: 'One can',
    use: 'film-developer',
    note: '',
    makesMl: 440,
    lines: [
      { kind: 'substance', substanceId: 'dark-beer', perL: can(440) },
      { kind: 'substance', substanceId: 'soda-anhydrous', perL: can(50) },
    ],
  };
  test('opens at its volume with its amounts, and not at a tank’s', () => {
    const form = initialWorkbench(recipe, { rollId: 'roll', coverMl: 300, targetC: 30 });
    expect(form).toMatchObject({ scaleTo: 'bottle', bottleMl: 440, oneJug: true });
    const { sheet } = workbench(form, fineKit);
    expect(sheet?.batch.volumeMl).toBe(440);
    expect(sheet?.rows.map(({ part }) => part.target)).toEqual([440, 50].map((amount) => expect.closeTo(amount, 9)));
  });
  test('a plan that has decided a volume goes before it', () => {
    expect(initialWorkbench(recipe, { rollId: 'roll', coverMl: 300, targetC: 30, volumeMl: 550 }).bottleMl).toBe(550);
  });
  test('a draft from before there were such recipes reads as for any volume', () => {
    const older: Partial<WorkbenchForm> = coffee();
    delete older.oneJug;
    expect(workbenchFormSchema.parse(older).oneJug).toBe(false);
  });
});

describe('the formulary', () => {
  test.each(formularyIds.map((id) => [id]))('%s fits the schema, says what it is, and can be laid out', (id) => {
    expect(z.object(recipeShape).safeParse(formularyRecipe(id)).error?.issues ?? []).toEqual([]);
    const sheet = sheetFor(id);
    expect(sheet.batch.volumeMl).toBe(500);
    expect(biohazardIn(sheet.batch.parts.map(({ name }) => name))).toEqual([]);
    expect(sheet.stopped).toBeNull();
  });
  test('what develops film is known to the estimator, except the control; baths are not', () => {
    for (const id of formularyIds) {
      const { use } = formulary[id];
      expect(sheetFor(id).developer === null, id).toBe(use !== 'film-developer' || id === 'control');
    }
  });
  test('half a litre of standard coffee: 27 g soda, 8 g ascorbic acid, 20 g coffee (common practice, halved)', () => {
    expect(amountsOf(sheetFor('coffee-standard'))).toEqual({
      'Washing soda, anhydrous': 27,
      'Ascorbic acid': 8,
      'Instant coffee': 20,
    });
  });
  test('a stop of 50 ml + 950 ml, a syrup of 15.6 ml in 500 (common practice)', () => {
    expect(amountsOf(sheetFor('stop-concentrate', { bottleMl: 1000 }))).toEqual({ 'Stop concentrate': 50 });
    expect(amountsOf(sheetFor('syrup'))['Hydroquinone syrup concentrate']).toBeCloseTo(15.625, 9);
  });
  test('what a packet weighs is not guessed: it is asked for', () => {
    const { problems, sheet } = workbench(initialWorkbench(formulary['one-bath'], null), fineKit);
    expect(sheet).toBeNull();
    expect(problems.map(({ path, message }) => [path, message])).toEqual([
      ['lines.line-0.packetG', 'First part of the kit: type the weight printed on your packet.'],
      ['lines.line-1.packetG', 'Second part of the kit: type the weight printed on your packet.'],
    ]);
  });
  test('half of a packet that makes a litre, and what it makes is the developer at stock strength', () => {
    const sheet = sheetFor('mq-packet');
    expect(sheet.rows[0]?.part.target).toBe(55);
    expect(sheet.developer).toEqual({ kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } });
  });
});

describe('scaling', () => {
  test('to the tank: reels × cover × margin', () => {
    expect(workbench(coffee({ reels: 2, coverMl: 290, marginPercent: 10 }), fineKit).volumeMl).toBeCloseTo(638, 9);
  });
  test('to what is left of the scarcest', () => {
    const { sheet, volumeMl } = workbench(
      coffee({ scaleTo: 'scarcest', scarcestKey: 'line-2', scarcestHave: 30 }),
      fineKit,
    );
    expect(volumeMl).toBe(750);
    expect(sheet?.rows.map(({ part }) => part.target)).toEqual([40.5, 12, 30]);
  });
  test('there and back gives the same amounts, to rounding of the machine', () => {
    fc.assert(
      fc.property(fc.double({ min: 50, max: 5000, noNaN: true }), (bottleMl) => {
        const there = sheetFor('coffee-restrained', { bottleMl });
        const back = there.rows.map(({ part }) => (part.target * 1000) / bottleMl);
        [54, 16, 40, 1].forEach((perL, at) => expect(back[at]).toBeCloseTo(perL, 9));
      }),
    );
  });
});

describe('what lies in the cupboard', () => {
  test('soda crystals in place of anhydrous: 2.70 times the mass, the same brew', () => {
    const dry = sheetFor('coffee-standard');
    const crystals = sheetFor('coffee-standard', { sodaForm: 'crystals' });
    expect((crystals.rows[0]?.part.target ?? 0) / 27).toBeCloseTo(2.7, 2);
    expect(crystals.composition.sodaGPerL).toBeCloseTo(dry.composition.sodaGPerL, 9);
    expect(crystals.solution?.ph).toBeCloseTo(dry.solution?.ph ?? 0, 9);
  });
  test('baking soda taken for it lands near pH 7 and is stopped, with the soda that mends it', () => {
    const { stopped, solution } = sheetFor('coffee-standard', { sodaForm: 'baking' });
    expect(solution?.ph).toBeLessThan(8);
    expect(stopped).toMatchObject({ bakingSoda: true });
    expect(stopped?.mendSodaGPerL).toBeCloseTo(54, 0);
  });
  test('out of the oven it is washing soda: 42.8 g go in for 27', () => {
    const sheet = sheetFor('coffee-standard', { sodaForm: 'oven' });
    expect(sheet.rows[0]).toMatchObject({ part: { target: 27 }, ovenBakingG: expect.closeTo(42.8, 1) });
    expect(sheet.stopped).toBeNull();
  });
  test('ascorbate brings the same moles of ascorbate, and eats less soda', () => {
    const acid = sheetFor('coffee-standard');
    const salt = sheetFor('coffee-standard', { ascorbicForm: 'ascorbate' });
    expect(molesIn('sodium-ascorbate', salt.rows[1]?.part.target ?? 0)).toBeCloseTo(molesIn('ascorbic-acid', 8), 12);
    expect(salt.composition.ascorbicGPerL).toBeCloseTo(16, 9);
    expect(salt.solution?.ph ?? 0).toBeGreaterThan(acid.solution?.ph ?? 99);
  });
  test('effervescent tablets come in halves, say what soda they eat, and lower the pH', () => {
    const sheet = sheetFor('coffee-standard', { ascorbicForm: 'effervescent' });
    expect(sheet.rows[1]).toMatchObject({ part: { unit: 'tablets', target: 8 }, shown: 8 });
    expect(sheet.rows[1]?.tabletsEatSodaG).toBeGreaterThan(5);
    expect(sheet.solution?.ph ?? 0).toBeLessThan(
      sheetFor('coffee-standard', { ascorbicForm: 'tablets' }).solution?.ph ?? 0,
    );
  });
  test('a tablet cannot hold more than it weighs', () => {
    expect(problemsOf({ ascorbicForm: 'tablets', tabletMg: 1000, tabletG: 0.5 })).toEqual([
      { path: 'tabletG', message: expect.stringMatching(/cannot hold 1000 mg/) },
    ]);
  });
});

describe('pH and strength', () => {
  test('the standard brew is the reference: pH as the estimator’s, rate 1', () => {
    const { solution, rate } = sheetFor('coffee-standard');
    expect(solution?.ph).toBeCloseTo(REFERENCE_BREW_PH, 9);
    expect(rate).toBeCloseTo(1, 9);
  });
  test('the control is next to nothing, a third is slower, bromide takes a seventh', () => {
    expect(sheetFor('control').rate).toBeLessThan(0.15);
    expect(sheetFor('coffee-stand').rate ?? 9).toBeLessThan(0.4);
    expect(sheetFor('coffee-restrained').rate).toBeCloseTo(6 / 7, 3);
  });
  test('phenols are mostly ionised at the brew’s pH, ascorbate hardly twice', () => {
    const shares = Object.fromEntries(sheetFor('coffee-standard').shares.map(({ id, share }) => [id, share]));
    expect(shares.phenols).toBeGreaterThan(0.85);
    expect(shares.ascorbate).toBeGreaterThan(0.999);
    expect(shares['ascorbate-twice']).toBeGreaterThan(0.02);
    expect(shares['ascorbate-twice']).toBeLessThan(0.25);
  });
  test('citric stop is sour, borax bath is not; of a bought bath nobody knows', () => {
    expect(sheetFor('stop-citric').solution?.ph).toBeCloseTo(2.1, 0);
    expect(sheetFor('rem-jet-bath').solution?.ph ?? 0).toBeGreaterThan(9);
    expect(sheetFor('fixer-1-4').solution).toBeNull();
  });
  test('more soda never lowers the pH, whatever else is in the jug', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (soda, more, citric) => {
          const ph = (sodaG: number) =>
            phOf(
              compositionOf(
                sampleParts([
                  ['soda-anhydrous', sodaG],
                  ['ascorbic-acid', 8],
                  ['citric-acid', citric],
                  ['instant-coffee', 20],
                  ['bromide', 1],
                ]),
                1000,
              ),
            )?.ph ?? 0;
          expect(ph(soda + more)).toBeGreaterThanOrEqual(ph(soda) - 1e-6);
        },
      ),
    );
  });
  test('the soda that mends brings it to the pH that was wanted; acid beyond all soda is not mended', () => {
    const composition = compositionOf(
      sampleParts([
        ['soda-anhydrous', 5],
        ['ascorbic-acid', 16],
        ['instant-coffee', 40],
      ]),
      1000,
    );
    const soda = sodaForPh(composition, 10) ?? 0;
    expect(phOf({ ...composition, sodaGPerL: soda })?.ph).toBeCloseTo(10, 3);
    expect(
      sodaForPh(
        compositionOf(
          sampleParts([
            ['citric-acid', 400],
            ['instant-coffee', 40],
          ]),
          1000,
        ),
        10,
      ),
    ).toBeNull();
  });
  test('something unknown in the jug leaves the pH unknown', () => {
    const form = coffee();
    const { sheet } = workbench(
      { ...form, lines: [...form.lines, { ...lineForName('moon dust', 'line-9'), perL: 3 }] },
      fineKit,
    );
    expect(sheet?.solution).toBeNull();
    expect(sheet?.composition.unknown).toEqual(['moon dust']);
    expect(sheet?.developer).not.toBeNull();
  });
});

describe('measuring', () => {
  test('amounts come as the scale shows them; a coarse scale is told, with a stock solution', () => {
    const { sheet } = workbench(
      { ...initialWorkbench(formulary['coffee-restrained'], null), scaleTo: 'bottle', bottleMl: 300 },
      ordinaryKit,
    );
    expect(sheet?.rows[0]).toMatchObject({ shown: 16, coarse: null });
    // 0.3 g on a scale to the gram: 10 % would be 3 ml, too little for a cylinder to 5 ml; 1 % is 30 ml, but 1 g is too little to weigh.
    expect(sheet?.rows[3]).toMatchObject({ coarse: { wayOut: null } });
    const better = workbench(
      { ...initialWorkbench(formulary['coffee-restrained'], null), scaleTo: 'bottle', bottleMl: 1000 },
      { ...ordinaryKit, cylinderStepMl: 1 },
    );
    expect(better.sheet?.rows[3]).toMatchObject({ coarse: { wayOut: { per100MlG: 10, takeMl: 10 } } });
  });
  test('a tenth of a gram that the scale cannot show is not told as nothing', () => {
    const { sheet } = workbench(
      { ...initialWorkbench(formulary['coffee-restrained'], null), scaleTo: 'bottle', bottleMl: 200 },
      ordinaryKit,
    );
    expect(sheet?.rows[3]?.shown).toBeCloseTo(0.2, 12);
  });
  test('spoons widen the band; a good scale narrows it', () => {
    const scale = sheetFor('coffee-standard').mixingLnSd ?? 0;
    const spoons = sheetFor('coffee-standard', { measureBy: 'spoons' });
    expect(scale).toBeLessThan(0.05);
    expect(spoons.mixingLnSd).toBeGreaterThan(0.15);
    expect(spoons.rows[2]?.part.how).toBe('spoons');
  });
  test('the spread is that of the parts: coffee alone, to the power 0.8', () => {
    const parts = sampleParts([
      ['soda-anhydrous', 54],
      ['ascorbic-acid', 16],
      ['instant-coffee', 40],
    ]).map((part, at) => ({ ...part, lnSd: at === 2 ? 0.1 : 0 }));
    const spread = mixingLnSd(parts, 1000) ?? 0;
    // 0.8 × 0.1 for the strength, less what more coffee does to the pH.
    expect(Math.sqrt(spread ** 2 - 0.04 ** 2)).toBeGreaterThan(0.06);
    expect(Math.sqrt(spread ** 2 - 0.04 ** 2)).toBeLessThan(0.081);
  });
  test('a bath develops nothing, so it has neither rate nor spread', () => {
    const fixer = compositionOf(sampleParts([['thiosulfate', 200]]), 1000);
    expect(brewRate(fixer, 7)).toBeNull();
    expect(developerOf(fixer)).toBeNull();
    expect(sheetFor('fixer-plain').mixingLnSd).toBeNull();
  });
  test('a thermometer that cannot read the target is told', () => {
    expect(workbench(coffee({ targetC: 20.5 }), { ...ordinaryKit, thermometerStepC: 1 }).sheet?.thermometer).toEqual({
      kind: 'between-marks',
      nearestC: 21,
    });
    expect(
      workbench(coffee({ targetC: 22 }), { ...ordinaryKit, thermometerLowC: 34, thermometerHighC: 42 }).sheet
        ?.thermometer,
    ).toEqual({ kind: 'out-of-range' });
    expect(sheetFor('coffee-standard').thermometer).toBeNull();
  });
});

describe('bad input', () => {
  test('zero and less than zero are told at their line, with its name', () => {
    expect(problemsOf({ lines: withLine(0, { perL: 0 }) })).toEqual([
      {
        path: 'lines.line-0.perL',
        message: expect.stringMatching(/^Washing soda, anhydrous: 0 means nothing to weigh/),
      },
    ]);
    expect(problemsOf({ lines: withLine(0, { perL: -4 }) })).toEqual([
      { path: 'lines.line-0.perL', message: expect.stringMatching(/give a number from 0 to 1000/) },
    ]);
    expect(problemsOf({ lines: withLine(1, { perL: 'a handful' }) })[0]).toMatchObject({ path: 'lines.line-1.perL' });
  });
  test('40 g in 20 ml: how much it takes, and what it wants', () => {
    const { sheet } = workbench(
      { ...coffee({ scaleTo: 'bottle', bottleMl: 20 }), lines: withLine(0, { perL: 1000 * 0.999 }) },
      fineKit,
    );
    const row = sheet?.rows[0]?.undissolved;
    expect(row?.takesG).toBeCloseTo(4.3, 1);
    expect(row?.leastMl).toBeCloseTo(93, 0);
  });
  test('a volume of nothing, a margin of a thousand, no thermometer reading: each at its field', () => {
    expect(problemsOf({ scaleTo: 'bottle', bottleMl: 0 })).toEqual([
      { path: 'bottleMl', message: expect.stringMatching(/20 to 100000 ml/) },
    ]);
    expect(problemsOf({ marginPercent: 1000 }).map(({ path }) => path)).toEqual(['marginPercent']);
    expect(problemsOf({ targetC: '', hotC: 'hot' }).map(({ path }) => path)).toEqual(['targetC', 'hotC']);
  });
  test('what is scarce must be in the recipe', () => {
    expect(problemsOf({ scaleTo: 'scarcest', scarcestKey: 'gone', scarcestHave: 10 })[0]).toMatchObject({
      path: 'scarcestKey',
    });
    expect(problemsOf({ scaleTo: 'scarcest', scarcestKey: 'line-0', scarcestHave: 0 })[0]).toMatchObject({
      path: 'scarcestHave',
    });
  });
  test('a dilution that makes no sense is told at its line', () => {
    const syrup = initialWorkbench(formulary.syrup, null);
    const { problems } = workbench(
      { ...syrup, lines: syrup.lines.map((line) => ({ ...line, concentrateParts: 0 })) },
      fineKit,
    );
    expect(problems).toEqual([
      { path: 'lines.line-0.concentrateParts', message: expect.stringMatching(/parts of concentrate/) },
    ]);
  });
  test('liquids that do not fit into their litre are told at the largest', () => {
    const beer = initialWorkbench(formulary.beer, null);
    const { problems } = workbench(
      { ...beer, lines: [...beer.lines, { ...lineForName('vinegar', 'line-9'), perL: 250 }] },
      fineKit,
    );
    expect(problems).toEqual([
      {
        path: 'lines.line-0.perL',
        message: expect.stringMatching(/^Dark beer: the liquids alone make 1150 ml of each litre/),
      },
    ]);
  });
  test('water that is not hot enough says how hot it must be', () => {
    const { sheet } = workbench({ ...initialWorkbench(formulary['fixer-rapid'], null), hotC: 25, coldC: 10 }, fineKit);
    expect(sheet?.water.problem?.message).toMatch(/heat the water to \d+ °C/);
    expect(sheet?.water.plan.hotMl).toBeNull();
  });
});

describe('forms', () => {
  test('a plan’s developer comes back from its recipe as it was', () => {
    const developer = {
      kind: 'improvised' as const,
      agents: [{ agentId: 'black-tea' as const, amountPerL: 60 }],
      ascorbicGPerL: 16,
      sodaGPerL: 54,
      others: [{ substanceId: 'borax' as const, amountPerL: 5 }],
    };
    const { sheet } = workbench(
      initialWorkbench(recipeOfDeveloper('Tea', developer, 1), {
        rollId: 'r',
        coverMl: 500,
        volumeMl: 600,
        targetC: 21,
      }),
      fineKit,
    );
    expect(sheet?.batch).toMatchObject({ volumeMl: 600, targetC: 21 });
    expect(sheet?.composition.bromideGPerL).toBeCloseTo(1, 9);
    const back = sheet?.developer;
    if (back?.kind !== 'improvised') throw new Error('lost');
    expect(back.sodaGPerL).toBeCloseTo(54, 9);
    expect(back.agents[0]?.amountPerL).toBeCloseTo(60, 9);
    expect(back.others[0]?.amountPerL).toBeCloseTo(5, 9);
    const concentrate = {
      kind: 'concentrate' as const,
      familyId: 'p-aminophenol' as const,
      parts: { concentrate: 1, water: 50 },
    };
    expect(workbench(initialWorkbench(recipeOfDeveloper('x', concentrate, 0), null), fineKit).sheet?.developer).toEqual(
      concentrate,
    );
  });
  test('what was typed stays, unless the recipe or the roll is another one now', () => {
    const tin = { rollId: 'tin', coverMl: 500, targetC: 20 };
    const typed = { ...initialWorkbench(formulary.tea, null), hotC: 71, lines: [], rollId: 'other' };
    expect(reopenedWorkbench(null, formulary.tea, tin)).toMatchObject({ rollId: 'tin', openedFor: 'tin' });
    expect(reopenedWorkbench(typed, formulary.tea, null)).toEqual(typed);
    expect(reopenedWorkbench(typed, formulary.tea, tin)).toMatchObject({
      hotC: 71,
      lines: [],
      rollId: 'tin',
      coverMl: 500,
      openedFor: 'tin',
    });
    // The roll chosen by hand stays over a reload of the same address.
    const moved = { ...reopenedWorkbench(typed, formulary.tea, tin), rollId: 'third' };
    expect(reopenedWorkbench(moved, formulary.tea, tin)).toEqual(moved);
    const changed = reopenedWorkbench(
      moved,
      { ...formulary.tea, name: 'Tea, strong' },
      { ...tin, volumeMl: 600, targetC: 22 },
    );
    expect(changed).toMatchObject({
      name: 'Tea, strong',
      hotC: 71,
      bottleMl: 600,
      targetC: 22,
      scaleTo: 'bottle',
      rollId: 'tin',
    });
    expect(changed.lines).toHaveLength(3);
  });
  test('a typed name is a known substance or a line of its own; keys are never taken twice', () => {
    expect(lineForName('stout', 'k')).toMatchObject({
      kind: 'substance',
      substanceId: 'dark-beer',
      perL: 900,
      unit: 'ml',
    });
    expect(lineForName(' beetroot ', 'k')).toMatchObject({ kind: 'own', name: 'beetroot', perL: '' });
    expect(lineOfKind('Larkholm Fine part A', 'packet', 'k', 'one-bath')).toMatchObject({
      kind: 'packet',
      familyId: 'one-bath',
      packetG: '',
    });
    const thin = {
      ...initialWorkbench({ ...formulary.control, lines: [] }, null),
      lines: [lineOfKind('p-Aminophenol', 'concentrate', 'k', 'p-aminophenol')],
    };
    expect(workbench(thin, fineKit).sheet?.developer).toEqual({
      kind: 'concentrate',
      familyId: 'p-aminophenol',
      parts: { concentrate: 1, water: 25 },
    });
    const lines = coffee().lines.filter(({ key }) => key !== 'line-0');
    expect(lines.map(({ key }) => key)).not.toContain(freeKey(lines));
    expect(fingerprint(formulary.tea)).not.toBe(fingerprint(formulary.beer));
  });
});
