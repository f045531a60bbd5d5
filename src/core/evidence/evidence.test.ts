import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { noRecords } from '../records/tables';
import type { EvidenceRecord, Run, Verdict } from '../records/records';
import { estimateRequestFor } from '../plan/estimateRequestFor';
import { pinShift } from '../plan/pinShift';
import { demoInputs } from '../testing/demoInputs';
import { nearestPieces } from '../learning/benchEvidence';
import { GrowingEvidence } from '../learning/learning';
import { initialChartForm, readChartForm } from './chartForm';
import { initialClipForm, readClipForm, type ClipForm } from './clipForm';
import { initialDropForm, readDropForm, stopClock } from './dropForm';
import { dropRatio } from './dropTest';
import { readFogForm } from './fogForm';
import { learnFrom } from '../learning/learning';
import { settingRecordFor } from '../plan/settingRecordFor';

const evidenceOf = (...of: Parameters<typeof GrowingEvidence.of>) => GrowingEvidence.of(...of).pieces();

const { NOW, roll, stock, plan } = demoInputs;
const stamps = { createdMs: NOW, updatedMs: NOW };
const setting = settingRecordFor(plan, null, NOW);
const record = (id: string, finding: EvidenceRecord['finding'], rollId = roll.id): EvidenceRecord => ({
  id,
  ...stamps,
  rollId,
  setting,
  finding,
  note: '',
});
const records = (evidence: EvidenceRecord[], runs: Run[] = [], verdicts: Verdict[] = []) => ({
  ...noRecords(),
  stocks: [stock],
  rolls: [roll, { ...roll, id: 'other' }],
  runs,
  verdicts,
  evidence,
});
const request = estimateRequestFor(roll, stock, plan, null, NOW);

describe('drop test', () => {
  test('the ratio is the geometric mean, its spread the standard error in ln', () => {
    const { rateRatio, lnSd } = dropRatio([
      { brewS: 90, knownS: 45 },
      { brewS: 40, knownS: 40 },
    ]);
    expect(rateRatio).toBeCloseTo(Math.sqrt(0.5), 12);
    expect(lnSd).toBeCloseTo(Math.LN2 / 2, 12);
  });
  test('two stopped clocks make a pair, and the clocks are ready for the next', () => {
    const started = { ...initialDropForm(), startMs: NOW };
    const first = { ...started, ...stopClock(started, 'knownMs', NOW + 42_040) };
    expect(first.pairs).toEqual([]);
    expect({ ...first, ...stopClock(first, 'knownMs', NOW + 50_000) }.knownMs).toBe(NOW + 42_040);
    const both = { ...first, ...stopClock(first, 'brewMs', NOW + 90_000) };
    expect(both).toMatchObject({ pairs: [{ brewS: 90, knownS: 42 }], startMs: null });
  });
  test('no pair, or an impossible dilution, is told', () => {
    expect(readDropForm(initialDropForm())).toMatchObject({
      ok: false,
      problems: [{ path: 'pairs', message: 'Time one pair of strips at least.' }],
    });
    expect(readDropForm({ ...initialDropForm(), concentrateParts: 'much' })).toMatchObject({
      ok: false,
      problems: [{ path: 'concentrateParts' }],
    });
  });
});

describe('forms of findings', () => {
  const clip: ClipForm = { ...initialClipForm(14), baseFogD: 0.4, shadowD: 0.5, highlightD: 1.6 };
  test('a clip reads, and impossible tones are told with their field', () => {
    expect(readClipForm(clip)).toMatchObject({ ok: true, value: { kind: 'clip', timeMin: 14, stopsBetween: 7 } });
    expect(readClipForm({ ...clip, highlightD: 0.3 })).toMatchObject({ ok: false, problems: [{ path: 'highlightD' }] });
    expect(readClipForm({ ...clip, shadowD: 0.2 })).toMatchObject({ ok: false, problems: [{ path: 'shadowD' }] });
    expect(readClipForm({ ...clip, stopsBetween: '' })).toMatchObject({
      ok: false,
      problems: [{ path: 'stopsBetween' }],
    });
  });
  test('a chart time speaks of fresh brew, moved once a minute', () => {
    const read = readChartForm(
      { ...initialChartForm(), timeMin: 11, temperatureC: 24 },
      { ...setting, bromideGPerL: 1, agitationId: 'continuous' },
    );
    expect(read).toMatchObject({
      ok: true,
      value: { setting: { temperatureC: 24, bromideGPerL: 0, agitationId: 'ten-each-minute' } },
    });
    expect(readChartForm({ ...initialChartForm(), temperatureC: 99 }, setting)).toMatchObject({
      ok: false,
      problems: [{ path: 'timeMin' }, { path: 'temperatureC' }],
    });
  });
  test('a base + fog reads', () => {
    expect(readFogForm({ timeMin: 12, method: 'eye', baseFogD: 0.6 })).toMatchObject({ ok: true });
    expect(readFogForm({ timeMin: 12, method: 'eye', baseFogD: 9 })).toMatchObject({
      ok: false,
      problems: [{ path: 'baseFogD' }],
    });
  });
});

