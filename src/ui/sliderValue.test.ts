import { describe, expect, it } from 'vitest';
import { keyedValue, pointedValue } from './sliderValue';

const slider = { value: 20, min: 14, max: 30, step: 0.5 };

describe('keys of a slider', () => {
  it.each([
    ['ArrowRight', 20.5],
    ['ArrowUp', 20.5],
    ['ArrowLeft', 19.5],
    ['ArrowDown', 19.5],
    ['PageUp', 21.5],
    ['PageDown', 18.5],
    ['Home', 14],
    ['End', 30],
  ])('%s goes to %s', (key, value) => {
    expect(keyedValue(key, slider)).toBe(value);
  });

  it('takes the page that it is given', () => {
    const years = { value: 1970, min: 1962, max: 2026, step: 1, page: 10 };
    expect(keyedValue('PageUp', years)).toBe(1980);
    expect(keyedValue('PageDown', years)).toBe(1962);
  });

  it('stops at the ends', () => {
    expect(keyedValue('ArrowUp', { ...slider, value: 30 })).toBe(30);
    expect(keyedValue('PageDown', { ...slider, value: 14.5 })).toBe(14);
  });

  it('leaves other keys alone', () => {
    expect(keyedValue('Tab', slider)).toBeNull();
    expect(keyedValue('a', slider)).toBeNull();
    expect(keyedValue('constructor', slider)).toBeNull();
  });

  it('comes back onto a step from a value that was typed beside the slider', () => {
    expect(keyedValue('ArrowUp', { ...slider, value: 20.3 })).toBe(21);
  });

  it('gathers no rounding over many steps', () => {
    let value = 0;
    for (let press = 0; press < 60; press++)
      value = keyedValue('ArrowRight', { value, min: 0, max: 6, step: 0.1 }) ?? -1;
    expect(value).toBe(6);
    expect(keyedValue('ArrowLeft', { value: 0.3, min: 0, max: 6, step: 0.1 })).toBe(0.2);
  });

  it('ends on the last step where the range is no whole number of them', () => {
    expect(keyedValue('End', { value: 0, min: 0, max: 10, step: 4 })).toBe(8);
  });
});

describe('a finger on a slider', () => {
  const track = { widthPx: 332, thumbPx: 12 };

  it('has the thumb beneath it', () => {
    expect(pointedValue(6, track, slider)).toBe(14);
    expect(pointedValue(166, track, slider)).toBe(22);
    expect(pointedValue(326, track, slider)).toBe(30);
  });

  it('goes from step to step, to the nearer one', () => {
    // Sixteen degrees on 320 px: half a degree is 10 px.
    expect(pointedValue(6 + 14, track, slider)).toBe(14.5);
    expect(pointedValue(6 + 16, track, slider)).toBe(15);
  });

  it('stays within the range wherever the finger goes', () => {
    expect(pointedValue(-500, track, slider)).toBe(14);
    expect(pointedValue(5000, track, slider)).toBe(30);
    expect(pointedValue(3, { widthPx: 0, thumbPx: 12 }, slider)).toBe(14);
  });
});
