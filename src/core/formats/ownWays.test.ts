import { describe, expect, test } from 'vitest';
import { bathsOf, usualWetChoice } from '../plan/wetProcess';
import { bathFormSchema, bathFormsOf } from '../schedule/bathForm';
import { bathsSchema } from '../schedule/baths';
import { ownWays } from './migrations/ownWays';

const wet = usualWetChoice({ remJet: true, longSoak: false, fixMin: 4.5, carbonateBrew: true });

describe('plans from before baths were a list', () => {
  test('keep every bath that they had chosen, second by second', () => {
    const { plans } = ownWays.change({ plans: [{ id: 'a', wet }] });
    const [plan] = plans as { baths: unknown; movement: unknown; ownTimeMin: unknown }[];
    expect(plan?.baths).toEqual(bathsOf(wet));
    expect(bathsSchema.safeParse(plan?.baths).success).toBe(true);
    expect(plan).not.toHaveProperty('wet');
    expect(plan).toMatchObject({ movement: null, ownTimeMin: null });
  });
  test('a plan whose choices do not read keeps the developer alone', () => {
    const { plans } = ownWays.change({ plans: [{ id: 'a', wet: { ...wet, stopId: 'constructor' } }] });
    expect((plans as { baths: unknown[] }[])[0]?.baths).toHaveLength(1);
  });
  test('a half-typed plan keeps its choices too, and what it typed besides', () => {
    const values = { ...wet, temperatureC: 'luke' };
    const { drafts } = ownWays.change({
      drafts: [
        { id: 'plan:a', values },
        { id: 'roll:a', values: { note: 'x' } },
      ],
    });
    const [draft, other] = drafts as { values: { baths?: unknown[]; temperatureC?: unknown } }[];
    expect(draft?.values.baths).toEqual(bathFormsOf(bathsOf(wet)));
    expect(draft?.values.baths?.every((form) => bathFormSchema.safeParse(form).success)).toBe(true);
    expect(draft?.values.temperatureC).toBe('luke');
    expect(other?.values).toEqual({ note: 'x' });
  });
});
