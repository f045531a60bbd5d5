import { describe, expect, test } from 'vitest';
import { analysis } from '@/core/estimate/analysis';
import { estimate } from '@/core/estimate/estimate';
import { completeRequest } from '@/core/estimate/estimate';
import { fitEvidence } from '@/core/estimate/fit';
import type { EvidenceItem } from '@/core/estimate/observations';
import { situationOf } from '@/core/estimate/situation';
import { demoRecords } from './demo/demoRecords';
import { noRecords } from '@/core/records/tables';
import { guestLog } from '@/core/learning/guestLog';
import { guestPieces, sharedStocks } from '@/core/learning/guestPieces';
import { MOST_GUEST_PIECES, guestLogSchema } from '@/core/evidence/guestLogSchema';

const NOW = Date.UTC(2026, 5, 1);
const YEAR = 2026;
const records = demoRecords(NOW);
const log = (() => {
  const made = guestLog(records, 'Ragnfrid', YEAR);
  if (!made.ok) throw new Error(made.problems[0]?.message);
  return made.value;
})();

/** A verdict of some run in one developer, of one stock. */
function verdict(id: string, contrast: number, benchId?: string): EvidenceItem {
  const { rollId, brewId, stockId, film, developer, temperatureC, agitationId, wear, bromideGPerL, age } =
    completeRequest({
      film: { familyId: 'pan-cubic-medium', iso: 400 },
      developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 1 } },
      temperatureC: 20,
      agitationId: 'ten-each-minute',
      strategy: { id: 'hold', liftCap: false },
      stockId: 'a stock',
      rollId: `roll ${id}`,
      brewId: `brew ${id}`,
    });
  const setting = { rollId, brewId, stockId, film, developer, temperatureC, agitationId, wear, bromideGPerL, age };
  return {
    evidence: {
      kind: 'verdict',
      id,
      setting: {},
      timeMin: 10,
      contrast,
      fogD: null,
      target: { purpose: 'scan', pushStops: 0 },
    },
    setting: benchId === undefined ? setting : { ...setting, benchId },
  };
}
const request = completeRequest({
  film: { familyId: 'pan-cubic-medium', iso: 400 },
  developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 1 } },
  temperatureC: 20,
  agitationId: 'ten-each-minute',
  strategy: { id: 'hold', liftCap: false },
  stockId: 'a stock',
  rollId: 'mine',
});
const lnTime = (pieces: readonly EvidenceItem[]): { ln: number; sd: number } => {
  const { timeMin, lnSd } = estimate(request, fitEvidence(pieces));
  return { ln: Math.log(timeMin), sd: lnSd };
};

describe('somebody’s log', () => {
  test('holds their runs and tests, no chart times, and no more than so many; an empty one is refused', () => {
    expect(log.pieces.length).toBeGreaterThan(10);
    expect(log.pieces.length).toBeLessThanOrEqual(MOST_GUEST_PIECES);
    expect(log.pieces.some(({ evidence }) => evidence.kind === 'chart')).toBe(false);
    expect(guestLogSchema.safeParse(JSON.parse(JSON.stringify(log))).success).toBe(true);
    expect(guestLog(noRecords(), 'Nobody', YEAR).ok).toBe(false);
    expect(guestLog(records, '  ', YEAR).ok).toBe(false);
  });
  test('shares the film by its name and family, and nothing else that is theirs', () => {
    const [theirs] = log.stocks;
    if (theirs === undefined) throw new Error('The demo has stocks.');
    const own = [
      { id: 'mine', name: ` ${theirs.name.toUpperCase()} `, familyId: theirs.familyId },
      { id: 'other', name: 'Something else', familyId: theirs.familyId },
    ];
    expect([...sharedStocks(log, own)]).toEqual([[theirs.id, 'mine']]);
    const pieces = guestPieces(log, own);
    expect(pieces.some(({ setting }) => setting.stockId === 'mine')).toBe(true);
    const ids = new Set(records.rolls.map(({ id }) => id));
    for (const { setting, evidence } of pieces) {
      expect(setting.benchId).toBe('Ragnfrid');
      expect(ids.has(setting.rollId)).toBe(false);
      expect(evidence.id.startsWith('Ragnfrid: ')).toBe(true);
    }
  });
  test('their hand, thermometer and eye are unknowns of their own', () => {
    const keys = (piece: EvidenceItem) =>
      new Map(situationOf(piece.setting, 'run', new Set()).unknowns.map(({ id, key, sd }) => [id, { key, sd }]));
    const [mine, hers] = [keys(verdict('a', 0)), keys(verdict('a', 0, 'Ragnfrid'))];
    for (const id of ['thermometerC', 'eyeGrades', 'lnAgitation'] as const)
      expect(hers.get(id)?.key).not.toBe(mine.get(id)?.key);
    for (const id of ['lnStock', 'lnDeveloper', 'lnPair'] as const) expect(hers.get(id)?.key).toBe(mine.get(id)?.key);
    expect(mine.has('lnBench')).toBe(false);
    expect(hers.get('lnBench')?.sd).toBeGreaterThan(0.1);
  });
});

describe('what it teaches', () => {
  test('it moves a time the same way as one’s own runs do, and less; it narrows the band, and less', () => {
    const runs = (benchId?: string) => [1, 2, 3].map((n) => verdict(`r${n}`, -2, benchId));
    const [nothing, own, hers] = [lnTime([]), lnTime(runs()), lnTime(runs('Ragnfrid'))];
    expect(own.ln).toBeGreaterThan(hers.ln);
    expect(hers.ln).toBeGreaterThan(nothing.ln);
    expect(own.sd).toBeLessThan(hers.sd);
    expect(hers.sd).toBeLessThan(nothing.sd);
  });
  test('what it did is told: the time without it is the one that the rest gives', () => {
    const mine = [verdict('m1', 0)];
    const hers = [1, 2, 3].map((n) => verdict(`h${n}`, -2, 'Ragnfrid'));
    const { guests } = analysis(request, fitEvidence([...hers, ...mine]), [...hers, ...mine]);
    expect(guests).toHaveLength(1);
    expect(guests[0]).toMatchObject({ name: 'Ragnfrid', pieces: 3 });
    const without = estimate(request, fitEvidence(mine)).timeMin;
    expect(Math.abs(Math.log((guests[0]?.timeWithoutMin ?? 0) / without))).toBeLessThan(0.03);
    expect(analysis(request, fitEvidence(mine), mine).guests).toEqual([]);
  });
  test('a bench that works slower is found out where runs overlap, and moves less from then on', () => {
    const hers = [1, 2, 3, 4, 5, 6].map((n) => verdict(`h${n}`, -2, 'Ragnfrid'));
    const mine = [1, 2, 3, 4, 5, 6].map((n) => verdict(`m${n}`, 0));
    const fit = fitEvidence([...hers, ...mine]);
    expect(fit.meanOf('lnBench|bench|bench Ragnfrid ')).toBeLessThan(-0.2);
    // One’s own six runs say that 10 min fit; hers barely pull.
    expect(Math.abs(lnTime([...hers, ...mine]).ln - lnTime(mine).ln)).toBeLessThan(
      0.5 * Math.abs(lnTime(hers).ln - lnTime([]).ln),
    );
  });
});
