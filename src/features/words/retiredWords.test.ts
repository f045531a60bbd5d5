import { expect, test } from 'vitest';
import { interfaceMessages } from '../../../scripts/language/catalogue.mjs';

/** Words that gave way to better ones, with the ones that stand now. One word for one thing. */
const retired: readonly (readonly [now: string, was: RegExp])[] = [
  ['expiry year', /\bbox dates?\b/i],
  ['agitation', /\b(the|my own|your own|no|how) movement\b|^Movement$/i],
  ['set, clear', /\bun?pin(s|ned)?\b|\bpin (it|a time)\b/i],
  ['likely range', /\b(the|its|their|your|a wide|whole) bands?\b|^Bands?$/i],
  ['80 % likely', /\bfour times in five\b/i],
  ['fog', /\bveils?\b/i],
  ['edge print', /\brim prints?\b|\bprint on the rim\b/i],
  ['speed', /\b(effective|exposure|film’s) index\b/i],
  ['years at room temperature', /\broom-years?\b/i],
  ['calculated, counted', /\breckon(s|ed|ing)?\b/i],
  ['room', /\baround the tank\b/i],
  ['Delete', /^Take out$/],
  ['Guide me through mixing', /\bWeigh it out\b/],
  ['Save verdict', /\bwrite it into the log\b/i],
  ['presets', /\bready-made ways\b|\bmy ways\b/i],
  ['Close (saved)', /\bentries are kept\b/i],
  ['a leaflet’s time', /\bchart times?\b/i],
];

test('retired words stay out of the interface', () => {
  const all = [...interfaceMessages(true)];
  expect(all.length).toBeGreaterThan(4000);
  const found = all.flatMap(([text, files]) =>
    retired.flatMap(([now, was]) => (was.test(text) ? [`${[...files].join(', ')}: “${text}” (${now})`] : [])),
  );
  expect(found).toEqual([]);
});
