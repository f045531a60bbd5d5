import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { developerFamilies } from '../chemistry/developerFamilies';
import { readDilution } from '../chemistry/readDilution';
import { formatDuration } from '../units/duration';
import { formatQuantity, quantityToInput, readQuantity, type QuantityKind, type UnitChoice } from '../units/quantity';
import { spokenAmount, type SaidOf } from './spokenAmount';

const metric: UnitChoice = { temperature: 'C', volume: 'ml' };
const american: UnitChoice = { temperature: 'F', volume: 'floz' };
const NOW = 2026;

/** What a text is understood as, and the other reading where there is one; `?` for what is not read. */
type Case = readonly [text: string, value: number | '?', other?: number];

/**
 * Notations of quantities. Sizes of measures: NIST Handbook 44 (2023), appendix C. What people write: common practice, no source.
 */
const quantities: readonly (readonly [QuantityKind, UnitChoice, readonly Case[]])[] = [
  [
    'volume',
    metric,
    [
      ['500', 500],
      ['500 ml', 500],
      ['500ml', 500],
      ['500 cc', 500],
      ['0.5 l', 500],
      ['0,5 l', 500],
      ['½ l', 500],
      ['½ litre', 500],
      ['half a litre', 500],
      ['half a liter', 500],
      ['1 l', 1000],
      ['a litre', 1000],
      ['one litre', 1000],
      ['two litres', 2000],
      ['two and a half litres', 2500],
      ['2½ l', 2500],
      ['2 1/2 l', 2500],
      ['1 gal', 3785.41],
      ['1 gallon', 3785.41],
      ['half a gallon', 1892.71],
      ['3.8 l', 3800],
      ['10 oz', 295.74],
      ['10 ounces', 295.74],
      ['10 fl oz', 295.74],
      ['16 fluid ounces', 473.18],
      ['1 pint', 473.18],
      ['1 quart', 946.35],
      ['2 cups', 473.18],
      ['33 cl', 330],
      ['5 dl', 500],
      ['1 can', 440, 330],
      ['a can', 440, 330],
      ['half a can', 220, 165],
      ['two cans', 880, 660],
      ['20 drops', 1],
      ['1 drop', 0.05],
      ['1.600', 1.6, 1600],
      ['1,600', 1600, 1.6],
      ['1.250,5', 1250.5],
      ['1,250.5', 1250.5],
      ['1 250 ml', 1250],
      ['12 g', '?'],
      ['a lot', '?'],
      ['', '?'],
    ],
  ],
  [
    'mass',
    metric,
    [
      ['9.6', 9.6],
      ['9,6', 9.6],
      ['9.6 g', 9.6],
      ['9.6g', 9.6],
      ['.5', 0.5],
      ['½', 0.5],
      ['2½', 2.5],
      ['2½ g', 2.5],
      ['two and a half', 2.5],
      ['two and a half grams', 2.5],
      ['3/4 g', 0.75],
      ['1 1/2 g', 1.5],
      ['a gram', 1],
      ['twelve grams', 12],
      ['500 mg', 0.5],
      ['1 kg', 1000],
      ['half a kilo', 500],
      ['2 oz', 56.7],
      ['1 ounce', 28.35],
      ['1 lb', 453.59],
      ['half a pound', 226.8],
      ['1.600', 1.6, 1600],
      ['1,600', 1600, 1.6],
      ['0,125', 0.125],
      ['12 000 g', 12000],
      ['5 ml', '?'],
      ['heaps', '?'],
      ['g', '?'],
    ],
  ],
  [
    'temperature',
    metric,
    [
      ['20', 20],
      ['20°', 20],
      ['20 °C', 20],
      ['20C', 20],
      ['20 degrees', 20],
      ['20,5', 20.5],
      ['20½', 20.5],
      ['68F', 20],
      ['68 F', 20],
      ['68 °F', 20],
      ['75 °F', 23.89],
      ['68', 68, 20],
      ['75', 75, 23.89],
      ['-18', -18],
      ['−18 °C', -18],
      ['minus', '?'],
      ['20 K', '?'],
    ],
  ],
  [
    'temperature',
    american,
    [
      ['68', 20],
      ['68°', 20],
      ['20 °C', 20],
      ['20C', 20],
    ],
  ],
  [
    'minutes',
    metric,
    [
      ['12', 12],
      ['12m', 12],
      ['12 m', 12],
      ['12 min', 12],
      ['12 mins', 12],
      ['12 minutes', 12],
      ['12:00', 12],
      ['7:30', 7.5],
      ['1:30', 1.5, 90],
      ['2:15', 2.25, 135],
      ['1:00:00', 60],
      ['90 s', 1.5],
      ['90 sec', 1.5],
      ['90s', 1.5],
      ['450 seconds', 7.5],
      ['7 min 30 s', 7.5],
      ['7m30s', 7.5],
      ['7 minutes 30 seconds', 7.5],
      ['7 minutes and 30 seconds', 7.5],
      ['7\'30"', 7.5],
      ['7′30″', 7.5],
      ["12'", 12],
      ['1 h', 60],
      ['1h', 60],
      ['an hour', 60],
      ['half an hour', 30],
      ['one and a half hours', 90],
      ['1½ h', 90],
      ['1 h 15 min', 75],
      ['7.5', 7.5],
      ['7.30', 7.3, 7.5],
      ['7,30', 7.3, 7.5],
      ['6½', 6.5],
      ['6½ min', 6.5],
      ['quarter of an hour', 15],
      ['three quarters of an hour', 45],
      ['twelve minutes', 12],
      ['7:75', '?'],
      ['soon', '?'],
    ],
  ],
  [
    'year',
    metric,
    [
      ['1989', 1989],
      ["'89", 1989],
      ['’89', 1989],
      ['89', 1989],
      ['85', 1985],
      ['03/89', 1989],
      ['3/1989', 1989],
      ['03.89', 1989],
      ['03-1989', 1989],
      ['1989-03', 1989],
      ['1989/03', 1989],
      ['31.03.1989', 1989],
      ['03/31/1989', 1989],
      ['March 1989', 1989],
      ['Mar 1989', 1989],
      ['Mar. 89', 1989],
      ["MAR '89", 1989],
      ['March, 1989', 1989],
      ['31 March 1989', 1989],
      ['12/2028', 2028],
      ["'28", 2028, 1928],
      ['05', 2005, 1905],
      // The first half of a year is a number that no form takes.
      ['19', 19],
      ['20', 20],
      ["'64", 1964],
      ['13/89', '?'],
      ['someday', '?'],
      ['Smarch 1989', '?'],
    ],
  ],
  [
    'shutter',
    metric,
    [
      ['1/125', 0.008],
      ['1/60 s', 1 / 60],
      ['4 s', 4],
      ['0,5', 0.5],
      ['2 min', 120],
      ['fast', '?'],
    ],
  ],
  [
    'count',
    metric,
    [
      ['3', 3],
      ['three', 3],
      ['twelve', 12],
      ['3 films', '?'],
    ],
  ],
];

