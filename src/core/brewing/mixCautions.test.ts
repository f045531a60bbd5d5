import { describe, expect, test } from 'vitest';
import type { SubstanceTrait } from '../chemistry/substances';
import { cautionNoteSchema } from '../safety/cautionNote';
import { mixCautionsAt, mixRules, traitsOf, type MixMoment } from './mixCautions';

const moment = (adding: SubstanceTrait[], inJug: SubstanceTrait[] = [], part: Partial<MixMoment> = {}): MixMoment => ({
  step: 'part',
  use: 'film-developer',
  adding: new Set(adding),
  inJug: new Set(inJug),
  firstPowder: false,
  animal: false,
  ...part,
});
const ids = (...given: Parameters<typeof moment>): string[] => mixCautionsAt(moment(...given)).map(({ id }) => id);

describe('each rule speaks where it bites, and is silent next to it', () => {
  // Rule, a moment in which it speaks, and the nearest one in which it does not.
  const pairs: [string, Parameters<typeof moment>, Parameters<typeof moment>][] = [
    ['vessels', [[], [], { step: 'water' }], [[], [], { step: 'top-up' }]],
    ['powder-mask', [['powder'], [], { firstPowder: true }], [['powder'], ['powder']]],
    ['alkali-gloves', [['alkali']], [['alkali'], ['alkali']]],
    ['caustic-heat', [['caustic']], [['alkali'], ['caustic']]],
    ['carbonate-acid', [['acid'], ['carbonate']], [['acid'], ['alkali']]],
    ['ammonium-alkali', [['alkali'], ['ammonium']], [['acid'], ['ammonium']]],
    ['sulfite-acid', [['sulfite'], ['acid']], [['sulfite'], ['carbonate']]],
    ['sealed-can', [['sealed']], [['infusion'], ['sealed']]],
    ['acid-eyes', [['acid', 'irritant']], [['acid']]],
    ['safety-sheet', [['bought']], [['bought'], ['bought']]],
    ['unknown', [['unknown']], [['kitchen'], ['unknown']]],
    ['harmful', [['harmful']], [['kitchen'], ['harmful']]],
    ['biohazard', [[], [], { animal: true }], [[], [], { animal: true, step: 'stand' }]],
    ['bleach', [[], [], { use: 'fixer', step: 'measure' }], [[], [], { use: 'stop', step: 'measure' }]],
    ['label', [[], [], { step: 'measure' }], [[], [], { step: 'strain' }]],
  ];
  test.each(pairs)('%s', (id, speaks, silent) => {
    expect(ids(...speaks)).toContain(id);
    expect(ids(...silent)).not.toContain(id);
  });
  test('the table above leaves none out', () =>
    expect(pairs.map(([id]) => id).sort()).toEqual(mixRules.map(({ id }) => id).sort()));
  test('two that meet are told whichever comes first, and one alone is not', () => {
    for (const [one, other, id] of [
      ['carbonate', 'acid', 'carbonate-acid'],
      ['ammonium', 'alkali', 'ammonium-alkali'],
      ['sulfite', 'acid', 'sulfite-acid'],
    ] as const) {
      expect(ids([one], [other])).toContain(id);
      expect(ids([other], [one])).toContain(id);
      expect(ids([one])).not.toContain(id);
      expect(ids([], [one, other])).not.toContain(id);
    }
  });
  test('what they say fits the schema of cautions', () => {
    for (const note of mixCautionsAt(moment(['caustic', 'alkali', 'powder', 'ammonium'], [], { firstPowder: true })))
      expect(cautionNoteSchema.safeParse(note).success).toBe(true);
  });
});

describe('what a part is', () => {
  test('effervescent tablets are acid and carbonate at once, plain ones acid', () => {
    expect(traitsOf({ kind: 'tablets', activeMg: 1000, massG: 4.5, effervescent: true })).toEqual([
      'acid',
      'carbonate',
      'kitchen',
    ]);
    expect(traitsOf({ kind: 'tablets', activeMg: 1000, massG: 1.2, effervescent: false })).toEqual(['acid', 'kitchen']);
  });
  test('a packet is a powder; what was bought has its own sheet; of an unknown nothing is claimed', () => {
    expect(traitsOf({ kind: 'packet', familyId: null, packetG: 100, makesMl: 1000 })).toEqual(['powder', 'bought']);
    expect(traitsOf({ kind: 'concentrate', familyId: null })).toEqual(['bought']);
    expect(traitsOf({ kind: 'own' })).toEqual(['unknown']);
  });
});
