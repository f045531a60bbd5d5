import fc from 'fast-check';
import { ascorbicFormIds } from '../chemistry/ascorbicForms';
import { formulary, formularyIds } from '../brewing/formulary';
import { recipeUseIds } from '../brewing/recipe';
import {
  freeKey,
  initialWorkbench,
  lineForName,
  lineOfKind,
  sodaChoices,
  type LineForm,
  type WorkbenchForm,
} from '../brewing/workbenchForm';
import { substanceIds, substanceOf } from '../chemistry/substances';
import { spoonSetIds, type Kit } from '../kit/kit';

/** What hands type into a number field: mostly numbers, some of them senseless, and now and then no number at all. */
const typedNumber = (min: number, max: number): fc.Arbitrary<number | string> =>
  fc.oneof(
    { weight: 12, arbitrary: fc.double({ min, max, noNaN: true }) },
    { weight: 1, arbitrary: fc.constantFrom<number | string>('', 'much', '1,5', -3, 0, 1e9, Number.POSITIVE_INFINITY) },
  );

const anyLine: fc.Arbitrary<LineForm> = fc.oneof(
  fc
    .record({ id: fc.constantFrom(...substanceIds), perL: typedNumber(0.01, 300) })
    .map(({ id, perL }) => ({ ...lineForName(substanceOf(id).name, 'new'), perL })),
  fc
    .record({ name: fc.constantFrom('moss', 'goat milk', 'Part A'), perL: typedNumber(0.01, 200) })
    .map(({ name, perL }) => ({ ...lineOfKind(name, 'own', 'new'), perL })),
  fc
    .record({ concentrateParts: typedNumber(0.5, 5), waterParts: typedNumber(0, 120) })
    .map((parts) => ({ ...lineOfKind('Syrup', 'concentrate', 'new', 'hydroquinone-syrup'), ...parts })),
  fc
    .record({ packetG: typedNumber(1, 500), makesMl: typedNumber(100, 5000) })
    .map((packet) => ({ ...lineOfKind('Packet', 'packet', 'new', 'mq-borax'), ...packet })),
);

/** Any workbench that hands could leave behind, in its fields and in its lines. */
export const anyWorkbench: fc.Arbitrary<WorkbenchForm> = fc
  .record({
    id: fc.constantFrom(...formularyIds),
    more: fc.array(anyLine, { maxLength: 4 }),
    part: fc.record({
      use: fc.constantFrom(...recipeUseIds),
      measureBy: fc.constantFrom('scale' as const, 'spoons' as const),
      scaleTo: fc.constantFrom('tank' as const, 'bottle' as const, 'scarcest' as const),
      reels: typedNumber(1, 8),
      coverMl: typedNumber(20, 1000),
      marginPercent: typedNumber(0, 60),
      bottleMl: typedNumber(20, 5000),
      scarcestHave: typedNumber(0.1, 500),
      sodaForm: fc.constantFrom(...sodaChoices),
      ascorbicForm: fc.constantFrom(...ascorbicFormIds),
      tabletMg: typedNumber(50, 2000),
      tabletG: typedNumber(0.2, 8),
      targetC: typedNumber(5, 60),
      hotC: typedNumber(20, 100),
      coldC: typedNumber(0, 25),
      roomC: typedNumber(-5, 40),
    }),
  })
  .map(({ id, more, part }) => {
    const start = initialWorkbench(formulary[id], null);
    const lines = more.reduce<LineForm[]>((list, line) => [...list, { ...line, key: freeKey(list) }], start.lines);
    return { ...start, ...part, lines };
  });

/** Any kit that a kitchen could hold. */
export const anyKit: fc.Arbitrary<Kit> = fc.record({
  scaleStepG: fc.constantFrom(0.01, 0.1, 0.5, 1, 5),
  scaleMostG: fc.constantFrom(200, 5000),
  cylinderStepMl: fc.constantFrom(0.1, 1, 5, 25),
  thermometerStepC: fc.constantFrom(0.1, 0.5, 1, 2),
  thermometerLowC: fc.constantFrom(-10, 0, 34),
  thermometerHighC: fc.constantFrom(42, 100),
  spoons: fc.constantFrom(...spoonSetIds),
  scale: fc.constant('none' as const),
  probe: fc.constant('none' as const),
});
