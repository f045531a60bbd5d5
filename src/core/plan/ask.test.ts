import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { organicAgentIds } from '../chemistry/organicAgents';
import { estimate } from '../estimate/estimate';
import { strategyIds } from '../estimate/strategyIds';
import { filmFormats } from '../films/filmFormats';
import { stockFamilies } from '../films/stockFamilies';
import { storagePresetIds } from '../films/storagePresets';
import { exposureStates } from '../records/records';
import { limits } from '../schema/limits';
import { askAnswer } from './askAnswer';
import {
  askFromFragment,
  askSchema,
  askToFragment,
  changeAsk,
  MOST_YEARS_PAST,
  firstAsk,
  planFormOfAsk,
  requestOfAsk,
  rollOfAsk,
  type Ask,
} from './ask';
import { estimateRequestFor } from './estimateRequestFor';
import { currentPlanForm } from './planInHand';
import { readPlanForm } from './planForm';

const NOW = Date.UTC(2026, 10, 30, 12);
const keysOf = <K extends string>(table: Record<K, unknown>): K[] => Object.keys(table) as K[];

const anyAsk: fc.Arbitrary<Ask> = fc.record({
  familyId: fc.constantFrom(...keysOf(stockFamilies)),
  formatId: fc.constantFrom(...keysOf(filmFormats), 'unknown' as const),
  past: fc.oneof(fc.constantFrom('new' as const, 'unknown' as const), fc.integer({ min: 0, max: MOST_YEARS_PAST })),
  storageId: fc.constantFrom(...storagePresetIds),
  exposure: fc.constantFrom(...keysOf(exposureStates)),
  developer: fc.constantFrom(...organicAgentIds, ...developerFamilyIds, 'one-bath' as const, 'unknown' as const),
  temperatureC: fc.oneof(fc.constant(null), fc.integer(limits.bathC)),
  knownMin: fc.oneof(fc.constant(null), fc.integer({ min: 1, max: 180 })),
  knownC: fc.integer(limits.bathC),
  strategy: fc.constantFrom('advised' as const, ...strategyIds),
});

describe('the question as an address', () => {
  test('reads back to the same question', () => {
    fc.assert(
      fc.property(anyAsk, (ask) => {
        expect(askFromFragment(`#${askToFragment(ask)}`)).toEqual({ ask, unread: [], newer: false });
      }),
    );
  });
  test('what does not read is named, and the rest stands', () => {
    const read = askFromFragment('#ask=1&film=marble&past=400&kept=fridge&at=hot&beer=yes');
    expect(read?.unread).toEqual(['film', 'past', 'at', 'beer']);
    expect(read?.ask).toEqual({ ...firstAsk, storageId: 'fridge' });
  });
  test('a later version opens what it can, and another fragment is no question', () => {
    expect(askFromFragment('#ask=2&past=9')).toMatchObject({ newer: true, ask: { past: 9 } });
    expect(askFromFragment('#choose')).toBeNull();
    expect(askFromFragment('')).toBeNull();
  });
  test('any text is read without a throw', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = askFromFragment(`ask=1&${text}`);
        expect(askSchema.safeParse(read?.ask).success).toBe(true);
      }),
    );
  });
});

describe('the answer', () => {
  test('is that of the same roll on the bench, whatever is asked', () => {
    fc.assert(
      fc.property(anyAsk, (ask) => {
        const asked = requestOfAsk(ask, [], NOW);
        const { roll, stock } = rollOfAsk(ask, NOW);
        // On the bench the plan’s form is a draft of the roll’s page.
        const form = currentPlanForm(roll, stock, undefined, planFormOfAsk(ask, [], NOW), NOW);
        const read = readPlanForm(form, roll, []);
        if (!read.ok) throw new Error(read.problems[0]?.message);
        expect(asked?.request).toEqual(estimateRequestFor(roll, stock, read.value, null, NOW));
      }),
      { numRuns: 60 },
    );
  });
  test('stands for every question, with its band around it', () => {
    fc.assert(
      fc.property(anyAsk, (ask) => {
        const answer = askAnswer(ask, [], NOW);
        expect(answer?.timeMin).toBeGreaterThan(0);
        expect(answer?.lowMin).toBeLessThanOrEqual(answer?.timeMin ?? 0);
        expect(answer?.highMin).toBeGreaterThanOrEqual(answer?.timeMin ?? 0);
      }),
      { numRuns: 30 },
    );
  });
  test('a leaflet that says a time for fresh film gives that time back for fresh film', () => {
    const asked = requestOfAsk(
      { ...firstAsk, past: 'new', developer: 'mq-borax', knownMin: 9.75, strategy: 'hold' },
      [],
      NOW,
    );
    expect(asked === null ? 0 : estimate(asked.request).timeMin).toBeCloseTo(9.75, 1);
  });
  test('a jug that is gone makes no plan; old cine film likely on nitrate says so', () => {
    expect(askAnswer({ ...firstAsk, developer: 'jug:gone' }, [], NOW)).toBeNull();
    const old: Ask = { ...firstAsk, familyId: 'cine-monochrome-negative', formatId: 'cine35', past: 95 };
    expect(askAnswer(old, [], NOW)?.nitrate).toBe('likely');
  });
});

describe('a known time belongs to its film and developer', () => {
  const known = changeAsk(firstAsk, { knownMin: 9.75, knownC: 24 }).ask;
  test.each([
    { developer: 'mq-borax' },
    { developer: 'jug:a' },
    { familyId: 'orthochromatic' },
  ] satisfies Partial<Ask>[])('with another one (%j) it waits, and is there again with the one before', (part) => {
    const away = changeAsk(known, part);
    expect(away.ask).toMatchObject({ knownMin: null, knownC: 20 });
    const back = changeAsk(away.ask, { developer: known.developer, familyId: known.familyId }, away.elsewhere);
    expect(back.ask).toEqual(known);
    expect(back.elsewhere).toEqual({});
  });
  test('each pair keeps its own; what is no film and no developer moves nothing', () => {
    const away = changeAsk(known, { developer: 'mq-borax' });
    const both = changeAsk(away.ask, { knownMin: 7 }, away.elsewhere);
    const coffee = changeAsk(both.ask, { developer: known.developer }, both.elsewhere);
    expect(coffee.ask.knownMin).toBe(9.75);
    expect(changeAsk(coffee.ask, { developer: 'mq-borax' }, coffee.elsewhere).ask.knownMin).toBe(7);
    expect(changeAsk(known, { past: 40, temperatureC: 22, strategy: 'stand' }).ask.knownMin).toBe(9.75);
  });
  test('no answer is that of a time for another developer', () => {
    const away = changeAsk(known, { developer: 'mq-borax' }).ask;
    expect(askAnswer(away, [], NOW)?.timeMin).toBeCloseTo(
      askAnswer({ ...firstAsk, developer: 'mq-borax' }, [], NOW)?.timeMin ?? 0,
      9,
    );
  });
});
