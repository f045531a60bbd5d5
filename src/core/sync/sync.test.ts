import { describe, expect, test } from 'vitest';
import { cases } from '../testing/cases';
import { chance, type Chance } from '../testing/chance';
import { editOf, isLater, knownOf, markOf, type Edit, type Known, type Row, type SyncedTable } from './edit';
import { fold, keyOf, type Folded } from './fold';
import { journalHead, journalLines, readJournal } from './journalFile';

const DAY_MS = 86_400_000;

/** A device as the bench drives one: its records, what it knows of them, and the journal that it alone writes. */
class Device {
  readonly rows = new Map<string, Row>();
  readonly known = new Map<string, Known>();
  readonly journal: Edit[] = [];

  constructor(
    readonly id: string,
    /** How far its clock is off, ms. */
    readonly skewMs: number,
  ) {}

  put(table: SyncedTable, row: Row, nowMs: number): void {
    this.rows.set(keyOf(table, row.id), { ...row, updatedMs: nowMs + this.skewMs });
  }

  /** Takes a record away, with all that belongs to it, as the bench does. */
  remove(table: SyncedTable, id: string): void {
    this.rows.delete(keyOf(table, id));
    for (const [key, row] of [...this.rows])
      if (row.rollId === id || row.stockId === id) this.remove(key.split(' ')[0] as SyncedTable, row.id);
  }

  /** Writes what was done since, then takes what the others' journals hold so far. */
  step(others: readonly (readonly Edit[])[], nowMs: number): void {
    for (const key of new Set([...this.rows.keys(), ...this.known.keys()])) {
      const [table = '', id = ''] = key.split(' ');
      const by = { device: this.id, nowMs: nowMs + this.skewMs };
      const row = this.rows.get(key) ?? null;
      const edit = editOf(this.known.get(key), { table: table as SyncedTable, id }, row, by);
      if (edit === null) continue;
      this.journal.push(edit);
      this.known.set(key, knownOf(row, edit.ms));
    }
    for (const [key, { row, ms, held }] of fold([...this.journal, ...others.flat()])) {
      if (held) continue;
      if (row === null) this.rows.delete(key);
      else this.rows.set(key, row);
      this.known.set(key, knownOf(row, ms));
    }
  }
}

const plain = (device: Device): string[] => [...device.rows].map(([key, row]) => `${key} ${markOf(row)}`).sort();

/** One act of somebody on a device. */
function actOn(device: Device, luck: Chance, nowMs: number, next: () => string): void {
  const of = (table: string): Row[] =>
    [...device.rows].flatMap(([key, row]) => (key.startsWith(`${table} `) ? [row] : []));
  const rolls = of('rolls');
  const stocks = of('stocks');
  const what = luck.uniform();
  if (stocks.length === 0 || what < 0.08) device.put('stocks', { id: next(), name: next() }, nowMs);
  else if (rolls.length === 0 || what < 0.3)
    device.put('rolls', { id: next(), stockId: luck.pick(stocks).id, boxId: null, label: next(), note: '' }, nowMs);
  else if (what < 0.4) device.put('plans', { id: next(), rollId: luck.pick(rolls).id, brewId: null, min: 8 }, nowMs);
  else if (what < 0.48) device.remove('rolls', luck.pick(rolls).id);
  else if (what < 0.5) device.remove('stocks', luck.pick(stocks).id);
  else {
    const row = { ...luck.pick(rolls) };
    if (luck.uniform() < 0.5) row.label = next();
    else row.note = next();
    device.put('rolls', row, nowMs);
  }
}

