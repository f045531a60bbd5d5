import { describe, expect, test } from 'vitest';
import { mixSteps } from '@/core/brewing/mixSteps';
import { formulary } from '@/core/brewing/formulary';
import { labelHazards } from '@/core/brewing/labelHazards';
import { workbench } from '@/core/brewing/workbench';
import { initialWorkbench, lineForName } from '@/core/brewing/workbenchForm';
import { BIOHAZARD } from '@/core/brewing/mixCautions';
import { ordinaryKit } from '@/core/kit/kit';
import { sampleBrew, sheetFor } from '@/core/testing/sampleBrew';
import { jugState } from '@/core/brewing/keeping';
import { defaultSettings } from '@/core/records/tables';
import type { Bench } from '@/data/queries';
import {
  amountWords,
  coldWords,
  differenceWords,
  rowNotes,
  spoonWords,
  stoppedWords,
  thermometerWords,
  waitWords,
  waitingWords,
  waterWords,
} from './brewWords';
import { jugWords, leftWords, mixedWords } from '@/features/words/jugWords';
import { stepAmountWords, stepSpoonWords, toleranceWords } from './stepWords';
import { workbenchStart } from '@/features/brew/useWorkbench';

const metric = { temperature: 'C', volume: 'ml' } as const;
const us = { temperature: 'F', volume: 'floz' } as const;
const HOUR_MS = 3_600_000;

describe('amounts', () => {
  test.each<[Parameters<typeof amountWords>, string]>([
    [[27, 'g', 1, metric], '27.0 g'],
    [[375, 'ml', 0, metric], '375 ml'],
    [[375, 'ml', 0, us], '12.7 fl oz'],
    [[7.8, 'ml', 1, us], '0.264 fl oz'],
    [[2000, 'ml', 0, us], '67.6 fl oz'],
    [[1, 'tablets', 1, metric], '1 tablet'],
    [[8.5, 'tablets', 1, metric], '8.5 tablets'],
  ])('%j is %s', (given, words) => expect(amountWords(...given)).toBe(words));
  test('spoons as a cook says them', () => {
    expect(spoonWords({ tablespoons: 4, teaspoons: 0.5 })).toBe('4 tbsp + ½ tsp');
    expect(spoonWords({ tablespoons: 0, teaspoons: 2.25 })).toBe('2¼ tsp');
    expect(spoonWords({ tablespoons: 1, teaspoons: 0 })).toBe('1 tbsp');
    expect(spoonWords({ tablespoons: 0, teaspoons: 0 })).toBe('less than ¼ tsp');
  });
  test('a difference says what went in for what was wanted', () => {
    expect(differenceWords({ name: 'Washing soda, anhydrous', unit: 'g', target: 27, actual: 25.4 }, metric)).toBe(
      '25.4 g washing soda for 27.0 g',
    );
    expect(differenceWords({ name: 'Potassium bromide', unit: 'g', target: 0.4, actual: 0.5 }, metric)).toBe(
      '0.50 g potassium bromide for 0.40 g',
    );
  });
});