/** Notations of dilutions: parts of concentrate and of water, and the other reading. Common practice, no source. */
const dilutions: readonly (readonly [text: string, parts: string, other?: string])[] = [
  ['100 ml + 400 ml water', '100+400'],
  ['100 ml + 400 ml of water', '100+400'],
  ['100 ml concentrate + 400 ml water', '100+400'],
  ['400 ml water + 100 ml concentrate', '100+400'],
  ['450+450', '450+450'],
  ['120+360', '120+360'],
  ['1 ml per 100 ml', '1+99', '1+100'],
  ['10 ml per litre', '10+990', '10+1000'],
  ['1 oz in 10 oz', '1+9', '1+10'],
  ['1 ounce in 10 ounces', '1+9', '1+10'],
  ['1 oz to 31 oz', '1+31', '1+30'],
  ['half an oz in 16 oz', '0.5+15.5', '0.5+16'],
  ['15 ml in half a litre', '15+485', '15+500'],
  ['1 gal + 1 gal', '1+1'],
  ['1+1+100', '2+100'],
  ['5 ml + 5 ml + 500 ml', '10+500'],
  ['1 part + 9 parts water', '1+9'],
  ['1 part concentrate to 9 parts water', '1+9'],
  ['20 drops in 100 ml', '1+99', '1+100'],
  ['1 tbsp + 1 l', '15+1000'],
  ['dilution B', '1+31'],
  ['Dil. B', '1+31'],
  ['B', '1+31'],
  ['b', '1+31'],
];

/** Amounts for a jug of 400 ml. Masses of spoons: common practice, no source. */
const amounts: readonly (readonly [text: string, of: Partial<SaidOf>, amount: number])[] = [
  ['6 tablespoons', {}, 83.98],
  ['6 tbsp', {}, 83.98],
  ['1 tablespoon', {}, 14],
  ['a tablespoon', {}, 14],
  ['1 Tbsp.', {}, 14],
  ['1½ tbsp', {}, 20.99],
  ['one and a half tablespoons', {}, 20.99],
  ['6 teaspoons', {}, 27.99],
  ['6 tsp', {}, 27.99],
  ['half a teaspoon', {}, 2.33],
  ['¼ tsp', {}, 1.16],
  ['a quarter teaspoon', {}, 1.16],
  ['two heaped teaspoons', { substanceId: 'instant-coffee' }, 4.46],
  ['2 heaping tsp of coffee', { substanceId: 'instant-coffee' }, 4.46],
  ['9.6 g in 400 ml', {}, 9.6],
  ['12 g in 500 ml', {}, 9.6],
  ['24 g/l', {}, 9.6],
  ['24 g per litre', {}, 9.6],
  ['24 g a litre', {}, 9.6],
  ['24 g for 1 l', {}, 9.6],
  ['3 tablets', { substanceId: 'ascorbic-acid', tabletMg: 1000 }, 3],
  ['half a tablet', { substanceId: 'ascorbic-acid', tabletMg: 1000 }, 0.5],
  ['1 can', { substanceId: 'dark-beer', unit: 'ml' }, 440],
  ['half a can', { substanceId: 'dark-beer', unit: 'ml' }, 220],
  ['20 drops', { substanceId: null, unit: 'ml' }, 1],
  ['2 tsp', { substanceId: null, unit: 'ml' }, 10],
];

