import { describe, expect, test } from 'vitest';
import { formatDuration, formatMinutes, roundToPourable } from './duration';
import { formatQuantity, parseQuantity, quantityToInput, type QuantityKind, type UnitChoice } from './quantity';

const metric: UnitChoice = { temperature: 'C', volume: 'ml' };
const us: UnitChoice = { temperature: 'F', volume: 'floz' };

describe('reading what was typed', () => {
  test.each<[string, QuantityKind, UnitChoice, number]>([
    ['20', 'temperature', metric, 20],
    ['68', 'temperature', us, 20],
    ['68 F', 'temperature', metric, 20],
    ['20,5 °C', 'temperature', us, 20.5],
    ['.5', 'concentration', metric, 0.5],
    ['0.5 l', 'volume', metric, 500],
    ['90 s', 'minutes', metric, 1.5],
    ['−1', 'stops', metric, -1],
    [' 500 ml ', 'volume', us, 500],
  ])('“%s” as %s', (text, kind, units, value) => {
    const read = parseQuantity(text, kind, units);
    expect(read.ok && read.value).toBeCloseTo(value, 9);
  });
  test.each<[string, QuantityKind, RegExp]>([
    ['', 'temperature', /empty/],
    ['warm', 'temperature', /“warm” is not a number/],
    ['20 ml', 'temperature', /“ml” is not a unit for this: use °C or °F/],
    ['12 kg', 'iso', /“kg” is not a unit for this: use ISO/],
    ['1971 AD', 'year', /type the number alone/],
    ['1.2.3', 'volume', /is not a (number|unit)/],
  ])('“%s” is explained', (text, kind, sentence) => {
    const read = parseQuantity(text, kind, metric, 'field');
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(sentence);
    expect(read.ok ? '' : read.problems[0]?.path).toBe('field');
  });
  test('what is shown reads back as the same value', () => {
    for (const units of [metric, us]) {
      for (const [kind, value] of [
        ['temperature', 20],
        ['volume', 500],
        ['concentration', 54],
      ] as const) {
        const read = parseQuantity(quantityToInput(value, kind, units), kind, units);
        expect(read.ok && Math.abs(read.value - value)).toBeLessThan(0.2);
      }
    }
  });
});

describe('writing', () => {
  test('small numbers come back as typed', () => {
    expect(quantityToInput(0.004, 'gradient', metric)).toBe('0.004');
    expect(quantityToInput(500, 'volume', us)).toBe('16.91');
    expect(quantityToInput(6, 'volume', us)).toBe('0.203');
  });
  test('quantities carry their unit', () => {
    expect(formatQuantity(20, 'temperature', us)).toBe('68.0 °F');
    expect(formatQuantity(500, 'volume', metric)).toBe('500 ml');
    // A tenth of a fluid ounce is 3 ml, half of what a film needs of some concentrates.
    expect([500, 15, 6, 0].map((ml) => formatQuantity(ml, 'volume', us))).toEqual([
      '16.9 fl oz',
      '0.507 fl oz',
      '0.203 fl oz',
      '0.0 fl oz',
    ]);
    expect(formatQuantity(-5, 'temperature', metric)).toBe('−5.0 °C');
  });
  test('durations', () => {
    expect(formatDuration(920)).toBe('15:20');
    expect(formatDuration(59.6)).toBe('1:00');
    expect(formatDuration(3600)).toBe('1:00:00');
    expect(formatDuration(-65)).toBe('−1:05');
    expect(formatDuration(-0.2)).toBe('0:00');
  });
  test('times are rounded to what hands can do', () => {
    expect(formatMinutes(12.77)).toBe('12:45');
    expect(roundToPourable(61.2)).toBeCloseTo(61, 9);
  });
});

describe('times as people write them', () => {
  const units = { temperature: 'C', volume: 'ml' } as const;
  test.each([
    ['12', 12],
    ['12:00', 12],
    ['7:30', 7.5],
    ['7 min 30 s', 7.5],
    ['450 s', 7.5],
    ['1 h', 60],
    ['1:00:00', 60],
    ['1 h 15 min', 75],
    ['75:00', 75],
    ['7,5', 7.5],
    ['12 minutes', 12],
  ])('%s', (text, minutes) => {
    expect(parseQuantity(text, 'minutes', units)).toEqual({ ok: true, value: minutes });
  });
  test.each(['7:75', 'soon', '1:90:00', ':30', '-5', 'h'])('“%s” is told to be none', (text) => {
    const read = parseQuantity(text, 'minutes', units);
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(/is not a time/);
  });
  test('come back as a clock has them', () => {
    expect([12, 7.5, 60, 90.25].map((minutes) => quantityToInput(minutes, 'minutes', units))).toEqual([
      '12',
      '7:30',
      '1:00:00',
      '1:30:15',
    ]);
  });
});
