import { describe, expect, test } from 'vitest';
import { besidesWords } from '@/features/roll/choose/besidesWords';
import { completeRequest, estimate } from '@/core/estimate/estimate';
import type { EvidenceInput } from '@/core/estimate/evidenceSchema';
import type { EvidenceItem } from '@/core/estimate/observations';
import { ledgerRowIds } from '@/core/estimate/parameters';
import { piecesOf } from '@/core/estimate/pieces';
import { analysis } from '@/core/estimate/analysis';
import { settingRecordFor } from '@/core/plan/settingRecordFor';
import { soundCondition } from '@/core/films/conditionFacts';
import { stayAt } from '@/core/films/storageStay';
import type { Plan, Roll, Run, Verdict } from '@/core/records/records';
import { initialPlanForm, readPlanForm } from '@/core/plan/planForm';
import { rollStanding, stageIds } from '@/core/plan/rollStages';
import { demoInputs } from '@/core/testing/demoInputs';
import { sampleBrew } from '@/core/testing/sampleBrew';
import { roomYears, sampleRequest } from '@/core/testing/sampleRequest';
import type { RollDossier } from '@/data/queries';
import { testWords, testsByCost } from '@/features/roll/test/testWords';
import { conflictWords, percentWords, pieceOrigin, pieceWords, shiftReasonWords } from '@/features/words/evidenceWords';
import { dilutionWords } from '@/features/dilution/dilutionWords';
import { lowerFirst } from '@/core/units/lowerFirst';
import { rangeWords, rowWords, sourceWords } from '@/features/words/ledgerWords';
import { agedWords, ageWords, rollLine, rollShortLine, storageWords } from '@/features/words/rollWords';
import { stockFamilies } from '@/core/films/stockFamilies';
import { developedFor, stageSummary } from './stageWords';
import { shadowWords } from '@/features/words/strategyWords';

const metric = { temperature: 'C', volume: 'ml' } as const;
const us = { temperature: 'F', volume: 'floz' } as const;
const { NOW, stock } = demoInputs;
const stamps = { id: 'x', createdMs: NOW, updatedMs: NOW };
const roll: Roll = { ...demoInputs.roll, storage: [stayAt('room', 1985), stayAt('cellar')] };

describe('a roll in words', () => {
  test('its age', () => {
    expect(ageWords(roll, stock, 2026)).toBe('55 ± 2 years past its date');
    expect(ageWords({ ...roll, hints: [{ kind: 'stamp', year: 1971, slackYears: 0 }] }, stock, 2026)).toBe(
      '55 years past its date',
    );
    expect(ageWords({ ...roll, hints: [] }, stock, 2026)).toBe('age unknown');
    expect(ageWords({ ...roll, hints: [{ kind: 'stamp', year: 2029, slackYears: 0 }] }, stock, 2026)).toBe('in date');
    expect(
      ageWords({ ...roll, formatId: '126', hints: [{ kind: 'stamp', year: 1950, slackYears: 0 }] }, stock, 2026),
    ).toBe('hints contradict each other');
  });
  test('its keeping, told once for each place', () => {
    expect(storageWords(roll)).toBe('room, then cellar');
    expect(storageWords({ ...roll, storage: [stayAt('room', 1980), stayAt('room')] })).toBe('room');
    expect(storageWords({ ...roll, storage: [stayAt('unknown')] })).toBe('storage unknown');
  });
  test('its lines', () => {
    expect(rollLine(roll, stock, 2026)).toBe(
      'Larkholm Pan 200 · 120 (roll film) · 55 ± 2 years past its date · room, then cellar · unknown exposures',
    );
    expect(rollShortLine(roll, stock, 2026)).toBe('Larkholm Pan 200 · 55 ± 2 years · unknown exposures');
  });
});