describe('what a row says', () => {
  const notesOf = (...given: Parameters<typeof sheetFor>): string[] => {
    const sheet = sheetFor(...given);
    return sheet.rows.flatMap((row) =>
      rowNotes(row, sheet.batch.volumeMl, given[2] ?? ordinaryKit, metric).map(({ text }) => text),
    );
  };
  test('nothing where nothing is to be said', () => expect(notesOf('coffee-standard')).toEqual([]));
  test('a scale or a cylinder that is too coarse, each with its way out', () => {
    expect(notesOf('coffee-restrained', { bottleMl: 1000 }, { ...ordinaryKit, cylinderStepMl: 1 })).toEqual([
      expect.stringMatching(
        /steps of 1 g is too coarse for 1.00 g: dissolve 10 g in water to make 100 ml, and take 10.0 ml/,
      ),
    ]);
    expect(notesOf('coffee-restrained', { bottleMl: 100 }, ordinaryKit).join(' ')).toMatch(
      /Borrow a finer one, or mix more at once/,
    );
    expect(notesOf('syrup', { bottleMl: 300 }, ordinaryKit)).toEqual([
      'A cylinder in steps of 5 ml is too coarse for 9.38 ml: measure it with a syringe.',
    ]);
  });
  test('volumes follow the unit that was chosen', () => {
    const { rows, batch } = sheetFor('syrup', { bottleMl: 300 });
    expect(rows.flatMap((row) => rowNotes(row, batch.volumeMl, ordinaryKit, us).map(({ text }) => text))).toEqual([
      'A cylinder in steps of 0.169 fl oz is too coarse for 0.317 fl oz: measure it with a syringe.',
    ]);
  });
  test('more than the scale takes goes in portions', () => {
    expect(notesOf('fixer-plain', { bottleMl: 5000 }, { ...ordinaryKit, scaleMostG: 500 })).toEqual([
      'Your scale takes 500 g: weigh it in 3 portions.',
    ]);
  });
  test('the oven, the tablets and the part of a packet', () => {
    expect(notesOf('coffee-standard', { sodaForm: 'oven' })).toEqual([
      expect.stringMatching(/^From 43 g of baking soda\. .*200 °C/),
    ]);
    expect(notesOf('coffee-standard', { ascorbicForm: 'effervescent' })).toEqual([
      expect.stringMatching(/uses up 6\.\d g of washing soda/),
    ]);
    expect(notesOf('mq-packet')).toEqual(['50 % of the packet.']);
  });
  test('an animal fluid that somebody typed is a biohazard at its own line', () => {
    const form = initialWorkbench(formulary['coffee-standard'], null);
    const { sheet } = workbench(
      { ...form, lines: [...form.lines, { ...lineForName('Cow milk', 'line-9'), perL: 3 }] },
      ordinaryKit,
    );
    const notes =
      sheet?.rows.map((row) =>
        rowNotes(row, 500, ordinaryKit, metric)
          .filter(({ bad }) => bad)
          .map(({ text }) => text),
      ) ?? [];
    expect(notes.at(-1)).toContain(BIOHAZARD);
    expect(notes.slice(0, -1).flat()).not.toContain(BIOHAZARD);
  });
  test('a brew that is stopped says why and how to mend it', () => {
    expect(stoppedWords({ ph: 7.2, bakingSoda: true, mendSodaGPerL: 54 })).toMatch(
      /about pH 7.2.*Baking soda is not washing soda/,
    );
    expect(stoppedWords({ ph: 6, bakingSoda: false, mendSodaGPerL: 62 })).toMatch(/62 g\/l of washing soda/);
    expect(stoppedWords({ ph: 3, bakingSoda: false, mendSodaGPerL: null })).toMatch(/No amount of soda/);
  });
  test('a thermometer says what it can and cannot', () => {
    expect(thermometerWords({ kind: 'out-of-range' }, 22, metric)).toMatch(/does not reach 22.0 °C/);
    expect(thermometerWords({ kind: 'between-marks', nearestC: 21 }, 20.5, us)).toMatch(
      /cannot show 68.9 °F: its nearest mark is 69.8 °F/,
    );
  });
});

describe('water in sentences', () => {
  test('hot and cold add up to the first water, as they are shown', () => {
    const { water } = sheetFor('coffee-standard', { bottleMl: 550 });
    const [first] = waterWords(water, 20, metric);
    const [total, , hot, cold] = (first ?? '').match(/\d+(\.\d)?(?= (ml|°C))/g)?.map(Number) ?? [];
    expect((hot ?? 0) + (cold ?? 0)).toBe(total);
    expect(coldWords(water.plan, metric)).toBe(`${cold} ml`);
  });
  test('thiosulfate cools, soda warms, an infusion boils, wine is the water', () => {
    expect(waterWords(sheetFor('fixer-plain').water, 20, metric)[1]).toMatch(/^Dissolving cools the jug by 1\d\.\d °C/);
    expect(waterWords(sheetFor('coffee-standard').water, 20, us)[1]).toMatch(/^Dissolving warms the jug by 5\.\d °F/);
    expect(waterWords(sheetFor('tea').water, 20, metric)[0]).toMatch(/boiling water/);
    expect(waterWords(sheetFor('wine').water, 20, metric)[0]).toMatch(
      /^The liquids are the water here: bring them to \d+\.\d °C first/,
    );
  });
  test('waiting, as people say it', () => {
    expect([waitWords(0.4), waitWords(45.2), waitWords(200)]).toEqual(['no time', '45 min', '3.3 h']);
    expect(waitingWords({ inAirMin: 200, inBathMin: 37, bathIsQuicker: true }, 20, metric)).toBe(
      'It reaches 20.0 °C in 3.3 h standing in air. In a bath of 20.0 °C it takes 37 min, so the bath is quicker.',
    );
    expect(waitingWords({ inAirMin: null, inBathMin: 20, bathIsQuicker: true }, 20, metric)).toMatch(
      /never reaches 20.0 °C by itself/,
    );
    expect(waitingWords({ inAirMin: 0, inBathMin: 0, bathIsQuicker: false }, 20, metric)).toMatch(/already/);
    expect(waitingWords({ inAirMin: 6, inBathMin: 2, bathIsQuicker: false }, 20, metric)).toMatch(
      /saves hardly any time/,
    );
  });
});

