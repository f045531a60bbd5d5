import { describe, expect, test } from 'vitest';
import { sampleRequest } from '../testing/sampleRequest';
import { answersOfRun, type RunKnowledge } from './answersOfRun';
import { causeIds, causes, type Cause, type CauseId } from './causes';
import { answersOf, diagnose, nextQuestion, wentWrong } from './diagnose';
import { questionIds, questions, usual, type Answers } from './questions';

const first = (answers: Answers): CauseId => diagnose(answers)[0]?.id as CauseId;
const of = (answers: Answers, id: CauseId): number => diagnose(answers).find((one) => one.id === id)?.probability ?? 0;

describe('the tables', () => {
  test('priors add up to about one, and every likelihood is a distribution over the answers', () => {
    expect(causeIds.reduce((sum, id) => sum + causes[id].prior, 0)).toBeCloseTo(1, 1);
    for (const question of questionIds) {
      const answers = Object.keys(questions[question].options).sort();
      const tables = [usual[question], ...causeIds.flatMap((id) => (causes[id] as Cause).says[question] ?? [])];
      for (const table of tables) {
        expect(Object.keys(table).sort()).toEqual(answers);
        expect(Object.values(table).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(Math.min(...Object.values(table))).toBeGreaterThan(0);
      }
    }
  });
});

describe('posteriors worked by hand', () => {
  test('milky base alone: 0.05 · 0.91 against every other prior · its share of milky', () => {
    const others = causeIds
      .filter((id) => id !== 'under-fixed')
      .reduce((sum, id) => sum + causes[id].prior * ((causes[id] as Cause).says.base ?? usual.base).milky, 0);
    expect(of({ base: 'milky' }, 'under-fixed')).toBeCloseTo((0.05 * 0.91) / (0.05 * 0.91 + others), 9);
  });
  test('two answers multiply: thin image under a good rim is the exposure, under a thin rim the development', () => {
    // 0.13 · 0.84 · 0.866 against 0.12 · 0.08 · 0.916, and the other way round 0.13 · 0.02 · 0.866 against 0.12 · 0.69 · 0.916.
    const good =
      of({ rim: 'good', image: 'thin' }, 'under-exposed') / of({ rim: 'good', image: 'thin' }, 'under-developed');
    expect(good).toBeCloseTo((0.13 * 0.84 * 0.866) / (0.12 * 0.08 * 0.916), 6);
    const thin =
      of({ rim: 'thin', image: 'thin' }, 'under-exposed') / of({ rim: 'thin', image: 'thin' }, 'under-developed');
    expect(thin).toBeCloseTo((0.13 * 0.02 * 0.866) / (0.12 * 0.69 * 0.916), 6);
  });
  test('nothing seen: the priors', () => expect(of({}, 'fog-age') / of({}, 'under-fixed')).toBeCloseTo(0.11 / 0.05, 9));
});

/** Written cases: what somebody saw, and what it was. */
const cases: [string, Answers, CauseId][] = [
  ['thin, black shadows, good rim', { rim: 'good', image: 'thin', shadows: 'missing' }, 'under-exposed'],
  [
    'thin here and there, good rim',
    { rim: 'good', image: 'thin', shadows: 'missing', frames: 'differ' },
    'under-exposed',
  ],
  ['blank with a good rim', { rim: 'good', image: 'none', frames: 'alike' }, 'unexposed'],
  [
    'blank, even fog, rim grey',
    { rim: 'thin', image: 'none', fog: 'even', brew: 'fresh', soda: 'washing' },
    'latent-lost',
  ],
  [
    'faint, even fog, rim good, no shadows',
    { rim: 'good', image: 'thin', fog: 'even', shadows: 'missing', frames: 'alike' },
    'latent-lost',
  ],
  ['thin, rim thin, shadows there', { rim: 'thin', image: 'thin', shadows: 'there', brew: 'fresh' }, 'under-developed'],
  ['thin, rim thin, cold', { rim: 'thin', image: 'thin', brew: 'cold' }, 'under-developed'],
  ['thin, rim thin, second evening', { rim: 'thin', image: 'thin', brew: 'old' }, 'weak-brew'],
  ['nothing, rim thin, brew of the morning', { rim: 'thin', image: 'none', brew: 'old', soda: 'washing' }, 'weak-brew'],
  ['nothing, no rim, baking soda', { rim: 'missing', image: 'none', soda: 'baking' }, 'wrong-soda'],
  [
    'nothing, rim missing, not sure of the soda',
    { rim: 'missing', image: 'none', soda: 'baking', brew: 'fresh' },
    'wrong-soda',
  ],
  ['next to nothing, baking soda', { rim: 'thin', image: 'thin', soda: 'baking', shadows: 'missing' }, 'wrong-soda'],
  ['dense all over', { image: 'dense', shadows: 'there', frames: 'alike' }, 'over-developed'],
  ['dense, rim black', { image: 'dense', rim: 'good', shadows: 'there' }, 'over-developed'],
  ['even grey, image fair', { fog: 'even', image: 'good', shadows: 'there' }, 'fog-age'],
  ['even grey on a good film', { fog: 'even', image: 'good', rim: 'good' }, 'fog-age'],
  ['flashes between frames', { fog: 'patches', frames: 'differ', image: 'good' }, 'fog-light'],
  ['dark edges of the outer turns', { fog: 'edges', frames: 'differ', image: 'good' }, 'fog-light'],
  ['bars that come back', { fog: 'bars', image: 'good' }, 'fog-xray'],
  [
    'one-bath, thin, rim thin, shaken',
    { image: 'thin', rim: 'thin', brew: 'right', soda: 'other', shadows: 'there' },
    'one-bath-stirred',
  ],
  ['milky', { base: 'milky', image: 'good' }, 'under-fixed'],
  ['milky and thin', { base: 'milky', image: 'thin' }, 'under-fixed'],
  ['black smears', { base: 'smears', image: 'good' }, 'remjet-left'],
  ['brown base', { base: 'coloured', image: 'good' }, 'coupler-stain'],
  ['one half darker', { marks: 'broad', image: 'good' }, 'no-first-movement'],
  ['round spots', { marks: 'rings', image: 'good' }, 'bubbles'],
  ['grit', { marks: 'specks', image: 'good' }, 'grains'],
  ['dried drops', { marks: 'crust', image: 'good' }, 'hard-water'],
  ['streaks below the holes after a stand', { marks: 'streaks', image: 'good' }, 'bromide-drag'],
  ['crescents', { marks: 'crescents', image: 'good' }, 'pressure'],
  ['cracked like mud', { marks: 'net', image: 'good' }, 'reticulation'],
];

describe('written cases', () => {
  test.each(cases)('%s', (_what, answers, cause) => expect(first(answers)).toBe(cause));
  test('there are thirty of them, and every cause has one', () => {
    expect(cases.length).toBeGreaterThanOrEqual(30);
    expect([...new Set(cases.map(([, , cause]) => cause))].sort()).toEqual([...causeIds].sort());
  });
});

describe('the next question', () => {
  test('a thin image without shadows asks for the rim: it is the key witness', () =>
    expect(['rim', 'fog', 'soda']).toContain(nextQuestion({ image: 'thin', shadows: 'missing', frames: 'alike' })));
  test('where the cause is plain, nothing more is asked', () =>
    expect(
      nextQuestion({
        marks: 'net',
        image: 'good',
        shadows: 'there',
        frames: 'alike',
        fog: 'clear',
        base: 'clean',
        rim: 'good',
        run: 'planned',
        start: 'moved',
        expected: 'little',
      }),
    ).toBeNull());
  test('it never asks twice', () => {
    let answers: Answers = {};
    for (let asked = nextQuestion(answers); asked !== null; asked = nextQuestion(answers)) {
      expect(answers[asked]).toBeUndefined();
      answers = { ...answers, [asked]: Object.keys(questions[asked].options)[0] };
    }
  });
});

describe('from a run', () => {
  const known: RunKnowledge = {
    developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 50 } },
    wear: { ageH: 0.1, films: 0 },
    soda: null,
    doseRatio: 1.01,
    firstAgitationS: 0,
    expectedFogD: 0.6,
    readFogD: null,
  };
  test('a bought developer holds no baking soda, and a run that was cued lacked no agitation', () => {
    const told = answersOfRun(known);
    expect(told).toEqual({ soda: 'other', brew: 'right', run: 'planned', start: 'moved', expected: 'much' });
    const thin = { ...told, image: 'thin', shadows: 'missing' } as const;
    expect(of(thin, 'wrong-soda')).toBeLessThan(0.005);
    expect(of({ ...told, marks: 'broad' }, 'no-first-movement')).toBeLessThan(
      of({ marks: 'broad' }, 'no-first-movement'),
    );
  });
  test('black film is suspected of fog, the more the older it is, and never of too little exposure', () => {
    const black = diagnose({ ...answersOfRun(known), image: 'black' });
    expect(black[0]?.id).toBe('fog-age');
    expect(of({ image: 'black' }, 'under-exposed')).toBeLessThan(0.02);
    const young = { ...answersOfRun({ ...known, expectedFogD: 0.02 }), image: 'black' } as const;
    expect(diagnose(young)[0]?.id).toBe('fog-light');
  });
  test('a kitchen brew by what was weighed, an old jug as old, a short dose as short, a read fog as read', () => {
    const coffee = sampleRequest().developer;
    expect(answersOfRun({ ...known, developer: coffee, soda: 'washing', wear: { ageH: 3, films: 0 } })).toMatchObject({
      soda: 'washing',
      brew: 'old',
    });
    expect(answersOfRun({ ...known, developer: coffee, soda: null })).toMatchObject({ soda: undefined });
    expect(answersOfRun({ ...known, doseRatio: 0.8, firstAgitationS: null, readFogD: 0.02 })).toMatchObject({
      run: 'short',
      start: 'still',
      fog: 'clear',
    });
  });
});

describe('from a verdict', () => {
  const fine = { contrast: 0, fog: 'clear', shadows: 'open', evenness: 'even', defects: [] } as const;
  test('what it said already is not asked again', () => {
    expect(answersOf({ ...fine, contrast: -2, shadows: 'lost', defects: [] })).toMatchObject({
      image: 'thin',
      shadows: 'missing',
    });
    expect(answersOf({ ...fine, defects: ['no-image'] })).toEqual({ image: 'none' });
    expect(answersOf({ ...fine, fog: 'heavy', defects: ['no-image', 'black'] })).toEqual({ image: 'black' });
    expect(answersOf({ ...fine, defects: ['rem-jet-smear'] })).toMatchObject({ base: 'smears' });
    expect(answersOf({ ...fine, evenness: 'streaked', defects: [] })).toMatchObject({ marks: 'streaks' });
  });
  test('a good film gives no cause to ask', () => {
    expect(wentWrong({ ...fine, defects: [] })).toBe(false);
    expect(wentWrong({ ...fine, defects: ['dust'] })).toBe(false);
    expect(wentWrong({ ...fine, contrast: -1, defects: [] })).toBe(true);
  });
});