describe('the ledger in words', () => {
  const request = sampleRequest({
    age: roomYears(31),
    bromideGPerL: 1,
    strategy: { id: 'extend' },
    target: { purpose: 'scan', pushStops: 1 },
    wear: { films: 1, ageH: 1, volumeMl: 500 },
  });
  const answer = estimate(request);
  const words = (id: string, units: typeof metric | typeof us = metric, r = request) => {
    const row = estimate(r).ledger.find((line) => line.id === id);
    if (row === undefined) throw new Error(`No row ${id}.`);
    return rowWords(row, r, estimate(r), units);
  };
  test('every row has a label, an explanation in whole sentences, and a known source', () => {
    for (const row of answer.ledger) {
      const { label, explanation } = rowWords(row, request, answer, metric);
      expect(label).not.toBe('');
      expect(explanation).toMatch(/\.$/);
      expect(sourceWords[row.source]).not.toBe('');
    }
    expect(answer.ledger.map(({ id }) => id)).toEqual([...ledgerRowIds]);
  });
  test('conditions are named as they are', () => {
    expect(words('wear').label).toBe('1 film through this brew, 1.0 h old');
    expect(words('age').label).toBe('Age and fog');
    expect(words('strategy').label).toBe('Longer, up to the cap');
    expect(words('target').label).toBe('Scanning, pushed 1.0');
  });
  test('temperatures follow the user’s unit', () => {
    expect(words('temperature', metric).label).toBe('20.0 °C');
    expect(words('temperature', us).label).toBe('68.0 °F');
  });
  test('a known time says so', () => {
    const known = sampleRequest({ knownTime: { timeMin: 11, temperatureC: 24, source: 'leaflet' } });
    expect(words('base', metric, known)).toMatchObject({
      label: 'The time you know',
      note: '11:00 for fresh film at 24.0 °C, carried to 20 °C and the usual strength',
    });
  });
  test('what is out of reach is told with the best there is', () => {
    const far = sampleRequest({
      film: { familyId: 'colour-negative-current', iso: 200 },
      target: { purpose: 'diffusion', pushStops: 3 },
    });
    expect(words('target', metric, far).note).toMatch(/out of reach; 0\.87 is the best/);
  });
  test('ranges and small letters', () => {
    expect(rangeWords({ value: 0.514, low: 0.38, high: 0.7 }, 2)).toBe('0.51 (0.38–0.70)');
    expect(rangeWords({ value: 1, low: 1, high: 1.001 }, 1)).toBe('1.0');
    expect(lowerFirst('Instant coffee, 40 g/l')).toBe('instant coffee, 40 g/l');
  });
});

describe('stages in one line', () => {
  const choices = readPlanForm(
    initialPlanForm({ familyId: 'pan-cubic-fast', formatId: '120', condition: soundCondition }),
    { formatId: '120' },
    [],
  );
  if (!choices.ok) throw new Error('The first form is not valid.');
  const pinned = { atMs: NOW, timeMin: 15.33, lowMin: 11.8, highMin: 19.8, ledger: [], evidenceIds: [] };
  const plan: Plan = { ...stamps, rollId: 'x', ...choices.value, pinned };
  const run: Run = {
    ...stamps,
    rollId: 'x',
    planId: 'x',
    brewId: null,
    developerName: 'Coffee',
    temperatureC: 20,
    pinned,
    setup: null,
    steps: [{ kind: 'develop', name: 'Develop', instruction: '', durationS: 920, cues: [] }],
    events: [{ kind: 'begin', stepIndex: 0, atMs: NOW }],
  };
  const hung: Run = { ...run, events: [...run.events, { kind: 'finish', atMs: NOW + 925_000 }] };
  const verdict: Verdict = {
    ...stamps,
    runId: 'x',
    rollId: 'x',
    contrast: -1,
    fog: 'slight',
    shadows: 'thin',
    evenness: 'even',
    defects: [],
    note: '',
  };
  const dossier = (part: Partial<RollDossier> = {}): RollDossier => {
    const whole = {
      roll,
      stock,
      plan: undefined,
      brew: undefined,
      run: undefined,
      verdict: undefined,
      planDraft: undefined,
      ...part,
    };
    return { evidence: [], ...whole, standing: rollStanding(whole.roll, stock, whole.plan, whole.run, whole.verdict) };
  };
  const line = (id: (typeof stageIds)[number], part: Partial<RollDossier> = {}) =>
    stageSummary(id, dossier(part), null, metric, 2026);

  test('nothing decided yet', () => {
    expect(line('choose')).toBe('No time set yet');
    expect(line('run')).toBe('Waits for a time');
    expect(line('judge')).toBe('Waits for dry film');
  });
  test('pinned, running, hung, judged', () => {
    expect(line('choose', { plan })).toBe('15:20 (11:50–19:50) in Instant coffee, 40 g/l at 20.0 °C');
    expect(line('mix', { plan })).toBe('500 ml to mix');
    expect(line('run', { plan, run })).toBe('At the tank: Develop');
    expect(line('run', { plan, run: hung })).toMatch(/^Hung to dry 24 Nov 2026/);
    expect(line('judge', { plan, run: hung })).toBe('Judge the dry negatives');
    expect(line('judge', { plan, run: hung, verdict })).toBe('Contrast a little soft · slight fog');
  });
  test('tests are counted by kind', () => {
    const finding = (kind: 'drop' | 'fog'): RollDossier['evidence'][number] => ({
      ...stamps,
      rollId: 'x',
      setting: settingRecordFor(plan, null, NOW),
      finding:
        kind === 'fog'
          ? { kind, timeMin: 12, method: 'eye', baseFogD: 0.5 }
          : { kind, pairs: [{ brewS: 60, knownS: 30 }], known: { kind: 'one-bath' } },
      note: '',
    });
    expect(line('test')).toBe('Optional');
    expect(line('test', { plan })).toBe('Not tested');
    expect(line('test', { evidence: [finding('fog'), finding('drop'), finding('drop')] })).toBe(
      '2 drop tests, 1 measured base + fog',
    );
  });
  test('how long it really developed', () => {
    expect(developedFor(run)).toBeNull();
    expect(developedFor(hung)).toBe('15:25');
  });
  test('a forbidden roll says so in every stage', () => {
    const nitrate: Roll = { ...roll, formatId: 'cine35', hints: [{ kind: 'stamp', year: 1950, slackYears: 0 }] };
    for (const id of stageIds) expect(line(id, { roll: nitrate })).toMatch(/do not process/);
  });
});