/** Three devices, some hundred acts each, journals that come late, in part and out of order. */
function month(seed: number): { devices: Device[]; edits: Edit[] } {
  const luck = chance(seed);
  const devices = ['anvil', 'bellows', 'chisel'].map((id) => new Device(id, luck.pick([0, 0, -DAY_MS, DAY_MS])));
  let nowMs = 1_800_000_000_000;
  let made = 0;
  const next = (): string => `x${(made += 1)}`;
  for (let act = 0; act < 500; act++) {
    nowMs += 60_000;
    const device = luck.pick(devices);
    actOn(device, luck, nowMs, next);
    if (luck.uniform() > 0.1) continue;
    // What a folder has of the others' journals: their beginnings, each as far as it came.
    const others = devices
      .filter((one) => one !== device)
      .map(({ journal }) => journal.slice(0, Math.floor(luck.uniform(0, 1.2) * journal.length)));
    device.step(luck.uniform() < 0.5 ? others : [...others.toReversed(), ...others], nowMs);
  }
  for (let round = 0; round < 3; round++)
    for (const device of devices)
      device.step(
        devices.filter((one) => one !== device).map(({ journal }) => journal),
        (nowMs += 60_000),
      );
  return { devices, edits: devices.flatMap(({ journal }) => journal) };
}

describe('three devices on one folder', () => {
  test('come to the same records, and nothing that was typed is lost but to a later edit of its field', () => {
    for (let seed = 1; seed <= cases(30, 200); seed++) {
      const { devices, edits } = month(seed);
      const [first, ...others] = devices.map(plain);
      for (const other of others) expect(other, `seed ${seed}`).toEqual(first);
      const rows = devices[0]?.rows ?? new Map<string, Row>();
      const byKey = new Map<string, Edit[]>();
      for (const edit of edits) {
        const key = keyOf(edit.table, edit.id);
        byKey.set(key, [...(byKey.get(key) ?? []), edit]);
      }
      for (const [key, some] of byKey) {
        const last = some.reduce((a, b) => (isLater(b, a) ? b : a));
        const row = rows.get(key);
        // Whoever typed last keeps the record; a removal that came last takes it, unless something belongs to it.
        if (last.fields !== null) expect(row, `${key}, seed ${seed}`).toBeDefined();
        if (row === undefined) continue;
        for (const field of ['label', 'note', 'name']) {
          const writers = some.filter((edit) => edit.fields?.includes(field) === true);
          if (writers.length === 0) continue;
          const latest = writers.reduce((a, b) => (isLater(b, a) ? b : a));
          expect(row[field], `${field} of ${key}, seed ${seed}`).toEqual(latest.row?.[field]);
        }
      }
    }
  });
  test('two who edit different fields of one roll keep both; of one field the later counts, by its clock', () => {
    const [a, b] = [new Device('a', 0), new Device('b', 0)];
    a.put('stocks', { id: 's', name: 'Larkholm Pan' }, 1000);
    a.put('rolls', { id: 'r', stockId: 's', boxId: null, label: 'Tin', note: '' }, 1000);
    a.step([], 2000);
    b.step([a.journal], 2000);
    a.put('rolls', { ...(a.rows.get('rolls r') as Row), label: 'Tin 3' }, 3000);
    b.put('rolls', { ...(b.rows.get('rolls r') as Row), note: 'smells of vinegar' }, 4000);
    a.step([], 5000);
    b.step([a.journal], 5000);
    a.step([b.journal], 6000);
    expect(a.rows.get('rolls r')).toMatchObject({ label: 'Tin 3', note: 'smells of vinegar' });
    expect(plain(a)).toEqual(plain(b));
  });
  test('what is removed stays removed, and comes back where somebody put something to it', () => {
    const [a, b] = [new Device('a', 0), new Device('b', 0)];
    a.put('stocks', { id: 's', name: 'Larkholm Pan' }, 1000);
    a.put('rolls', { id: 'r', stockId: 's', boxId: null, label: 'Tin', note: '' }, 1000);
    a.step([], 1000);
    b.step([a.journal], 1000);
    a.remove('rolls', 'r');
    a.step([b.journal], 2000);
    b.step([a.journal], 2000);
    expect([a, b].map(({ rows }) => rows.has('rolls r'))).toEqual([false, false]);
    // Removed here, planned there, and neither knew of the other.
    const [c, d] = [new Device('c', 0), new Device('d', 0)];
    c.put('stocks', { id: 's', name: 'Larkholm Pan' }, 1000);
    c.put('rolls', { id: 'r', stockId: 's', boxId: null, label: 'Tin', note: '' }, 1000);
    c.step([], 1000);
    d.step([c.journal], 1000);
    d.put('plans', { id: 'p', rollId: 'r', brewId: null, min: 9 }, 1500);
    c.remove('rolls', 'r');
    c.step([], 2000);
    d.step([c.journal], 2500);
    c.step([d.journal], 3000);
    expect(c.rows.get('rolls r')).toMatchObject({ label: 'Tin' });
    expect(plain(c)).toEqual(plain(d));
  });
  test('what belongs to something that has not come waits for it; two sound halves that make nonsense are the later one', () => {
    const edit = (part: Partial<Edit> & { row: Row }): Edit => ({
      table: 'plans',
      id: part.row.id,
      ms: 1,
      device: 'a',
      fields: Object.keys(part.row),
      ...part,
    });
    const plan = edit({ row: { id: 'p', rollId: 'r', low: 1, high: 2 } });
    const found = (some: Edit[], check?: (table: SyncedTable, row: Row) => boolean): Folded | undefined =>
      fold(some, check).get('plans p');
    expect(found([plan])?.held).toBe(true);
    const roll = edit({ table: 'rolls', row: { id: 'r', stockId: 's' } });
    const stock = edit({ table: 'stocks', row: { id: 's' } });
    expect(found([plan, roll, stock])).toMatchObject({ held: false, row: { low: 1 } });
    const lower = edit({ ms: 2, fields: ['high'], row: { id: 'p', rollId: 'r', low: 1, high: 1.5 } });
    const higher = edit({ ms: 3, device: 'b', fields: ['low'], row: { id: 'p', rollId: 'r', low: 1.8, high: 2 } });
    const sound = (_: SyncedTable, row: Row): boolean => row.low === undefined || Number(row.low) < Number(row.high);
    expect(found([plan, roll, stock, lower, higher], sound)?.row).toMatchObject({ low: 1.8, high: 2 });
  });
});

