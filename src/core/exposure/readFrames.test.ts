import { expect, test } from 'vitest';
import { readFrames } from './readFrames';

// Common practice, no source: what notebooks hold.
test.each<[string, string[] | null]>([
  ['7', ['7']],
  ['12a', ['12A']],
  ['1-3', ['1', '2', '3']],
  ['1–3', ['1', '2', '3']],
  ['1 to 3', ['1', '2', '3']],
  ['3, 5, 7-9', ['3', '5', '7', '8', '9']],
  ['3 and 5', ['3', '5']],
  ['9-7', null],
  ['1-200', null],
  ['the mast', null],
  ['', null],
])('“%s” is %j', (text, frames) => expect(readFrames(text)).toEqual(frames));
test('eleven frames of a range', () => expect(readFrames('1-11')).toHaveLength(11));