describe('evidence in words', () => {
  const request = sampleRequest({ rollId: 'x', age: roomYears(20) });
  const pieceOf = (evidence: EvidenceInput): EvidenceItem =>
    piecesOf(completeRequest({ ...request, evidence: [evidence] }))[0] as EvidenceItem;
  const clip = pieceOf({ kind: 'clip', id: 'clip', timeMin: 11, gradient: 0.44, baseFogD: 0.4, method: 'densities' });
  test.each<[EvidenceInput, string]>([
    [{ kind: 'chart', id: 'a', timeMin: 8, source: 'leaflet' }, 'A leaflet says 8:00 in instant coffee, 40 g/l'],
    [
      {
        kind: 'drop',
        id: 'b',
        rateRatio: 0.5,
        known: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
      },
      'Drop test: 0.50 times as fast as metol–hydroquinone borax powder, undiluted',
    ],
    [{ kind: 'clip', id: 'c', timeMin: 11, gradient: 0.44, method: 'eye' }, 'Clip of 11:00, by eye: gradient 0.44'],
    [
      { kind: 'fog', id: 'd', timeMin: 12, baseFogD: 0.5, method: 'densities' },
      'Base + fog 0.50 after 12:00, by densities',
    ],
    [{ kind: 'verdict', id: 'e', timeMin: 14, contrast: -1 }, 'Run of 14:00, judged a little soft'],
  ])('%j', (evidence, words) => expect(pieceWords(pieceOf(evidence))).toBe(words));
  test('where it comes from', () => {
    expect(pieceOrigin(clip, { rollId: 'x' }, [], metric)).toBe('this roll · instant coffee, 40 g/l · 20.0 °C');
    expect(pieceOrigin(clip, { rollId: 'y' }, [{ ...roll, id: 'x', label: 'Tin 4' }], us)).toBe(
      'Tin 4 · instant coffee, 40 g/l · 68.0 °F',
    );
    expect(pieceOrigin(clip, { rollId: 'y' }, [], metric)).toMatch(/^another roll/);
  });
  test('per cent more, less, or next to nothing', () =>
    expect([1.123, 0.9, 1.001].map(percentWords)).toEqual(['+12 %', '−10 %', 'under 1 %']));
  test('a conflict says what, how far, and what to do', () => {
    expect(conflictWords({ pieceId: 'clip', measure: 'gradient', distanceSd: 4.26, above: true, weight: 0.49 })).toBe(
      'It says a higher gradient than everything else, 4.3 standard deviations off, so it counts for 49 % of its weight. Check what was written down, or switch it off.',
    );
  });
  test('why a pin moved: the piece by its words, a row by its label', () => {
    const whole = { ...analysis(completeRequest({ ...request, evidence: [clip.evidence] })), listed: [clip] };
    expect(shiftReasonWords({ kind: 'evidence', pieceId: 'clip', ratio: 1.1 }, whole, metric, [])).toBe(
      '“Clip of 11:00, by densities: gradient 0.44, base + fog 0.40” (this roll, +10 %)',
    );
    expect(shiftReasonWords({ kind: 'evidence', pieceId: 'gone', ratio: 1.1 }, whole, metric, [])).toBe(
      'later evidence (+10 %)',
    );
    expect(shiftReasonWords({ kind: 'row', rowId: 'temperature', ratio: 0.8 }, whole, metric, [])).toBe(
      '20.0 °C (−20 %)',
    );
  });
  test('a base that evidence moved says from where', () => {
    const moved = completeRequest({ ...request, evidence: [{ kind: 'verdict', id: 'v', timeMin: 12, contrast: -2 }] });
    const answer = estimate(moved);
    expect(rowWords(answer.ledger[0] as (typeof answer.ledger)[number], moved, answer, metric).note).toMatch(
      /the family’s 12:50, adjusted from your runs/,
    );
  });
});

