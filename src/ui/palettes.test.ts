import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from 'vitest';

/*
 * Contrast of the colours that text and signs are made of, in each light and in the tank's two. Source: published, WCAG 2.2 (relative
 * luminance; 4.5 : 1 for text, 3 : 1 for signs and edges of fields).
 */
const css = readFileSync(fileURLToPath(new URL('../app/globals.css', import.meta.url)), 'utf8');

type Palette = Record<string, string>;

/** Every block of colours in the stylesheet, by its selector. */
const palettes: [string, Palette][] = [...css.matchAll(/([^{}]*)\{([^{}]*--ground:[^{}]*)\}/g)].map(
  ([, selector = '', body = '']) => [
    selector.trim().split('\n').at(-1) ?? '',
    Object.fromEntries(
      [...body.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})\b/gi)].map(([, name = '', hex = '']) => [name, hex]),
    ),
  ],
);

/** Relative luminance of a colour, 0 to 1. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

describe('contrast', () => {
  test('black on white is 21 : 1, the check value of its definition', () =>
    expect(contrast('#000000', '#ffffff')).toBe(21));
  test('there are three lights, and the end of a step in two of them', () =>
    expect(palettes.length).toBeGreaterThanOrEqual(5));
  test.each(palettes)('%s: whatever is read stands out from what it is read on', (selector, colours) => {
    const grounds = ['ground', 'sheet'].flatMap((name) => colours[name] ?? []);
    expect(grounds).toHaveLength(2);
    for (const ground of grounds) {
      for (const name of ['ink', 'ink2', 'chem', 'heat', 'brew', 'danger']) {
        const colour = colours[name];
        if (colour !== undefined) expect(contrast(colour, ground), `${selector} ${name}`).toBeGreaterThanOrEqual(4.5);
      }
      for (const name of ['edge', 'focus']) {
        const colour = colours[name];
        if (colour !== undefined) expect(contrast(colour, ground), `${selector} ${name}`).toBeGreaterThanOrEqual(3);
      }
    }
  });
});
