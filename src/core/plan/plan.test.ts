import { describe, expect, test } from 'vitest';
import { noOwnPriors, rollFormSchema, type RollForm } from './rollForm';
import { soundCondition } from '../films/conditionFacts';
import { rollAge } from '../films/rollAge';
import { stayAt } from '../films/storageStay';
import type { Brew, Plan, Roll, Run } from '../records/records';
import { estimate } from '../estimate/estimate';
import { noEvidence } from '../estimate/fit';
import { narrowingFacts } from '../estimate/narrowingFacts';
import { estimateRequestFor } from './estimateRequestFor';
import { sampleBrew } from '../testing/sampleBrew';
import { developerName } from './developerName';
import { nextAction } from './nextAction';
import { initialPlanForm, planFormOf, readPlanForm, type PlanForm } from './planForm';
import { withStrategy } from './withStrategy';
import { currentPlanForm } from './planInHand';
import { planFacts } from './planFacts';
import { BOUGHT_FRESH, hintsOf } from './rollForm';
import { rollStanding } from './rollStages';

const film = { familyId: 'pan-cubic-fast', formatId: '120', condition: soundCondition } as const;
const form = initialPlanForm(film);
const NOW = Date.UTC(2026, 10, 24, 12);
const stamps = { id: 'x', createdMs: NOW, updatedMs: NOW };
const roll: Roll = {
  ...stamps,
  label: 'Tin',
  stockId: 's',
  formatId: '120',
  hints: [{ kind: 'stamp', year: 1971, slackYears: 3 }],
  storage: [stayAt('room')],
  xrayPasses: 0,
  condition: soundCondition,
  frames: [],
  exposure: { state: 'unknown', year: null, index: null },
  note: '',
};
const stock = { id: 'stock', familyId: 'pan-cubic-fast', iso: 200, own: {} } as const;

function read(part: Partial<PlanForm>, jugs: Brew[] = []) {
  return readPlanForm({ ...form, ...part }, film, jugs);
}
function problemsOf(part: Partial<PlanForm>, jugs: Brew[] = []) {
  const answer = read(part, jugs);
  return answer.ok ? [] : answer.problems;
}
function choicesOf(part: Partial<PlanForm> = {}, jugs: Brew[] = []) {
  const answer = read(part, jugs);
  if (!answer.ok) throw new Error(answer.problems[0]?.message);
  return answer.value;
}

describe('the plan’s form', () => {
  test('opens valid, with a volume that covers the film', () =>
    expect(choicesOf()).toMatchObject({ volumeMl: 500, temperatureC: 20, brewId: null }));
  test.each<[string, Partial<PlanForm>, string, RegExp]>([
    ['300 ml for 120', { volumeMl: 300 }, 'volumeMl', /300 ml does not cover 120 \(roll film\): it needs about 500 ml/],
    ['a word for a temperature', { temperatureC: 'warm' }, 'temperatureC', /5 to 40 °C/],
    ['an empty temperature', { temperatureC: '' }, 'temperatureC', /5 to 40 °C/],
    ['too little soda', { sodaGPerL: 5 }, 'sodaGPerL', /Take more soda/],
    ['no coffee', { agentPerL: 0 }, 'agentPerL', /no coffee/],
    ['a mad amount of coffee', { agentPerL: 4000 }, 'agentPerL', /Instant coffee: give a number from 0 to 1000/],
    [
      'water without concentrate',
      { developerKind: 'concentrate', concentrateParts: 0 },
      'concentrateParts',
      /0\.1 to 100/,
    ],
    ['minus water', { developerKind: 'concentrate', waterParts: -9 }, 'waterParts', /0 to 1000/],
    ['a known time of no length', { knownTimeOn: true, knownTimeMin: 0 }, 'knownTimeMin', /0\.5 to 300 min/],
    ['a jug that was poured away', { developerKind: 'jug', brewId: 'gone' }, 'brewId', /no longer on the bench/],
    ['a time of one’s own of nothing', { ownTimeOn: true, ownTimeMin: '' }, 'ownTimeMin', /My time: give a number/],
    ['a pour of an hour', { pourClock: 'first-drop', pourS: 3600 }, 'pourS', /0 to 120 s/],
    ['a push of nine stops', { pushStops: 9 }, 'pushStops', /-3 to 3/],
  ])('%s explains itself', (_what, part, path, sentence) => {
    expect(problemsOf(part).find((problem) => problem.path === path)?.message ?? '').toMatch(sentence);
  });
  test('what is typed for the other developer does not get in the way', () => {
    expect(problemsOf({ developerKind: 'concentrate', agentPerL: 'lots' })).toEqual([]);
  });
  test('a plan opens as the form it came from', () => {
    const part: Partial<PlanForm> = {
      developerKind: 'concentrate',
      concentrateFamilyId: 'hydroquinone-syrup',
      waterParts: 31,
      knownTimeOn: true,
      knownTimeMin: 7,
      pushStops: 1,
    };
    const plan: Plan = { ...stamps, rollId: 'x', pinned: null, ...choicesOf(part) };
    expect(choicesOf(planFormOf(plan, form))).toEqual(choicesOf(part));
  });
  test('a broken draft is passed over, a good one is taken', () => {
    const withStock = { ...stamps, name: 'Larkholm Pan 200', ...stock };
    expect(currentPlanForm(roll, withStock, undefined, { temperatureC: { evil: true } }).temperatureC).toBe(20);
    expect(currentPlanForm(roll, withStock, undefined, { temperatureC: '21,' }).temperatureC).toBe('21,');
  });
});