describe('a journal in its file', () => {
  const edits = month(3).devices[0]?.journal ?? [];
  const text = journalHead('anvil', 'The laptop') + journalLines(edits);
  test('comes back as it went', () => {
    expect(readJournal(text, 'a')).toEqual({ ok: true, journal: { device: 'anvil', name: 'The laptop', edits } });
  });
  test('half of it, cut anywhere, holds its whole lines', () => {
    for (let cut = text.indexOf('\n') + 1; cut < text.length; cut += 997) {
      const read = readJournal(text.slice(0, cut), 'a');
      const whole = text.slice(0, cut).split('\n').length - 2;
      expect(read.ok && read.journal.edits).toEqual(edits.slice(0, whole));
    }
  });
  test('one that was damaged is set aside, and named', () => {
    const middle = text.indexOf('\n', text.length / 2) + 20;
    const damaged = `${text.slice(0, middle)}~${text.slice(middle + 1)}`;
    expect(readJournal(damaged, 'a')).toMatchObject({
      ok: false,
      name: 'The laptop',
      why: expect.stringContaining('damaged'),
    });
    expect(readJournal('A shopping list\nmilk\n', 'list.txt')).toEqual({
      ok: false,
      name: 'list.txt',
      why: 'It is no journal.',
    });
    const newer = text.replace(/"shape":\d+/, '"shape":99');
    expect(readJournal(newer, 'a')).toMatchObject({ ok: false, why: expect.stringContaining('newer Aetas') });
  });
  test('an edit in a foreign name is no edit of this journal', () => {
    const foreign = journalHead('bellows', 'x') + journalLines(edits);
    expect(readJournal(foreign, 'a').ok).toBe(false);
  });
});

test('keys in another order are the same value', () => {
  expect(markOf({ a: 1, b: [{ c: 2, d: 3 }] })).toBe(markOf({ b: [{ d: 3, c: 2 }], a: 1, e: undefined }));
  expect(markOf({ a: 1 })).not.toBe(markOf({ a: 2 }));
});
