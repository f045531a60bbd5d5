import { describe, expect, test } from 'vitest';
import { soundCondition } from '../films/conditionFacts';
import { stayAt } from '../films/storageStay';
import { learnPieces } from '../learning/learning';
import type { ExposureState, Stock } from '../records/records';
import type { CurrentRoll } from './benchTimes';
import { firstOfBox } from './firstOfBox';

const NOW = Date.UTC(2026, 10, 30);
const stamps = { createdMs: 0, updatedMs: 0 };
const stock: Stock = { ...stamps, id: 's', name: 'Larkholm Pan 200', familyId: 'pan-cubic-fast', iso: 200, own: {} };
const roll = (id: string, state: ExposureState, boxId: string | null = 'attic'): CurrentRoll => ({
  roll: {
    ...stamps,
    id,
    label: id,
    stockId: 's',
    formatId: '135',
    hints: [{ kind: 'stamp', year: 1985, slackYears: 3 }],
    storage: [stayAt('room')],
    xrayPasses: 0,
    condition: soundCondition,
    exposure: { state, year: null, index: null },
    boxId,
    frames: [],
    note: '',
  },
  stock,
  plan: undefined,
  planDraft: undefined,
});
const first = (rolls: CurrentRoll[]) => firstOfBox(rolls, [], NOW, learnPieces([]));

describe('the roll of a box to develop first', () => {
  test('what was never exposed goes before pictures that nobody knows of, and those before known ones', () => {
    expect(first([roll('a', 'known'), roll('b', 'unknown'), roll('c', 'unexposed')])).toMatchObject({
      rollId: 'c',
      why: 'unexposed',
    });
    expect(first([roll('a', 'known'), roll('b', 'mixed'), roll('c', 'unknown')])?.rollId).toBe('c');
  });
  test('it tells more of rolls that lay beside it than of rolls that came from elsewhere', () => {
    const together = first([roll('a', 'known'), roll('b', 'known')]);
    const apart = first([roll('a', 'known', null), roll('b', 'known', null)]);
    expect(together?.widthRatio).toBeLessThan((apart?.widthRatio ?? 0) - 0.02);
    expect(together?.widthRatio).toBeGreaterThan(0.2);
  });
  test('of one roll, or none, there is nothing to choose', () => {
    expect(first([roll('a', 'known')])).toBeNull();
    expect(first([])).toBeNull();
  });
});
