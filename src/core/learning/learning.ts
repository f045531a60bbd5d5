import { LONG_LOG, startWith, valuesOf, type Fit, type Start } from '../estimate/fit';
import { fitWith } from '../estimate/learned';
import type { EvidenceItem } from '../estimate/observations';
import type { EstimateRequest } from '../estimate/request';
import { pairKey } from '../estimate/situation';
import type { EvidenceRecord } from '../records/records';
import { bandsHeld, LAST_RUNS, type BandsHeld } from '../outcome/neededTime';
import {
  eyeOf,
  inOrder,
  pieceOfRun,
  pieceOfTest,
  seenBy,
  type DatedEvidence,
  type LearningFilm,
  type LearningRecords,
} from './benchEvidence';
import { guestPieces } from './guestPieces';
import { judgedRuns, type JudgedRun } from '../run/judgedRun';
import { noChange, type LearningChange } from './learningChange';

/** Fits kept at a time, of a long log and of a short one: the bench's own, and those of rolls that switch pieces off or bring a time of their own. */
const KEPT_FITS = { long: 12, short: 120 } as const;

/** What a bench has learned: its evidence, and the fits that were asked for. */
export interface Learning {
  pieces: readonly EvidenceItem[];
  /** The fit for a request, without the pieces that are switched off. Fits are kept, since they do not follow sliders. */
  fitFor: (request: EstimateRequest, muted: readonly string[]) => Fit;
  /** Where the next fit may begin: the latest one, or values of one from before. */
  latest: () => Start | null;
  /** Values of the latest fit of a long log, to begin with when the bench is next opened; null before there is one. */
  values: () => [string, number][] | null;
  /** How the bands of the last runs held, and how much wider they are drawn for it. */
  held: BandsHeld;
}

/** How the bands of the last judged runs held. */
function heldLately(judged: readonly JudgedRun[]): BandsHeld {
  const known = judged.filter(({ held }) => held !== null).sort((a, b) => b.atMs - a.atMs);
  return bandsHeld(known.slice(0, LAST_RUNS).flatMap(({ held }) => held ?? []));
}

/**
 * Learns from pieces.
 * @param pieces pieces in the order in which they came about
 * @param before what was learned before: a long log is fitted from there
 * @param held how the bands of the last runs held
 */
export function learnPieces(
  pieces: readonly EvidenceItem[],
  before: Learning | null = null,
  held: BandsHeld = bandsHeld([]),
): Learning {
  const charted = new Set(
    pieces.filter(({ evidence }) => evidence.kind === 'chart').map(({ setting }) => pairKey(setting)),
  );
  const fits = new Map<string, Fit>();
  let latest = before?.latest() ?? null;
  let fitted: Fit | null = null;
  return {
    latest: () => latest,
    values: () => (fitted === null || pieces.length <= LONG_LOG ? null : valuesOf(fitted)),
    held,
    pieces,
    fitFor: (request, muted) => {
      const pair = pairKey(request);
      const key = keyOf(request, muted, charted.has(pair) ? pair : null);
      const known = fits.get(key);
      if (known !== undefined) {
        // Those that were not asked for longest go first.
        fits.delete(key);
        fits.set(key, known);
        return known;
      }
      const fit = { ...fitWith(request, pieces, muted, latest), widening: held.widening };
      if (fits.size >= (pieces.length > LONG_LOG ? KEPT_FITS.long : KEPT_FITS.short))
        fits.delete(fits.keys().next().value ?? '');
      fits.set(key, fit);
      latest = fit;
      fitted = fit;
      return fit;
    },
  };
}

/**
 * Learning that knows nothing yet but where to begin.
 * @param values of an earlier fit of much the same pieces; they lead to the same minimum, sooner
 */
export function learnStarting(values: readonly (readonly [string, number])[]): Learning {
  return { ...learnPieces([]), latest: () => startWith(values) };
}

