import { expect, test } from 'vitest';
import { oneBathTime } from './oneBath';

// Source: common practice, no source.
test.each([
  [21.5, 6],
  [22, 6],
  [23.9, 6],
  [24, 4],
  [27, 3],
])('%d °C: %d min', (temperatureC, timeMin) => expect(oneBathTime(temperatureC)).toBe(timeMin));

test('never under six minutes below 24 °C, warmer is never longer, and all in quarter minutes', () => {
  for (let celsius = 15; celsius < 32; celsius += 0.1) {
    const timeMin = oneBathTime(celsius);
    if (celsius < 23.95) expect(timeMin).toBeGreaterThanOrEqual(6);
    expect(timeMin * 4).toBe(Math.round(timeMin * 4));
    expect(oneBathTime(celsius + 0.1)).toBeLessThanOrEqual(timeMin);
  }
});
