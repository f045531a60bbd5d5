import { describe, expect, test } from 'vitest';
import { messageInUnits } from './messageInUnits';

describe('sentences in the user’s units', () => {
  const imperial = { temperature: 'F', volume: 'floz' } as const;
  test('ranges and single values', () => {
    expect(messageInUnits('Temperature: give a number from 5 to 40 °C.', imperial)).toBe(
      'Temperature: give a number from 41 to 104 °F.',
    );
    expect(messageInUnits('Room: give a number from -10 to 45 °C.', imperial)).toBe(
      'Room: give a number from 14 to 113 °F.',
    );
    expect(messageInUnits('300 ml does not cover 120: it needs about 500 ml.', imperial)).toBe(
      '10.1 fl oz does not cover 120: it needs about 16.9 fl oz.',
    );
  });
  test('metric is left as it is', () => {
    const words = 'Give 5 to 40 °C or 20 ml.';
    expect(messageInUnits(words, { temperature: 'C', volume: 'ml' })).toBe(words);
  });
});