/**
 * Learns from a bench's records.
 * @param records stocks, rolls, runs, verdicts and evidence
 * @param nowYear this year
 */
export function learnFrom(records: LearningRecords, nowYear: number): Learning {
  const grown = GrowingEvidence.of(records, nowYear);
  return learnPieces(grown.pieces(), null, grown.held());
}

/** A bench's evidence, kept as it grows: only what changed is worked out anew. */
export class GrowingEvidence {
  private readonly films = new Map<string, LearningFilm>();
  private readonly runs = new Map<string, JudgedRun>();
  private readonly tests = new Map<string, EvidenceRecord>();
  private readonly made = new Map<string, { of: unknown; film: LearningFilm; dated: DatedEvidence }>();

  private guests: readonly EvidenceItem[] = [];

  constructor(readonly nowYear: number) {}

  /**
   * The evidence of a bench's records, told at once.
   * @param records stocks, rolls, runs, verdicts and evidence
   * @param nowYear this year
   */
  static of(records: LearningRecords, nowYear: number): GrowingEvidence {
    const stocks = new Map(records.stocks.map((stock) => [stock.id, stock]));
    const films = records.rolls.flatMap((roll): LearningFilm[] => {
      const stock = stocks.get(roll.stockId);
      return stock === undefined ? [] : [{ roll, stock }];
    });
    const grown = new GrowingEvidence(nowYear);
    const guests = (records.guests ?? []).flatMap((guest) => guestPieces(guest, records.stocks));
    grown.take({ ...noChange, films, runs: judgedRuns(records), tests: records.evidence, guests });
    return grown;
  }

  /** Takes in what changed. */
  take({ films, runs, tests, guests, gone }: LearningChange): void {
    if (guests !== undefined) this.guests = guests;
    for (const film of films) this.films.set(film.roll.id, film);
    for (const run of runs) this.runs.set(run.runId, run);
    for (const test of tests) this.tests.set(test.id, test);
    for (const id of gone.rolls) this.films.delete(id);
    for (const id of gone.runs) this.runs.delete(id);
    for (const id of gone.tests) this.tests.delete(id);
  }

  /** Takes in all that another one knows, for another year. */
  takeOver(other: GrowingEvidence): void {
    const [films, runs, tests] = [[...other.films.values()], [...other.runs.values()], [...other.tests.values()]];
    this.take({ ...noChange, films, runs, tests, guests: other.guests });
  }

  /** How the bands of the last judged runs held. */
  held(): BandsHeld {
    return heldLately([...this.runs.values()]);
  }

  /** All pieces by now: other people’s first, then this bench’s own in the order in which they came about. */
  pieces(): EvidenceItem[] {
    const dated: DatedEvidence[] = [];
    const add = <T extends { rollId: string }>(
      id: string,
      of: T,
      make: (film: LearningFilm) => DatedEvidence,
    ): void => {
      const film = this.films.get(of.rollId);
      if (film === undefined) return;
      const known = this.made.get(id);
      if (known?.of !== of || known.film !== film) this.made.set(id, { of, film, dated: make(film) });
      dated.push((this.made.get(id) as { dated: DatedEvidence }).dated);
    };
    for (const [id, test] of this.tests) add(id, test, (film) => pieceOfTest(test, film, this.nowYear));
    for (const [id, run] of this.runs) add(`run ${id}`, run, (film) => pieceOfRun(run, film, this.nowYear));
    return [...this.guests, ...seenBy(eyeOf(this.runs.values()), inOrder(dated))];
  }
}

/** What of a request its fit depends on: a pair that a chart time decides, and evidence or a known time of its own. */
function keyOf(request: EstimateRequest, muted: readonly string[], pair: string | null): string {
  const { knownTime, developer, film, stockId, rollId, brewId } = request;
  const own =
    request.evidence.length > 0
      ? request
      : knownTime === undefined
        ? null
        : { knownTime, developer, film, stockId, rollId, brewId };
  return JSON.stringify([muted, pair, own]);
}
