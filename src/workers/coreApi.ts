import { trialAnswers, type TrialValues } from '@/core/trial/trial';
import { readBenchFile, writeBenchFile, type OnProgress, type RowSink, type RowSource } from '@/core/formats/benchFile';
import { estimate } from '@/core/estimate/estimate';
import type { EstimateRequest } from '@/core/estimate/request';
import type { StrategyRequests } from '@/core/estimate/strategies';
import type { EvidenceItem } from '@/core/estimate/observations';
import { estimatePreview, analysis, type EstimatePreview, type EstimateAnalysis } from '@/core/estimate/analysis';
import { fitEvidence } from '@/core/estimate/fit';
import { learnedFactors, type LearnedFactor } from '@/core/learning/learnedFactors';
import { nearestPieces } from '@/core/learning/benchEvidence';
import type { Result } from '@/core/schema/result';
import type { LearningRecords } from '@/core/learning/benchEvidence';
import { guestLog } from '@/core/learning/guestLog';
import type { GuestLog } from '@/core/evidence/guestLogSchema';
import { GrowingEvidence, learnPieces, learnStarting } from '@/core/learning/learning';
import type { LearningChange } from '@/core/learning/learningChange';
import { planFormOfAsk, type Ask } from '@/core/plan/ask';
import { askAnswer, pinnedOfAsk } from '@/core/plan/askAnswer';
import { batchOfPlan } from '@/core/plan/batchOfPlan';
import type { Kit } from '@/core/kit/kit';
import { benchTimes, type CurrentRoll } from '@/core/plan/benchTimes';
import { firstOfBox } from '@/core/plan/firstOfBox';
import { verdictEffect } from '@/core/plan/verdictEffect';
import { sharedTankRolls } from '@/core/plan/sharedTank';
import type { PlanChoices } from '@/core/plan/planForm';
import type { Brew, Roll, Stock } from '@/core/records/records';

/** Pieces of evidence listed for a roll at the most. */
const LISTED = 24;

let evidence = new GrowingEvidence(0);

/** What the bench has learned, as it was last told. */
let learning = learnPieces([]);

/** An analysis with the evidence that bears on it most directly. */
export type RollAnalysis = EstimateAnalysis & { listed: EvidenceItem[] };

/** What the worker does for the page: calls of core, and the bench's evidence kept between them. */
export const coreApi = {
  /** Begins with the values of an earlier fit: told before anything is learned. */
  begin: (values: readonly (readonly [string, number])[]): void => {
    if (learning.pieces.length === 0) learning = learnStarting(values);
  },
  /** Values to begin with the next time; null for a short log, and before there is a fit. */
  values: () => learning.values(),
  /** Takes in what changed of what estimates learn from; with `last`, the next estimate knows all of it. */
  learn: (change: LearningChange, nowYear: number, last: boolean): void => {
    if (evidence.nowYear !== nowYear) {
      const before = evidence;
      evidence = new GrowingEvidence(nowYear);
      evidence.takeOver(before);
    }
    evidence.take(change);
    if (last) learning = learnPieces(evidence.pieces(), learning, evidence.held());
  },
  analysis: (
    request: EstimateRequest,
    muted: readonly string[],
    ownTimeMin: number | null = null,
    requests: StrategyRequests = {},
  ): RollAnalysis => {
    const listed = nearestPieces(learning.pieces, request, LISTED);
    return { ...analysis(request, learning.fitFor(request, muted), listed, ownTimeMin, requests), listed };
  },
  /** Answers the question of somebody who has a film in the hand. */
  ask: (ask: Ask, jugs: readonly Brew[], nowMs: number) =>
    askAnswer(ask, jugs, nowMs, (request) => learning.fitFor(request, [])),
  /** What is kept of a question: its plan's form, what is pinned when it is used at once, and what is then weighed out. */
  keepAsk: (ask: Ask, jugs: readonly Brew[], nowMs: number, kit: Kit) => {
    const pin = pinnedOfAsk(ask, jugs, nowMs, (request) => learning.fitFor(request, []));
    const ready = pin === null || pin.choices.brewId !== null;
    return { form: planFormOfAsk(ask, jugs, nowMs), pin, batch: ready ? null : batchOfPlan(pin.choices, '', kit) };
  },
  /** The estimate and its curve alone, while a slider moves. */
  estimatePreview: (
    request: EstimateRequest,
    muted: readonly string[],
    ownTimeMin: number | null = null,
  ): EstimatePreview =>
    estimatePreview(
      request,
      learning.fitFor(request, muted),
      nearestPieces(learning.pieces, request, LISTED),
      ownTimeMin,
    ),
  /** What the bench has learned, thing by thing. */
  learned: (): LearnedFactor[] =>
    learning.pieces.length === 0
      ? []
      : learnedFactors(fitEvidence(learning.pieces, null, learning.latest()), learning.pieces),
  benchTimes: (rolls: readonly CurrentRoll[], jugs: readonly Brew[], nowMs: number) =>
    benchTimes(rolls, jugs, nowMs, learning),
  /** Which roll of a box to develop before the others. */
  firstOfBox: (rolls: readonly CurrentRoll[], jugs: readonly Brew[], nowMs: number) =>
    firstOfBox(rolls, jugs, nowMs, learning),
  /** What other rolls get that share a tank. */
  alongside: (
    rolls: readonly { roll: Roll; stock: Stock }[],
    choices: PlanChoices,
    timeMin: number,
    brew: Brew | null,
    nowMs: number,
  ) => sharedTankRolls(rolls, choices, timeMin, brew, nowMs, learning),
  /** What one verdict changed for the rolls that wait. */
  verdictEffect: (verdictId: string, rolls: readonly CurrentRoll[], jugs: readonly Brew[], nowMs: number) =>
    verdictEffect(verdictId, rolls, jugs, nowMs, learning),
  /** The time at which each level of a trial is expected to come out like the others; null where none can be told. */
  levelTimes: (requests: readonly (EstimateRequest | null)[]) =>
    requests.map((request) => {
      if (request === null) return null;
      const { timeMin, band } = estimate(request, learning.fitFor(request, []));
      return { timeMin, ...band };
    }),
  /** What a trial of strips says. */
  trialAnswers: (trial: TrialValues) => trialAnswers(trial),
  writeBenchFile: (source: RowSource, exportedAt: string, atMs: number, total: number, onProgress: OnProgress) =>
    writeBenchFile(source, exportedAt, atMs, total, onProgress),
  readBenchFile: (file: Blob, sink: RowSink, atMs: number, onProgress: OnProgress) =>
    readBenchFile(file, sink, atMs, onProgress),
  /** Somebody’s log out of a file of their bench, to be looked at before it counts; what they were told by others stays with them. */
  readGuestLog: async (file: Blob, name: string, atMs: number): Promise<Result<GuestLog>> => {
    const records: LearningRecords = {
      stocks: [],
      rolls: [],
      runs: [],
      verdicts: [],
      evidence: [],
    };
    const read = await readBenchFile(
      file,
      (table, rows) => {
        if (table in records) (records[table as keyof LearningRecords] as unknown[]).push(...rows);
      },
      atMs,
      () => true,
    );
    return read.ok ? guestLog(records, name, new Date(atMs).getFullYear()) : read;
  },
};

export type CoreApi = typeof coreApi;
