import { developerKey } from '../estimate/situation';
import type { Evidence } from '../estimate/evidenceSchema';
import type { Piece } from '../estimate/observations';
import type { SituationInput } from '../estimate/situationSchema';
import { rollAge, type RollHistory } from '../films/rollAge';
import type { EvidenceRecord, Records, Roll, Run, Stock, Verdict } from '../records/records';
import { patchGradient } from '../densitometry/patchGradient';
import { eyeScatter, type EyeScatter } from '../outcome/eyeScatter';
import { stockFamilies } from '../films/stockFamilies';
import { BLACK_FOG_D, fogGradeD, imageOf } from '../outcome/grades';
import { neededTime, type HeldRun } from '../outcome/neededTime';
import { developingTank } from '../run/developingTank';
import { runProgress } from '../run/runProgress';
import { timeForDose } from '../thermal/drift';
import { tankDose } from '../run/tankTemperature';
import { dropRatio } from '../evidence/dropTest';
import type { SettingRecord } from '../evidence/evidenceRecord';

/** The records that the bench learns from. */
export type LearningRecords = Pick<Records, 'stocks' | 'rolls' | 'runs' | 'verdicts' | 'evidence'>;

/** A film as evidence knows it: what decides its age, and its stock. */
export interface LearningFilm {
  roll: RollHistory & Pick<Roll, 'id'>;
  stock: Pick<Stock, 'id' | 'familyId' | 'iso' | 'own'>;
}

/** A run that was judged: what it was set up with, how long it developed, and the verdict. */
export interface JudgedRun {
  runId: string;
  rollId: string;
  verdictId: string;
  /** Instant of the verdict, ms since the epoch. */
  atMs: number;
  setup: NonNullable<Run['setup']>;
  /** Minutes of the bath that was planned. */
  timeMin: number;
  /** Null for film without an image: it says nothing of its contrast. */
  contrast: Verdict['contrast'] | null;
  fog: Verdict['fog'];
  /** The contrast judged once more on other days. */
  again: readonly number[];
  /** The time that it would have needed, beside the band that was pinned; null where that is not known. */
  held: HeldRun | null;
}

/** A piece of evidence and when it came about. */
export interface DatedPiece {
  atMs: number;
  piece: Piece;
}

/** The piece of a test or a chart time. */
export function pieceOfTest(record: EvidenceRecord, film: LearningFilm, nowYear: number): DatedPiece {
  return {
    atMs: record.createdMs,
    piece: {
      evidence: evidenceOf(record),
      setting: settingFor(film, record.setting, thatYear(record.createdMs, nowYear)),
    },
  };
}

/** The year in which something came about: film is as old as it was then. */
function thatYear(atMs: number, nowYear: number): number {
  return Math.min(nowYear, new Date(atMs).getFullYear());
}

/** Base + fog of the stock when fresh, D. */
function clearBaseD({ stock }: LearningFilm): number {
  return { ...stockFamilies[stock.familyId], ...stock.own }.freshBaseFogD;
}

/** The piece of a judged run. */
export function pieceOfRun(run: JudgedRun, film: LearningFilm, nowYear: number): DatedPiece {
  const { target, ...setting } = run.setup;
  const { atMs, verdictId: id, timeMin, contrast, fog } = run;
  // Black film shows its fog, and nothing of its contrast.
  const evidence: Evidence =
    contrast === null
      ? {
          kind: 'fog',
          id,
          setting: {},
          timeMin,
          baseFogD: clearBaseD(film) + BLACK_FOG_D,
          method: 'eye',
          atLeast: true,
        }
      : { kind: 'verdict', id, setting: {}, timeMin, contrast, fogD: fogGradeD[fog], target };
  return { atMs, piece: { evidence, setting: settingFor(film, setting, thatYear(atMs, nowYear)) } };
}

/**
 * A run and its verdict as evidence.
 * @returns null for a run that nobody kept the setting of, and for clear film without any image: it may never have been exposed, and
 * says nothing of its development. Black film teaches its fog
 */
export function judgedRun(run: Run, verdict: Verdict): JudgedRun | null {
  const image = imageOf(verdict.defects);
  if (run.setup === null || image === 'clear') return null;
  const { id, createdMs, fog } = verdict;
  const contrast = image === 'black' ? null : verdict.contrast;
  return {
    runId: run.id,
    rollId: run.rollId,
    verdictId: id,
    atMs: createdMs,
    // A run from before the tank's volume was in its setting has it beside it.
    setup: run.volumeMl === undefined ? run.setup : { tankMl: run.volumeMl, ...run.setup },
    timeMin: developedMin(run),
    contrast,
    fog,
    again: (verdict.again ?? []).map((one) => one.contrast),
    held: contrast === null ? null : heldOf(run, contrast),
  };
}

function heldOf(run: Run, contrast: number): HeldRun | null {
  const { outlook, lowMin, highMin, widening } = run.pinned;
  const needed = outlook === undefined ? null : neededTime(developedMin(run), contrast, outlook);
  return needed === null
    ? null
    : { neededMin: needed.timeMin, lowMin, highMin, ...(widening === undefined ? {} : { widening }) };
}

/**
 * Everything on a bench that moves an estimate: what was tested or looked up, and the verdicts of its runs.
 * @param records stocks, rolls, runs, verdicts and evidence
 * @param nowYear this year, for the age of rolls
 * @returns pieces of evidence with their settings, newest last
 */