const usual = developerFamilies['hydroquinone-syrup'].referenceParts;
const names = { b: { concentrate: 1, water: 31 } };

describe('what people write, and what is understood', () => {
  for (const [kind, choice, cases] of quantities)
    test.each([...cases])(`${kind} in ${choice.temperature} and ${choice.volume}: “%s” is %s`, (...one) => {
      const [text, value, other] = one as unknown as Case;
      const read = readQuantity(text, kind, choice, '', NOW);
      if (value === '?') {
        expect(!read.ok && read.problems[0]?.message).toMatch(/\.$/);
        return;
      }
      if (!read.ok) throw new Error(read.problems[0]?.message);
      expect(read.value.value).toBeCloseTo(value, 2);
      if (other === undefined && kind !== 'year') expect(read.value.other).toBeNull();
      if (other !== undefined) expect(read.value.other?.value).toBeCloseTo(other, 2);
    });
  test.each([...dilutions])('dilution: “%s” is %s', (...one) => {
    const [text, parts, other] = one as unknown as (typeof dilutions)[number];
    const read = readDilution(text, usual, names);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const said = (one: { concentrate: number; water: number }): string => `${one.concentrate}+${one.water}`;
    expect(said(read.value.parts)).toBe(parts);
    if (other !== undefined) expect(read.value.other && said(read.value.other.parts)).toBe(other);
  });
  test.each(amounts)('amount in 400 ml: “%s” of %j is %d', (text, of, amount) => {
    const read = spokenAmount(text, {
      substanceId: 'soda-anhydrous',
      unit: 'g',
      kit: { spoons: 'metric' },
      tabletMg: null,
      volumeMl: 400,
      usual: 'jug',
      ...of,
    });
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.value.amount).toBeCloseTo(amount, 1);
  });
  test('at least two hundred notations stand in these tables', () => {
    const quantityCases = quantities.reduce((sum, [, , cases]) => sum + cases.length, 0);
    expect(quantityCases + dilutions.length + amounts.length).toBeGreaterThanOrEqual(200);
  });
  test('a letter that nobody named asks for its meaning', () => {
    const read = readDilution('dilution H', usual, names);
    expect(!read.ok && read.problems[0]).toMatchObject({ path: 'dilutionName' });
  });
  test('two bottles of a developer that is reckoned as mixed: 1+1+100 is its full strength', () => {
    const full = readDilution('1+1+100', developerFamilies.staining.referenceParts);
    expect(full.ok && full.value.parts).toEqual({ concentrate: 1, water: 0 });
    expect(full.ok && full.value.twoPart).toEqual({ a: 1, b: 1, water: 100 });
    const half = readDilution('1+1+202', developerFamilies.staining.referenceParts);
    expect(half.ok && half.value.parts).toEqual({ concentrate: 1, water: 1 });
  });
});

describe('what the program writes, it reads as the same', () => {
  const written: readonly (readonly [QuantityKind, number, number, number])[] = [
    ['volume', 20, 5000, 0.006],
    ['mass', 0.5, 500, 0.06],
    ['temperature', 5, 40, 0.06],
    ['year', 1900, 2030, 0],
  ];
  test.each(written)('%s, as it stands in a text and in a field', (kind, low, high, tolerance) => {
    fc.assert(
      fc.property(
        fc.double({ min: low, max: high, noNaN: true }).map((value) => (kind === 'year' ? Math.round(value) : value)),
        fc.constantFrom(metric, american),
        (value, choice) => {
          for (const text of [formatQuantity(value, kind, choice), quantityToInput(value, kind, choice)]) {
            const read = readQuantity(text, kind, choice, '', NOW);
            if (!read.ok) throw new Error(`${text}: ${read.problems[0]?.message ?? ''}`);
            const off = Math.abs(read.value.value - value);
            expect(off).toBeLessThanOrEqual(kind === 'volume' ? Math.max(0.5, value * 0.006) : tolerance + 1e-9);
          }
        },
      ),
      { numRuns: 150, seed: 7 },
    );
  });
  test('times', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7200 }), (seconds) => {
        const read = readQuantity(formatDuration(seconds), 'minutes', metric);
        expect(read.ok && Math.round(read.value.value * 60)).toBe(seconds);
      }),
      { numRuns: 100, seed: 7 },
    );
  });
});
