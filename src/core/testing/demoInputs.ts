import { soundCondition } from '../films/conditionFacts';
import { stayAt } from '../films/storageStay';
import type { Plan, Roll, Stock } from '../records/records';
import { initialPlanForm, readPlanForm } from '../plan/planForm';

const NOW = Date.UTC(2026, 10, 24, 12);
const stamps = { id: 'x', createdMs: NOW, updatedMs: NOW };
const stock: Stock = { ...stamps, name: 'Larkholm Pan 200', familyId: 'pan-cubic-fast', iso: 200, own: {} };
const roll: Roll = {
  ...stamps,
  label: 'Tin',
  stockId: 'x',
  formatId: '120',
  hints: [{ kind: 'stamp', year: 1971, slackYears: 3 }],
  storage: [stayAt('room')],
  xrayPasses: 0,
  condition: soundCondition,
  exposure: { state: 'unknown', year: null, index: null },
  frames: [],
  note: '',
};
const choices = readPlanForm(
  initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }),
  roll,
  [],
);
if (!choices.ok) throw new Error('The first form is not valid.');
const plan: Plan = {
  ...stamps,
  rollId: 'x',
  ...choices.value,
  pinned: { atMs: NOW, timeMin: 15, lowMin: 11, highMin: 20, ledger: [], evidenceIds: [] },
};

/** A roll with its stock and a pinned plan, for tests. */
export const demoInputs = { NOW, roll, stock, plan };
