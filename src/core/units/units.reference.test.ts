import { unit } from 'mathjs';
import { describe, expect, test } from 'vitest';
import { isoDegrees, speedAfterLoss, stopsBetweenSpeeds, stopsToLogExposure } from './stops';
import { celsiusToFahrenheit, celsiusToKelvin, fahrenheitToCelsius } from './temperature';
import { mlToUsFluidOunces, usFluidOuncesToMl } from './volume';

describe('temperatures against mathjs units', () => {
  test.each([-40, 0, 13, 20, 24, 37.8, 100])('%d °C', (celsius) => {
    expect(celsiusToFahrenheit(celsius)).toBeCloseTo(unit(celsius, 'degC').toNumber('degF'), 9);
    expect(celsiusToKelvin(celsius)).toBeCloseTo(unit(celsius, 'degC').toNumber('K'), 9);
    expect(fahrenheitToCelsius(celsiusToFahrenheit(celsius))).toBeCloseTo(celsius, 12);
  });
  test('20 °C is 68 °F (common practice)', () => expect(celsiusToFahrenheit(20)).toBe(68));
});

describe('volumes against mathjs units', () => {
  test.each([1, 29.5735295625, 300, 500, 946.352946])('%d ml', (ml) => {
    expect(mlToUsFluidOunces(ml)).toBeCloseTo(unit(ml, 'ml').toNumber('fluidounce'), 3);
    expect(usFluidOuncesToMl(mlToUsFluidOunces(ml))).toBeCloseTo(ml, 9);
  });
  test('a US gallon is 128 fl oz and 3785.411784 ml (NIST Handbook 44, appendix C)', () => {
    expect(usFluidOuncesToMl(128)).toBeCloseTo(3785.411784, 6);
  });
});

describe('film speeds against the table of ISO 6:1993', () => {
  test.each([
    [12, 12],
    [25, 15],
    [50, 18],
    [100, 21],
    [200, 24],
    [400, 27],
    [800, 30],
    [3200, 36],
  ])('ISO %d is %d°', (iso, degrees) => expect(Math.round(isoDegrees(iso))).toBe(degrees));
  test('a stop is a doubling, three degrees and 0.301 in log exposure', () => {
    expect(stopsBetweenSpeeds(100, 400)).toBe(2);
    expect(stopsBetweenSpeeds(400, 50)).toBe(-3);
    expect(isoDegrees(800) - isoDegrees(400)).toBeCloseTo(3.0103, 4);
    expect(stopsToLogExposure(1)).toBeCloseTo(0.30103, 5);
  });
  test('a film that lost a stop and a half is shot at a third of its speed', () => {
    expect(speedAfterLoss(400, 1.5)).toBeCloseTo(141.42, 2);
    expect(stopsBetweenSpeeds(speedAfterLoss(400, 1.5), 400)).toBeCloseTo(1.5, 12);
  });
});
