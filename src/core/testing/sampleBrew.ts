import { initialWorkbench } from '../brewing/workbenchForm';
import { formulary, type FormularyId } from '../brewing/formulary';
import { workbench, type Sheet } from '../brewing/workbench';
import type { WorkbenchForm } from '../brewing/workbenchForm';
import type { Brew } from '../records/records';
import { ordinaryKit, type Kit } from '../kit/kit';

/** A jug of standard coffee, mixed at an instant. */
export function sampleBrew(mixedMs: number, part: Partial<Brew> = {}): Brew {
  return {
    id: 'jug',
    createdMs: mixedMs,
    updatedMs: mixedMs,
    name: 'Hut coffee',
    code: 'HUTC',
    use: 'film-developer',
    developer: {
      kind: 'improvised',
      agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
      ascorbicGPerL: 16,
      sodaGPerL: 54,
      others: [],
    },
    bromideGPerL: 0,
    volumeMl: 500,
    mixedMs,
    parts: [],
    temperatureC: null,
    ph: null,
    mixingLnSd: null,
    films: 0,
    ...part,
  };
}

/** A kit that shows a tenth of a gram and a millilitre. */
export const fineKit: Kit = { ...ordinaryKit, scaleStepG: 0.1, cylinderStepMl: 1 };

/** A recipe of the formulary for half a litre, with packets that weigh 110 g. */
export function formFor(id: FormularyId, part: Partial<WorkbenchForm> = {}): WorkbenchForm {
  const start = initialWorkbench(formulary[id], null);
  return {
    ...start,
    lines: start.lines.map((line) => (line.kind === 'packet' ? { ...line, packetG: 110 } : line)),
    scaleTo: 'bottle',
    bottleMl: 500,
    ...part,
  };
}

/** The sheet of a recipe of the formulary for half a litre; the test fails when there is none. */
export function sheetFor(id: FormularyId, part: Partial<WorkbenchForm> = {}, kit: Kit = fineKit): Sheet {
  const { problems, sheet } = workbench(formFor(id, part), kit);
  if (sheet === null) throw new Error(problems.map(({ path, message }) => `${path}: ${message}`).join('\n'));
  return sheet;
}
