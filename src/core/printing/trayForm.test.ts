import { expect, test } from 'vitest';
import { coffeeWarmth } from './coffeeWarmth';
import { emptyTray, emptyWet, fixerLeft, trayTimes } from './trayForm';

const jug = { id: 'jug', volumeMl: 500, films: 4 };

test('a tray poured from a jug has its volume and its sheets, whatever was typed before', () => {
  const form = { ...emptyTray, litres: 3, sheets: 0, jugId: 'jug' };
  // Four sheets in half a litre are eight a litre: 4½ grow to 6 min (common practice).
  expect(trayTimes(form, [jug]).byAreaMin).toBeCloseTo(6, 10);
  expect(trayTimes(form, []).byAreaMin).toBe(4.5);
  expect(fixerLeft({ ...emptyWet, jugId: 'jug' }, [jug])).toEqual({ takes: 20, left: 16, spent: false });
});

test('a figure that is missing says nothing, and the fresh time stands in for it', () => {
  expect(trayTimes({ ...emptyTray, litres: 'some' }, [])).toEqual({ byAreaMin: null, byImageS: null, developMin: 4.5 });
  expect(trayTimes({ ...emptyTray, freshMin: '' }, []).developMin).toBeNull();
  expect(trayTimes({ ...emptyTray, imageS: 12 }, []).byImageS).toBe(96);
  expect(fixerLeft({ ...emptyWet, sheets: '' }, [])).toBeNull();
});

test('the warmth on a screen is that of the light given back: blue falls most', () => {
  const { most } = coffeeWarmth('fibre', 4.5);
  const [red = 0, green = 0, blue = 0] = most.screen;
  expect(red).toBeGreaterThan(green);
  expect(green).toBeGreaterThan(blue);
  expect(blue).toBeLessThan(255);
});
