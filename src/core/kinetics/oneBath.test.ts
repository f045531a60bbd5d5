import { expect, test } from 'vitest';
import { ONE_BATH_TIMES, oneBathTime } from './oneBath';

// Source: common practice, no source.
test.each(ONE_BATH_TIMES.map(({ temperatureC, timeMin }) => [temperatureC, timeMin]))(
  '%d °C: %d min',
  (temperatureC, timeMin) => {
    expect(oneBathTime(temperatureC)).toBeCloseTo(timeMin, 9);
  },
);

test('warmer is always shorter, without steps', () => {
  for (let celsius = 15; celsius < 32; celsius += 0.1) {
    const change = oneBathTime(celsius + 0.1) / oneBathTime(celsius);
    expect(change).toBeLessThan(1);
    expect(change).toBeGreaterThan(0.97);
  }
});