describe('from roll and plan to a request', () => {
  test('the whole distribution of the year goes into the request, and its storage', () => {
    const request = estimateRequestFor(roll, stock, choicesOf(), null, NOW);
    expect(request.age.dated?.made.map(({ year }) => year)).toEqual([
      1964, 1965, 1966, 1967, 1968, 1969, 1970, 1971, 1972,
    ]);
    expect(request.age.dated?.made.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
    expect(request.age.dated?.stays).toEqual([{ temperatureC: 21, temperatureSdC: 2, humid: false, untilYear: null }]);
    expect(request.age.sinceExposure[0]?.years).toBeCloseTo(55, 6);
    expect(estimate(request).effectiveAge.value).toBeCloseTo(55, 6);
  });
  test('an undated roll is old to an unknown degree', () => {
    const band = (hints: Roll['hints']) =>
      estimate(
        estimateRequestFor({ ...roll, hints }, stock, choicesOf({ strategyId: 'extend', liftCap: true }), null, NOW),
      ).lnSd;
    expect(band([])).toBeGreaterThan(band([{ kind: 'stamp', year: 1994, slackYears: 0 }]));
  });
  test('hints that contradict each other leave a wide guess', () => {
    const hints: Roll['hints'] = [
      { kind: 'stamp', year: 1960, slackYears: 0 },
      { kind: 'use', what: 'The camera', from: 1990, to: 1999 },
    ];
    expect(rollAge({ ...roll, hints }, 'pan-cubic-fast', 2026)).toMatchObject({
      storage: [{ years: 30 }],
      yearsSd: 15,
    });
  });
  test('what would narrow the band most is named with the band it would leave', () => {
    const facts = (part: Partial<Roll>) => {
      const choices = choicesOf({ strategyId: 'extend', liftCap: true });
      const request = estimateRequestFor({ ...roll, ...part }, stock, choices, null, NOW);
      return narrowingFacts(request, estimate(request), noEvidence).map(({ id }) => id);
    };
    expect(facts({ hints: [] })[0]).toBe('date');
    const of1985 = { hints: [{ kind: 'stamp', year: 1985, slackYears: 3 }] } satisfies Partial<Roll>;
    expect(facts({ ...of1985, storage: [stayAt('unknown')] })[0]).toBe('storage');
    expect(facts({ hints: [{ kind: 'stamp', year: 2030, slackYears: 0 }] })).toEqual([]);
  });
  test('a form that nobody touched opens as recommended, and stays as it was typed after', () => {
    const old: Roll = { ...roll, exposure: { state: 'known', year: null, index: null } };
    const withStock = { ...stock, ...stamps, name: 'Tin' };
    expect(currentPlanForm(old, withStock, undefined, undefined, NOW).strategyId).toBe('extend');
    expect(currentPlanForm(roll, withStock, undefined, undefined, NOW)).toMatchObject({
      strategyId: 'stand',
      agitationId: 'stand',
    });
    expect(currentPlanForm(roll, withStock, undefined, { strategyId: 'hold' }, NOW).strategyId).toBe('hold');
    const lately: Roll = { ...old, hints: [{ kind: 'bought', year: 2026 }] };
    expect(currentPlanForm(lately, withStock, undefined, undefined, NOW).strategyId).toBe('hold');
  });
  test('film bought fresh lately needs no date and has no age', () => {
    expect(hintsOf({ expiredYear: null, dateSlackYears: BOUGHT_FRESH }, 2026)).toEqual([
      { kind: 'bought', year: 2026 },
    ]);
    const request = estimateRequestFor(
      { ...roll, hints: [{ kind: 'bought', year: 2026 }] },
      stock,
      choicesOf(),
      null,
      NOW,
    );
    expect(estimate(request).effectiveAge.value).toBe(0);
  });
  test('film in date has no age, film not exposed no fading', () => {
    const fresh: Roll = {
      ...roll,
      hints: [{ kind: 'stamp', year: 2030, slackYears: 0 }],
      exposure: { state: 'unexposed', year: null, index: null },
    };
    const request = estimateRequestFor(fresh, stock, choicesOf(), null, NOW);
    expect(estimate(request).effectiveAge.value).toBe(0);
    expect(request.age.sinceExposure).toEqual([]);
  });
  test('a jug brings its age and use', () => {
    const jug = sampleBrew(NOW - 2 * 3_600_000, { bromideGPerL: 1, volumeMl: 600, films: 1, mixingLnSd: 0.1 });
    const choices = choicesOf({ developerKind: 'jug', brewId: 'jug' }, [jug]);
    expect(choices).toMatchObject({ brewId: 'jug', bromideGPerL: 1 });
    expect(estimateRequestFor(roll, stock, choices, jug, NOW).wear).toEqual({ ageH: 2, films: 1, volumeMl: 600 });
    expect(estimateRequestFor(roll, stock, choices, jug, NOW).mixingLnSd).toBe(0.1);
    const fixer = sampleBrew(NOW, { use: 'fixer', developer: null });
    expect(
      readPlanForm({ ...initialPlanForm(film), developerKind: 'jug', brewId: 'jug' }, film, [fixer]),
    ).toMatchObject({
      ok: false,
      problems: [{ path: 'brewId', message: expect.stringMatching(/not a film developer/) }],
    });
  });
});

describe('choosing a strategy', () => {
  const start = initialPlanForm(film);
  test('a stand thins a kitchen brew to a third and leaves the tank alone; leaving it brings everything back', () => {
    const stand = withStrategy(start, 'stand', []);
    expect(stand).toMatchObject({
      strategyId: 'stand',
      agitationId: 'stand',
      agentPerL: 13.3,
      ascorbicGPerL: 5.3,
      sodaGPerL: 18,
    });
    expect(withStrategy(stand, 'stand', [])).toEqual(stand);
    expect(withStrategy(stand, 'extend', [])).toEqual({ ...start, strategyId: 'extend' });
  });
  test('a concentrate is diluted to a third of its usual strength', () => {
    expect(withStrategy({ ...start, developerKind: 'concentrate' }, 'stand', [])).toMatchObject({
      concentrateParts: 1,
      waterParts: 77,
    });
  });
  test('a form that does not read stays as typed, and a one-bath knows no stand', () => {
    expect(withStrategy({ ...start, agentPerL: 'much' }, 'stand', [])).toMatchObject({
      agentPerL: 'much',
      agitationId: 'stand',
    });
    expect(withStrategy({ ...start, developerKind: 'one-bath' }, 'stand', [])).toMatchObject({
      agitationId: start.agitationId,
      beforeStand: null,
    });
  });
  test('a one-bath and a room temperature read as choices; an impossible one is told', () => {
    expect(choicesOf({ developerKind: 'one-bath', ambientC: 17 })).toMatchObject({
      developer: { kind: 'one-bath' },
      ambientC: 17,
      bromideGPerL: 0,
    });
    const read = readPlanForm({ ...start, ambientC: 400 }, film, []);
    expect(read).toMatchObject({ ok: false, problems: [{ path: 'ambientC' }] });
  });
  test('a stand that is not thin, and a one-bath moved the wrong way, are facts for the cautions', () => {
    expect(planFacts(film, choicesOf({ strategyId: 'stand' })).thickStand).toBe(true);
    expect(
      planFacts(film, choicesOf({ developerKind: 'one-bath', temperatureC: 24, agitationId: 'gentle' })).oneBath,
    ).toEqual({ agitation: 'gentle', usual: 'continuous', pushed: false });
  });
});

describe('where a roll stands', () => {
  const pinned = { atMs: NOW, timeMin: 12, lowMin: 9, highMin: 16, ledger: [], evidenceIds: [] };
  const plan: Plan = { ...stamps, rollId: 'x', pinned, ...choicesOf() };
  const run: Run = {
    ...stamps,
    rollId: 'x',
    planId: 'x',
    brewId: null,
    developerName: 'Coffee',
    temperatureC: 20,
    pinned,
    setup: null,
    steps: [{ kind: 'develop', name: 'Develop', instruction: '', durationS: 720, cues: [] }],
    events: [],
  };
  const begun: Run = { ...run, events: [{ kind: 'begin', stepIndex: 0, atMs: NOW }] };
  const hung: Run = { ...run, events: [...begun.events, { kind: 'finish', atMs: NOW + 1 }] };
  const monochrome = { familyId: 'pan-cubic-fast' } as const;
  const standing = (part: Partial<Roll>, p?: Plan, r?: Run) =>
    rollStanding({ ...roll, ...part }, monochrome, p, r, undefined);

  test.each<[string, ReturnType<typeof standing>, string]>([
    ['undated', standing({ hints: [] }), 'Add its age'],
    ['unexposed', standing({ exposure: { state: 'unexposed', year: null, index: null } }), 'Expose it'],
    ['known', standing({}), 'Choose a time'],
    ['pinned', standing({}, plan), 'Mix the brew'],
    ['mixed', standing({}, { ...plan, brewId: 'b' }), 'Go to the tank'],
    ['hung', standing({}, { ...plan, brewId: 'b' }, hung), 'Judge it'],
    ['nitrate', standing({ formatId: 'cine35', hints: [{ kind: 'stamp', year: 1950, slackYears: 0 }] }), 'What to do'],
  ])('%s', (_what, where, label) => expect(nextAction(where, false).label).toBe(label));
  test('running', () => expect(nextAction(standing({}, plan, begun), true).label).toBe('Back to the tank'));
  test('a test not taken is passed by, not done', () => expect(standing({}, plan).states.test).toBe('skipped'));
  test('likely nitrate waits in every later stage', () => {
    const { states, forbidden } = standing({
      formatId: 'cine35',
      hints: [{ kind: 'stamp', year: 1950, slackYears: 0 }],
    });
    expect(forbidden).toBe(true);
    expect(Object.values(states).filter((state) => state === 'waiting')).toHaveLength(6);
  });
});

describe('the roll’s form', () => {
  const schema = rollFormSchema(2026);
  const good: RollForm = {
    label: 'Tin 3',
    stockName: 'Larkholm Pan 200',
    familyId: 'pan-cubic-fast',
    iso: 200,
    formatId: '120',
    expiredYear: 1971,
    dateSlackYears: 0,
    storageId: 'room',
    exposureState: 'unknown',
    exposedYear: null,
    exposureIndex: null,
    note: '',
    own: noOwnPriors,
  };
  const messages = (part: Partial<Record<keyof RollForm, unknown>>) => {
    const parsed = schema.safeParse({ ...good, ...part });
    return parsed.success ? [] : parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  };
  test('takes what is known', () => expect(messages({})).toEqual([]));
  test.each<[Partial<Record<keyof RollForm, unknown>>, RegExp]>([
    [
      { own: { ...noOwnPriors, maximumGradient: 99 } },
      /^own.maximumGradient: Largest gradient: give a number from 0.3 to 6/,
    ],
    [{ iso: 'fast' }, /^iso: Film speed: give a number/],
    [{ expiredYear: 1700 }, /^expiredYear: Expiry year: give a year from 1889 to 2036/],
    [{ expiredYear: 1971.5 }, /^expiredYear/],
    [{ exposedYear: 2030 }, /^exposedYear: Exposed: give a year from 1889 to 2026/],
    [{ expiredYear: 1990, exposedYear: 1950 }, /not made before about 1984, so it cannot have been exposed in 1950/],
    [{ exposureState: 'unexposed', exposedYear: 1970 }, /marked as not exposed/],
    [{ exposureIndex: -1 }, /^exposureIndex/],
  ])('%j explains itself', (part, sentence) => expect(messages(part).join('\n')).toMatch(sentence));
  test('film shot before its date, or long after it, is ordinary', () => {
    expect(messages({ expiredYear: 1971, exposedYear: 1968 })).toEqual([]);
    expect(messages({ expiredYear: 1971, exposedYear: 2026 })).toEqual([]);
  });
  test('a guessed date does not accuse', () =>
    expect(messages({ expiredYear: 1990, dateSlackYears: 24, exposedYear: 1962 })).toEqual([]));
});

describe('developers of a plan', () => {
  test('names', () => {
    expect(developerName({ kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } })).toBe(
      'Metol–hydroquinone borax powder, undiluted',
    );
    expect(developerName(choicesOf().developer)).toBe('Instant coffee, 40 g/l');
  });
  test('too little concentrate for a film is a fact for the cautions', () => {
    const choices = choicesOf({ developerKind: 'concentrate', concentrateFamilyId: 'p-aminophenol', waterParts: 300 });
    const { concentrate } = planFacts(film, choices);
    expect(concentrate?.mlPerFilm).toBeLessThan(concentrate?.leastMl ?? 0);
  });
});