describe('what a bench learns', () => {
  const run: Run = {
    id: 'run',
    ...stamps,
    rollId: 'other',
    planId: plan.id,
    brewId: null,
    developerName: 'Coffee',
    temperatureC: 20,
    pinned: { atMs: NOW, timeMin: 15, lowMin: 11, highMin: 20, ledger: [], evidenceIds: [] },
    setup: { ...setting, target: plan.target },
    steps: [{ kind: 'develop', name: 'Develop', instruction: '', durationS: 900, cues: [] }],
    events: [
      { kind: 'begin', stepIndex: 0, atMs: NOW },
      { kind: 'finish', atMs: NOW + 960_000 },
    ],
  };
  const verdict: Verdict = {
    id: 'verdict',
    ...stamps,
    runId: 'run',
    rollId: 'other',
    contrast: -2,
    fog: 'slight',
    shadows: 'thin',
    evenness: 'even',
    defects: [],
    note: '',
  };

  test('tests and verdicts become pieces, with the time that was really taken', () => {
    const pieces = evidenceOf(
      records(
        [
          record('clip', {
            kind: 'clip',
            timeMin: 12,
            method: 'eye',
            baseFogD: 0.4,
            shadowD: 0.5,
            highlightD: 1.55,
            stopsBetween: 7,
          }),
        ],
        [run],
        [verdict],
      ),
      2026,
    );
    expect(pieces.map(({ evidence }) => evidence.kind).sort()).toEqual(['clip', 'verdict']);
    expect(pieces.find(({ evidence }) => evidence.kind === 'verdict')?.evidence).toMatchObject({
      timeMin: 16,
      fogD: 0.2,
    });
    expect(pieces.find(({ evidence }) => evidence.kind === 'clip')?.evidence).toMatchObject({
      gradient: 1.05 / (7 * Math.log10(2)),
    });
  });
  test('a run whose set-up nobody kept teaches nothing, and neither does one of a film that is gone', () => {
    expect(GrowingEvidence.of(records([], [{ ...run, setup: null }], [verdict]), 2026).pieces()).toEqual([]);
    expect(
      evidenceOf(
        { ...records([record('x', { kind: 'fog', timeMin: 10, method: 'eye', baseFogD: 0.5 }, 'gone')]) },
        2026,
      ),
    ).toEqual([]);
  });
  test('a sister roll that came out too soft lengthens the time; switched off, it does not', () => {
    const learning = learnFrom(records([], [run], [verdict]), 2026);
    const alone = estimate(request).timeMin;
    expect(estimate(request, learning.fitFor(request, [])).timeMin).toBeGreaterThan(alone * 1.05);
    expect(estimate(request, learning.fitFor(request, ['verdict'])).timeMin).toBeCloseTo(alone, 9);
    expect(learning.fitFor(request, [])).toBe(learning.fitFor(request, []));
  });
  test('the nearest pieces come first: of the roll, of its stock, of its developer', () => {
    const learning = learnFrom(
      records([record('own', { kind: 'fog', timeMin: 10, method: 'eye', baseFogD: 0.5 })], [run], [verdict]),
      2026,
    );
    expect(nearestPieces(learning.pieces, request, 9).map(({ evidence }) => evidence.id)).toEqual(['own', 'verdict']);
    expect(
      nearestPieces(learning.pieces, { ...request, rollId: 'a', stockId: 'b', developer: { kind: 'one-bath' } }, 9),
    ).toEqual([]);
  });
});

describe('a pin that moved', () => {
  const answer = estimate(request);
  const pinned = {
    atMs: NOW,
    timeMin: answer.timeMin,
    lowMin: 1,
    highMin: 99,
    ledger: answer.ledger,
    evidenceIds: ['old'],
  };
  test('an unchanged time has not moved', () => expect(pinShift(pinned, answer, [])).toBeNull());
  test('later evidence is the reason, earlier is not', () => {
    const moved = { ...answer, timeMin: answer.timeMin * 1.2 };
    const shift = pinShift(pinned, moved, [
      { pieceId: 'old', timeWithoutMin: answer.timeMin / 2 },
      { pieceId: 'new', timeWithoutMin: answer.timeMin },
    ]);
    expect(shift?.ratio).toBeCloseTo(1.2, 9);
    expect(shift?.reasons).toHaveLength(1);
    expect(shift?.reasons[0]).toMatchObject({ kind: 'evidence', pieceId: 'new' });
  });
  test('without later evidence the rows that changed are', () => {
    const warmer = estimate({ ...request, temperatureC: 24 });
    expect(pinShift(pinned, warmer, [])?.reasons[0]).toMatchObject({ kind: 'row', rowId: 'temperature' });
  });
});