describe('steps', () => {
  const { batch } = sheetFor('coffee-restrained', { bottleMl: 300 });
  const [water, soda, , , bromide, stand, , topUp, measure] = mixSteps(batch);
  test('what each wants', () => {
    if (!water || !soda || !bromide || !stand || !topUp || !measure) throw new Error('lost');
    expect(stepAmountWords(water, batch, metric)).toMatch(/^225 ml at \d+\.\d °C$/);
    expect(stepAmountWords(soda, batch, metric)).toBe('16.2 g');
    expect(stepAmountWords(stand, batch, metric)).toBe('8 min');
    expect(stepAmountWords(topUp, batch, metric)).toBe('to 300 ml');
    expect(stepAmountWords(measure, batch, us)).toBe('68.0 °F');
    expect(toleranceWords(bromide, batch, metric)).toBe(
      '0.25 g to 0.35 g is as near as your scale goes: ± 17 %, and the likely range allows for it',
    );
    expect(stepSpoonWords(soda, batch, ordinaryKit)).toBe('');
  });
  test('by spoons where spoons measure', () => {
    const spooned = sheetFor('coffee-standard', { measureBy: 'spoons' }).batch;
    expect(stepSpoonWords(mixSteps(spooned)[1] as never, spooned, ordinaryKit)).toMatch(/^1 tbsp \+ 2¾ tsp$/);
  });
});

describe('jugs', () => {
  const mixedMs = Date.UTC(2026, 10, 25, 9);
  test('what is left of a brew counts down, of stock nobody knows, of a one-shot one film', () => {
    expect(jugWords(jugState(sampleBrew(mixedMs), mixedMs), mixedMs)).toBe('good for 4 h 30 min · 4 more films');
    const later = mixedMs + 2 * HOUR_MS;
    expect(jugWords(jugState(sampleBrew(mixedMs, { films: 1 }), later), later)).toMatch(
      /^next × 1\.5\d · good for 1 h \d+ min/,
    );
    expect(jugWords(jugState(sampleBrew(mixedMs), mixedMs + 9 * HOUR_MS), mixedMs + 9 * HOUR_MS)).toBe('spent');
    expect(
      jugWords(
        jugState(
          sampleBrew(mixedMs, {
            developer: null,
          }),
          mixedMs,
        ),
        mixedMs,
      ),
    ).toBe('wear not tracked');
  });
  test('a stretch in its own measure', () =>
    expect([leftWords(-5), leftWords(30 * 60_000), leftWords(3.5 * HOUR_MS), leftWords(72 * HOUR_MS)]).toEqual([
      'no time',
      '30 min',
      '3 h 30 min',
      '3 days',
    ]));
  test('when it was mixed: the time of day, then the day, then the year as well', () => {
    const now = new Date(2026, 10, 25, 9, 5).getTime();
    expect(mixedWords(now - 2 * HOUR_MS, now)).toBe('07:05');
    expect(mixedWords(now - 7 * 24 * HOUR_MS, now)).toBe('18 Nov');
    expect(mixedWords(now - 364 * 24 * HOUR_MS, now)).toBe('26 Nov 2025');
  });
  test('a label names what hurts, and always the general', () => {
    expect(labelHazards(sheetFor('fixer-rapid').batch.parts).join(' ')).toMatch(
      /Keep from acid.*Keep from alkali.*swallowed.*Keep from children/,
    );
    expect(labelHazards(sheetFor('syrup').batch.parts)[0]).toBe('See the safety sheet of what it was mixed from.');
    expect(labelHazards(sheetFor('stop-citric').batch.parts)[0]).toBe('Acid: keep it from eyes and skin.');
    expect(labelHazards([])).toEqual(['Keep from children and food. Pour away as local rules require.']);
  });
});

describe('what a workbench starts from', () => {
  const bench: Bench = { dossiers: [], brews: [], anyFinished: false };
  test('a recipe of the formulary, an own one, an empty one; nothing for one that is gone', () => {
    expect(workbenchStart('tea', null, bench, [])).toMatchObject({
      key: 'workbench:tea',
      recipe: { name: 'Tea' },
      sheetFor: null,
      ownId: null,
    });
    const own = { id: 'mine', createdMs: 0, updatedMs: 0, name: 'Mine', use: 'stop' as const, lines: [], note: '' };
    expect(workbenchStart('mine', null, bench, [own])).toMatchObject({ recipe: { name: 'Mine' }, ownId: 'mine' });
    expect(workbenchStart('new', null, bench, [])).toMatchObject({ recipe: { lines: [] } });
    expect(workbenchStart(null, null, bench, [])).toMatchObject({ recipe: { name: 'Coffee, standard' } });
    expect(workbenchStart('gone', null, bench, [])).toBeNull();
    expect(defaultSettings.kit).toEqual(ordinaryKit);
  });
});