export function benchEvidence({ stocks, rolls, runs, verdicts, evidence }: LearningRecords, nowYear: number): Piece[] {
  const stockById = new Map(stocks.map((stock) => [stock.id, stock]));
  const rollById = new Map(rolls.map((roll) => [roll.id, roll]));
  const filmOf = (rollId: string): LearningFilm | null => {
    const roll = rollById.get(rollId);
    const stock = stockById.get(roll?.stockId ?? '');
    return roll === undefined || stock === undefined ? null : { roll, stock };
  };
  const judged = judgedRuns({ runs, verdicts });
  const dated = [
    ...evidence.flatMap((record): DatedPiece[] => {
      const film = filmOf(record.rollId);
      return film === null ? [] : [pieceOfTest(record, film, nowYear)];
    }),
    ...judged.flatMap((run): DatedPiece[] => {
      const film = filmOf(run.rollId);
      return film === null ? [] : [pieceOfRun(run, film, nowYear)];
    }),
  ];
  return seenBy(eyeOf(judged), inOrder(dated));
}

/** Every run that was judged and teaches something. */
export function judgedRuns({ runs, verdicts }: Pick<LearningRecords, 'runs' | 'verdicts'>): JudgedRun[] {
  const runById = new Map(runs.map((run) => [run.id, run]));
  return verdicts.flatMap((verdict) => {
    const run = runById.get(verdict.runId);
    return (run === undefined ? null : judgedRun(run, verdict)) ?? [];
  });
}

/** How steady the eye of a bench is, by the films that it judged more than once. */
export function eyeOf(judged: Iterable<JudgedRun>): EyeScatter {
  return eyeScatter([...judged].flatMap(({ contrast, again }) => (contrast === null ? [] : [[contrast, ...again]])));
}

/** Pieces as an eye of this scatter judged them; the same pieces for one of which nothing is known. */
export function seenBy({ sdGrades, repeats }: EyeScatter, pieces: Piece[]): Piece[] {
  if (repeats === 0) return pieces;
  return pieces.map((piece) =>
    piece.evidence.kind === 'verdict' ? { ...piece, evidence: { ...piece.evidence, sdGrades } } : piece,
  );
}

/** Pieces in the order in which they came about. */
export function inOrder(dated: readonly DatedPiece[]): Piece[] {
  return [...dated].sort((a, b) => a.atMs - b.atMs).map(({ piece }) => piece);
}

/**
 * How long a run developed, as minutes of the bath that was planned.
 * @returns min; the pinned time where nobody timed it
 */
export function developedMin(run: Run): number {
  const index = run.steps.findIndex((step) => step.kind === 'develop');
  const { tookS, readings } = runProgress(run.steps, run.events);
  const took = tookS[index] ?? 0;
  if (took <= 0) return run.pinned.timeMin;
  const inHand = developingTank(run, index, readings);
  if (inHand === null) return took / 60;
  // What was measured in the tank counts as so many minutes of the bath that was planned.
  const { tank, q10 } = inHand;
  const doseMin = tankDose(tank, q10, run.temperatureC, took);
  const ambientC = run.setup?.ambientC ?? null;
  if (ambientC === null) return doseMin;
  return timeForDose({ startC: run.temperatureC, ambientC, timeConstantMin: inHand.timeConstantMin }, q10, doseMin);
}

function settingFor(
  { roll, stock }: LearningFilm,
  { ambientC, brewId, mixingLnSd, ...setting }: SettingRecord,
  nowYear: number,
): SituationInput {
  return {
    ...setting,
    film: { familyId: stock.familyId, iso: stock.iso, own: stock.own },
    age: rollAge(roll, stock.familyId, nowYear),
    ...(ambientC === null ? {} : { ambientC }),
    ...(mixingLnSd === null ? {} : { mixingLnSd }),
    stockId: stock.id,
    rollId: roll.id,
    brewId: brewId ?? `brew of ${roll.id}`,
  };
}

function evidenceOf({ id, finding }: EvidenceRecord): Evidence {
  const common = { id, setting: {} };
  switch (finding.kind) {
    case 'chart':
      return { ...common, ...finding };
    case 'drop':
      return { ...common, kind: 'drop', ...dropRatio(finding.pairs), known: finding.known };
    case 'clip': {
      const gradient = patchGradient(finding.shadowD, finding.highlightD, finding.stopsBetween);
      return {
        ...common,
        kind: 'clip',
        timeMin: finding.timeMin,
        method: finding.method,
        baseFogD: finding.baseFogD,
        gradient: gradient.ok ? gradient.value : 0,
        speed: finding.speed ?? null,
      };
    }
    case 'fog':
      return { ...common, ...finding };
  }
}

/**
 * The pieces that bear on a roll in a developer most directly: its own, then those of its stock, then those of its developer.
 * @param pieces all pieces
 * @param setting the roll's setting
 * @param most how many at the most
 */
export function nearestPieces(
  pieces: readonly Piece[],
  setting: Pick<SituationInput, 'rollId' | 'stockId' | 'developer'>,
  most: number,
): Piece[] {
  const developer = developerKey(setting.developer);
  const nearness = (piece: Piece): number => {
    if (piece.setting.rollId === setting.rollId) return 0;
    if (piece.setting.stockId === setting.stockId) return developerKey(piece.setting.developer) === developer ? 1 : 2;
    return developerKey(piece.setting.developer) === developer ? 3 : 4;
  };
  return pieces
    .map((piece, index) => ({ piece, index, near: nearness(piece) }))
    .filter(({ near }) => near < 4)
    .sort((a, b) => a.near - b.near || b.index - a.index)
    .slice(0, most)
    .map(({ piece }) => piece);
}
