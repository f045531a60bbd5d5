import { describe, expect, test } from 'vitest';
import { fahrenheitToCelsius } from '../units/temperature';
import { oneBathTime, roundUpOneBath } from './oneBath';

describe('time of a one-bath (common practice, no source)', () => {
  test.each([
    [22, 6],
    [fahrenheitToCelsius(75), 4],
    [27, 3],
  ])('%d °C: %d min', (temperatureC, timeMin) => expect(oneBathTime(temperatureC)).toBeCloseTo(timeMin, 9));
  test('75 °F, 75.2 °F and 24 °C are one place', () => {
    for (const celsius of [fahrenheitToCelsius(75), fahrenheitToCelsius(75.2), 24, 23.9])
      expect(roundUpOneBath(oneBathTime(celsius))).toBeCloseTo(4, 9);
  });
  test('warmer is always shorter, and no tenth of a degree takes more than three in a hundred, from 10 to 40 °C', () => {
    let slope = Math.log(oneBathTime(10.1) / oneBathTime(10));
    for (let step = 101; step < 400; step++) {
      const celsius = step / 10;
      const next = Math.log(oneBathTime(celsius + 0.1) / oneBathTime(celsius));
      expect(next).toBeLessThan(0);
      expect(next).toBeGreaterThan(-0.03);
      // No cliff, and no kink: the pace changes a little at a time.
      expect(Math.abs(next - slope)).toBeLessThan(0.004);
      slope = next;
    }
  });
  test('the same in both units', () => {
    for (let fahrenheit = 64; fahrenheit <= 90; fahrenheit++) {
      const celsius = fahrenheitToCelsius(fahrenheit);
      const rounded = Math.round(celsius * 10) / 10;
      expect(Math.abs(Math.log(oneBathTime(celsius) / oneBathTime(rounded)))).toBeLessThan(0.015);
    }
  });
});
