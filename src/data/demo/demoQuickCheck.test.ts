import { describe, expect, test } from 'vitest';
import * as z from 'zod';
import { seededEven } from '@/core/kit/seededNoise';
import { recordSchemas, type TableName } from '@/core/records/records';
import { quickCheck } from '@/core/schema/quickCheck';
import { demoRecords } from './demoRecords';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));
let tick = 0;
const random = (): number => seededEven(1958, tick++);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const odd = [null, undefined, '', ' ', 'x'.repeat(6000), -1, 0, 1e9, 1e308, NaN, Infinity, 0.5, true, [], {}, [[]]];

/** The same record with one value, anywhere in it, made odd, left out or added. */
function oddly(record: unknown): unknown {
  const copy = structuredClone(record);
  const places: { holder: Record<string, unknown>; name: string }[] = [];
  const collect = (value: unknown): void => {
    if (typeof value !== 'object' || value === null || value instanceof Blob) return;
    for (const [name, entry] of Object.entries(value)) {
      places.push({ holder: value as Record<string, unknown>, name });
      collect(entry);
    }
  };
  collect(copy);
  const { holder, name } = pick(places);
  const way = random();
  if (way < 0.2 && !Array.isArray(holder)) Reflect.deleteProperty(holder, name);
  else if (way < 0.3 && !Array.isArray(holder)) holder.unheard = 1;
  else if (way < 0.5) holder[name] = pick(places).holder;
  else holder[name] = pick(odd);
  return copy;
}

describe('a quick check', () => {
  const tables = (Object.keys(recordSchemas) as TableName[]).filter((table) => records[table].length > 0);

  test.each(tables)('of %s never says yes to what the schema refuses or changes', (table) => {
    const schema: z.ZodType = recordSchemas[table];
    const quick = quickCheck(schema);
    let yes = 0;
    let refused = 0;
    for (let n = 0; n < 1500; n++) {
      const record = oddly(pick(records[table] as unknown[]));
      const answer = schema.safeParse(record);
      if (!answer.success) refused += 1;
      if (!quick(record)) continue;
      yes += 1;
      expect(answer.success).toBe(true);
      expect(answer.data).toEqual(record);
    }
    expect(refused).toBeGreaterThan(100);
    if (table !== 'photos' && table !== 'drafts') expect(yes).toBeGreaterThan(5);
  });

  test('says yes to the records as they are written', () => {
    for (const table of tables.filter((name) => name !== 'photos' && name !== 'drafts')) {
      const quick = quickCheck(recordSchemas[table]);
      for (const record of records[table] as unknown[]) expect([table, quick(record)]).toEqual([table, true]);
    }
  });

  test('leaves to the schema what it does not know, and what the schema would change', () => {
    const cases: [z.ZodType, unknown][] = [
      [z.string().trim(), ' a '],
      [z.string().transform((text) => text.length), 'a'],
      [z.object({ a: z.number() }), { a: 1, b: 2 }],
      [z.object({ a: z.number().default(3) }), {}],
      [z.union([z.string(), z.number()]), 1],
      [z.coerce.date(), 0],
      [z.lazy(() => z.number()), 1],
      [
        z
          .number()
          .min(0)
          .refine((value) => value !== 3),
        3,
      ],
      [z.int().refine((value) => value !== 3), 3],
      [
        z
          .uint32()
          .refine((value) => value !== 3)
          .refine((value) => value !== 4),
        3,
      ],
      [z.number().gt(2).lte(5), 2],
      [z.int().min(1), Number.MAX_SAFE_INTEGER + 1],
      [
        z
          .string()
          .length(2)
          .refine((text) => text !== 'ab'),
        'ab',
      ],
      [z.array(z.number()).max(1), [1, 2]],
    ];
    for (const [schema, value] of cases) expect(quickCheck(schema)(value)).toBe(false);
  });
});