describe('strategies and tests in words', () => {
  test('shadows', () => {
    expect(shadowWords(null)).toBe('none usable');
    expect(shadowWords({ zoneStops: 0, separationD: 0.171 })).toBe('0.17 D, from the deepest');
    expect(shadowWords({ zoneStops: 1, separationD: 0.2 })).toBe('0.20 D, 1 stop up');
  });
  test('every test is a sentence with its cost', () => {
    for (const id of testsByCost) {
      const { sentence, cost } = testWords(id, 13.9);
      expect(sentence).toMatch(/^[A-Z].*\.$/);
      expect(cost).not.toBe('');
    }
    expect(testWords('clip', 13.9).sentence).toBe('Develop a clip for 13:55 and read its densities.');
  });
});

describe('dilutions in words', () => {
  const volumes = { concentrateMl: 15.625, waterMl: 484.375 };
  test('concentrate and water make the total, and the reading is named', () => {
    expect(dilutionWords(null, { concentrate: 1, water: 31 }, volumes, metric)).toBe(
      '15.6 ml + 484 ml water = 500 ml.',
    );
    expect(dilutionWords('in-total', { concentrate: 15, water: 485 }, volumes, metric)).toMatch(
      /^Read as so much concentrate in the whole, 15\+485: /,
    );
  });
});

describe('a jug in the ledger', () => {
  const part = (name: string, target: number, actual: number | null) => ({
    key: name,
    name,
    unit: 'g' as const,
    target,
    actual,
    how: 'scale' as const,
    lnSd: 0.01,
    makeup: { kind: 'own' as const },
  });
  const strengthOf = (request: ReturnType<typeof sampleRequest>, parts: ReturnType<typeof part>[]): string => {
    const answer = estimate(request);
    const row = answer.ledger.find(({ id }) => id === 'strength');
    return row === undefined ? '' : rowWords(row, request, answer, metric, sampleBrew(NOW, { parts })).note;
  };
  test('says what went in for what was wanted, or that it went in as wanted', () => {
    expect(strengthOf(sampleRequest(), [part('Instant coffee', 20, 18.6)])).toMatch(
      /^weighed: 18.6 g instant coffee for 20.0 g; pH 10.3/,
    );
    expect(strengthOf(sampleRequest(), [part('Instant coffee', 20, 20)])).toMatch(/^weighed as planned; pH/);
    expect(strengthOf(sampleRequest(), [])).toMatch(/^pH 10.3/);
  });
  test('a bought developer has a mixing, and no coffee to be held against', () => {
    const concentrate = {
      kind: 'concentrate' as const,
      familyId: 'p-aminophenol' as const,
      parts: { concentrate: 1, water: 50 },
    };
    expect(strengthOf(sampleRequest({ developer: concentrate, mixingLnSd: 0.08 }), [])).toBe(
      'measured to ± 8 % of its strength',
    );
    expect(strengthOf(sampleRequest({ developer: concentrate }), [])).toBe('as usual');
  });
});

test('what a jug held besides its main things is told in its own units', () => {
  expect(
    besidesWords({
      agents: [{ agentId: 'dark-beer', amountPerL: 200 }],
      others: [{ substanceId: 'borax', amountPerL: 5 }],
    }),
  ).toBe('dark beer 200.0 ml/l, borax 5.0 g/l');
  expect(besidesWords({ agents: [], others: [] })).toBe('');
});

describe('what age has done', () => {
  const aged = (age: number, fogD: number, stops: number) =>
    agedWords(
      {
        effectiveAge: { value: age, low: age, high: age },
        baseFogD: { value: fogD, low: fogD, high: fogD },
        imageLossStops: { value: stops, low: stops, high: stops },
      },
      { familyId: 'pan-cubic-fast', own: {} },
    );
  const fresh = stockFamilies['pan-cubic-fast'].freshBaseFogD;
  test.each([
    [31, 0.2, 1.9, 'Aged like 31 years at room temperature; expect some fog and about 2 stops lost'],
    [1, 0.01, 0.1, 'Aged like 1 year at room temperature; expect hardly any fog and hardly any speed lost'],
    [60, 0.9, 4.6, 'Aged like 60 years at room temperature; expect heavy fog and about 4.5 stops lost'],
    [0.2, 0, 0, 'As good as fresh'],
  ])('%d room-years', (age, fogD, stops, words) => expect(aged(age, fresh + fogD, stops)).toBe(words));
});
