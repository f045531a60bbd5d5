import { describe, expect, test } from 'vitest';
import { pieceOfTest } from '../learning/benchEvidence';
import { demoInputs } from '../testing/demoInputs';
import { sampleBrew } from '../testing/sampleBrew';
import type { EvidenceRecord } from '../records/records';
import { emptyTrial, readTrial, type TrialValues } from './trial';
import { emptyLessons, teachingStrips, trialLessons, type LessonForm } from './trialLessons';

const NOW = Date.parse('2026-11-30T12:00:00Z');
const laid = readTrial({ ...emptyTrial, name: 'Mugs', measures: ['gradient', 'fog'], blocks: 2, perBlock: 2 }, 7);
if (!laid.ok) throw new Error('The trial was not laid out.');
/** Every strip read but the last, which is lost. */
const trial: TrialValues = {
  ...laid.value,
  strips: laid.value.strips.map((strip, index, all) =>
    index === all.length - 1
      ? { ...strip, lost: 'torn' }
      : { ...strip, developed: true, values: { gradient: 0.5 + 0.1 * strip.level, fog: 0.4 } },
  ),
};
const brews = [
  sampleBrew(NOW, { id: 'strong' }),
  sampleBrew(NOW, { id: 'thin' }),
  sampleBrew(NOW, { id: 'fixer', use: 'fixer', developer: null }),
];
const form: LessonForm = {
  ...emptyLessons(trial),
  rollIds: ['roll-a', 'roll-b'],
  levels: [
    { brewId: 'strong', timeMin: 12 },
    { brewId: 'thin', timeMin: 15 },
  ],
};

describe('what a trial teaches', () => {
  test('each strip that was read is a clip of its roll in its jug, with its gradient and fog as they were read', () => {
    const lessons = trialLessons(trial, form, brews);
    expect(lessons.ok && lessons.value).toHaveLength(3);
    for (const { code, rollId, setting, finding, note } of lessons.ok ? lessons.value : []) {
      const strip = trial.strips.find((one) => one.code === code);
      expect(rollId).toBe(strip?.block === 0 ? 'roll-a' : 'roll-b');
      expect(setting.brewId).toBe(strip?.level === 0 ? 'strong' : 'thin');
      expect(note).toBe(`Strip ${code} of the trial “Mugs”`);
      const stamps = { id: `lesson-${code}`, createdMs: NOW, updatedMs: NOW };
      const record: EvidenceRecord = { ...stamps, rollId, setting, finding, note };
      const film = { roll: { ...demoInputs.roll, id: rollId }, stock: demoInputs.stock };
      const { evidence } = pieceOfTest(record, film, 2026).piece;
      expect(evidence.kind === 'clip' ? evidence.gradient : null).toBeCloseTo(strip?.values.gradient ?? 0, 9);
      expect(evidence.kind === 'clip' ? evidence.baseFogD : null).toBe(0.4);
    }
  });

  test('a strip that a camera read teaches with the doubt of that camera, and no strip is a densitometer’s by silence', () => {
    const doubt = { camera: 'c', cameraLnSd: 0.15, ownLnSd: 0.03 };
    const curve = { clearD: 0.4, points: [0, 1, 2].map((logH) => ({ logH, densityD: 0.4 + logH })), doubt };
    const read = { ...trial, strips: trial.strips.map((strip) => ({ ...strip, curve })) };
    const taught = trialLessons(read, form, brews);
    expect(taught.ok && taught.value.map(({ finding }) => 'doubt' in finding && finding.doubt)).toEqual(
      Array.from({ length: taught.ok ? taught.value.length : 9 }, () => doubt),
    );
  });

  test('a level has its own temperature, agitation or roll where that differs', () => {
    const levels: LessonForm['levels'] = form.levels.map((level, at) => ({
      ...level,
      temperatureC: 18 + 6 * at,
      agitationId: at === 0 ? 'ten-each-minute' : 'continuous',
      rollId: `film-${at}`,
    }));
    const told = (varied: LessonForm['varied']) => {
      const lessons = trialLessons(trial, { ...form, levels, varied }, brews);
      return new Map(
        (lessons.ok ? lessons.value : []).map(({ setting, rollId }) => [setting.brewId, { setting, rollId }]),
      );
    };
    expect(told('brew').get('thin')?.setting).toMatchObject({ temperatureC: 20, agitationId: 'ten-each-minute' });
    expect(told('temperature').get('thin')?.setting.temperatureC).toBe(24);
    expect(told('agitation').get('thin')?.setting.agitationId).toBe('continuous');
    expect(told('film').get('thin')?.rollId).toBe('film-1');
    expect(told('film').get('strong')?.rollId).toBe('film-0');
  });

  test('a level without a jug and a row without a roll are left out; with none there is nothing to learn', () => {
    const half = trialLessons(trial, { ...form, rollIds: ['roll-a', ''] }, brews);
    expect(half.ok && half.value.every(({ rollId }) => rollId === 'roll-a')).toBe(true);
    expect(trialLessons(trial, emptyLessons(trial), brews)).toMatchObject({
      ok: false,
      problems: [{ path: 'levels' }],
    });
  });

  test('what is wrong is named by its field: no time, a jug that is no developer, a bath that is none', () => {
    const wrong = trialLessons(
      trial,
      {
        ...form,
        temperatureC: 'warm',
        levels: [
          { brewId: 'fixer', timeMin: 12 },
          { brewId: 'thin', timeMin: '' },
        ],
      },
      brews,
    );
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual([
      'temperatureC',
      'levels.0.brewId',
      'levels.1.timeMin',
    ]);
  });

  test('a grade by eye teaches nothing here', () => {
    const byEye = { ...trial, strips: trial.strips.map((strip) => ({ ...strip, values: { contrast: 1, fog: 0.4 } })) };
    expect(teachingStrips(byEye)).toEqual([]);
  });
});
