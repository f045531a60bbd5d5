import { developerKey } from '../estimate/situation';
import type { Evidence } from '../estimate/evidenceSchema';
import type { EvidenceItem } from '../estimate/observations';
import type { SituationInput } from '../estimate/situationSchema';
import { rollAge, type RollHistory } from '../films/rollAge';
import type { EvidenceRecord, Records, Roll, Stock } from '../records/records';
import type { JudgedRun } from '../run/judgedRun';
import { patchGradient } from '../densitometry/patchGradient';
import { eyeScatter, type EyeScatter } from '../outcome/eyeScatter';
import { stockFamilies } from '../films/stockFamilies';
import { BLACK_FOG_D, fogGradeD } from '../outcome/grades';
import { dropRatio } from '../evidence/dropTest';
import type { SettingRecord } from '../evidence/evidenceRecord';

/** The records that the bench learns from. */
export type LearningRecords = Pick<Records, 'stocks' | 'rolls' | 'runs' | 'verdicts' | 'evidence'> &
  Partial<Pick<Records, 'guests'>>;

/** A film as evidence knows it: what decides its age, and its stock. */
export interface LearningFilm {
  roll: RollHistory & Pick<Roll, 'id' | 'boxId'>;
  stock: Pick<Stock, 'id' | 'familyId' | 'iso' | 'own'>;
}

/** A piece of evidence and when it came about. */
export interface DatedEvidence {
  atMs: number;
  piece: EvidenceItem;
}

/** The piece of a test or a chart time. */
export function pieceOfTest(record: EvidenceRecord, film: LearningFilm, nowYear: number): DatedEvidence {
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
export function pieceOfRun(run: JudgedRun, film: LearningFilm, nowYear: number): DatedEvidence {
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
  return { atMs, piece: { evidence, setting: settingFor(film, setting, Math.min(nowYear, run.year)) } };
}

/** How steady the eye of a bench is, by the films that it judged more than once. */
export function eyeOf(judged: Iterable<JudgedRun>): EyeScatter {
  return eyeScatter([...judged].flatMap(({ contrast, again }) => (contrast === null ? [] : [[contrast, ...again]])));
}

/** Pieces as an eye of this scatter judged them; the same pieces for one of which nothing is known. */
export function seenBy({ sdGrades, repeats }: EyeScatter, pieces: EvidenceItem[]): EvidenceItem[] {
  if (repeats === 0) return pieces;
  return pieces.map((piece) =>
    piece.evidence.kind === 'verdict' ? { ...piece, evidence: { ...piece.evidence, sdGrades } } : piece,
  );
}

/** Pieces in the order in which they came about. */
export function inOrder(dated: readonly DatedEvidence[]): EvidenceItem[] {
  return [...dated].sort((a, b) => a.atMs - b.atMs).map(({ piece }) => piece);
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
    ...(roll.boxId == null ? {} : { lotId: roll.boxId }),
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
        ...(finding.doubt === undefined ? {} : { doubt: finding.doubt }),
      };
    }
    case 'fog':
      return { ...common, ...finding };
  }
}

/**
 * The pieces that bear on a roll in a developer most directly: its own, then those of its box, of its stock, of its developer.
 * @param pieces all pieces
 * @param setting the roll's setting
 * @param most how many at the most
 */
export function nearestPieces(
  pieces: readonly EvidenceItem[],
  setting: Pick<SituationInput, 'rollId' | 'lotId' | 'stockId' | 'developer'>,
  most: number,
): EvidenceItem[] {
  const developer = developerKey(setting.developer);
  const nearness = (piece: EvidenceItem): number => {
    if (piece.setting.rollId === setting.rollId) return 0;
    if (setting.lotId !== undefined && piece.setting.lotId === setting.lotId) return 1;
    if (piece.setting.stockId === setting.stockId) return developerKey(piece.setting.developer) === developer ? 2 : 3;
    return developerKey(piece.setting.developer) === developer ? 4 : 5;
  };
  return pieces
    .map((piece, index) => ({ piece, index, near: nearness(piece) }))
    .filter(({ near }) => near < 5)
    .sort((a, b) => a.near - b.near || b.index - a.index)
    .slice(0, most)
    .map(({ piece }) => piece);
}
