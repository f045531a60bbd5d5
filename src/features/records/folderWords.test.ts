import { expect, test } from 'vitest';
import { stepWords } from './folderWords';

const nothing = { written: 0, taken: 0, held: 0, busy: false, devices: [], aside: [] };

test('what keeping in step did, in sentences', () => {
  expect(stepWords(nothing)).toBe('No other device has written here yet. Nothing new.');
  expect(stepWords({ ...nothing, written: 1, taken: 3, devices: ['valley', 'phone'] })).toBe(
    'Other devices: valley, phone. One change written, 3 records taken.',
  );
  expect(stepWords({ ...nothing, busy: true, held: 2 })).toContain('nothing is changed under your hands');
  expect(stepWords({ ...nothing, held: 2 })).toContain('2 records wait for a part');
  expect(stepWords({ ...nothing, held: 1 })).toContain('One record waits for a part');
});
