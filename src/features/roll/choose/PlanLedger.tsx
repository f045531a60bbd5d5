'use client';

import { useMemo, type ReactNode } from 'react';
import type { StockFamilyId } from '@/core/films/stockFamilies';
import type { LedgerRow } from '@/core/estimate/result';
import { isGuess } from '@/core/estimate/isGuess';
import { ledgerRowIds } from '@/core/estimate/parameters';
import type { EstimatePreview } from '@/core/estimate/analysis';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatNumber, type UnitChoice } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { baseLabel, rowNames, rowWords, sourceWords } from '@/features/words/ledgerWords';
import { Ledger, type LedgerLine } from '@/ui/Ledger';
import { OwnMovement } from './MovementChoice';
import { decidedRows, rowFields } from './RowFields';

/** Rows that follow from the roll or the jug are left out when they neither move the time nor bring doubt worth a mark. */
const SILENT_RATIO = 0.0005;
const SILENT_SHARE = 0.02;

interface PlanLedgerProps {
  /** Null before the first estimate. */
  analysis: EstimatePreview | null;
  plan: CurrentPlan;
  /** Stock family of the roll. */
  familyId: StockFamilyId;
  units: UnitChoice;
}

/** Rows whose words do not wait for an estimate, so that no field moves when it comes: the rest stands in their explanation. */
const STEADY: readonly LedgerRow['id'][] = ['base', 'dilution', 'strength'];

/** Rows that are said by their fields. */
const BESIDE: readonly LedgerRow['id'][] = ['temperature', 'agitation', 'bromide', 'target'];

/**
 * The ledger of an estimate, in words, with the fields that move it in its rows. A row opens to its reason and its source; the
 * product stays exact. Before the first estimate the fields stand alone.
 */
export function PlanLedger({ analysis, plan, familyId, units }: PlanLedgerProps) {
  const decided = decidedRows(plan.form);
  // What is tried out with a slider moves figures, and no field: the fields stay as they are.
  const [fields, movement] = useMemo(
    () => [
      new Map(ledgerRowIds.map((id): [LedgerRow['id'], ReactNode] => [id, rowFields(id, plan, units)])),
      plan.form.movement === null ? null : <OwnMovement plan={plan} units={units} />,
    ],
    [plan, units],
  );
  const rows = new Map(analysis?.estimate.ledger.map((row) => [row.id, row]));
  const lines = ledgerRowIds.flatMap((id): LedgerLine[] => {
    const row = rows.get(id);
    if (!decided.includes(id) && (row === undefined || isSilent(row))) return [];
    return [
      {
        id,
        fields: fields.get(id) ?? null,
        fieldsBeside: BESIDE.includes(id),
        below: id === 'agitation' ? movement : null,
        ...figuresOf(id, row, fields.get(id) != null, { analysis, plan, familyId, units }),
      },
    ];
  });
  // A guess has reasons, and no total.
  const timeMin = analysis === null || isGuess(analysis.estimate) ? null : analysis.estimate.timeMin;
  const base = analysis?.estimate.ledger[0]?.timeMin ?? timeMin;
  const own = analysis?.own ?? null;
  return (
    <Ledger
      lines={lines}
      stale={plan.state === 'mending'}
      total={{
        label: analysis !== null && timeMin === null ? 'No estimate yet' : 'Develop for',
        ratio: timeMin === null || base === null ? '' : `× ${formatNumber(timeMin / base, 2)}`,
        time: timeMin === null ? '' : formatMinutes(timeMin),
      }}
      own={
        own === null
          ? null
          : {
              label: 'My choice',
              ratio: timeMin === null ? '' : `× ${formatNumber(own.ratio, 2)}`,
              time: formatDuration(Math.round(own.timeMin * 60)),
            }
      }
    />
  );
}

function isSilent({ ratio, varianceShare }: LedgerRow): boolean {
  return Math.abs((ratio ?? 1) - 1) <= SILENT_RATIO && varianceShare <= SILENT_SHARE;
}

function figuresOf(
  id: LedgerRow['id'],
  row: LedgerRow | undefined,
  hasFields: boolean,
  { analysis, plan, familyId, units }: PlanLedgerProps,
): Omit<LedgerLine, 'id' | 'fields'> {
  // A row without fields is known by its words alone.
  const steady = (STEADY.includes(id) || BESIDE.includes(id)) && hasFields;
  const known = row === undefined || analysis === null ? null : { row, analysis, units, jug: plan.jug };
  const words = steady || known === null ? null : wordsOf(known);
  const developer = plan.shown?.developer;
  const name =
    id === 'base' && developer !== undefined && !plan.form.knownTimeOn
      ? baseLabel({ film: { familyId }, developer })
      : rowNames[id];
  return {
    label: words?.label ?? name,
    note: words?.note ?? '',
    ratio: row === undefined || row.ratio === null ? '' : `× ${formatNumber(row.ratio, 2)}`,
    time: row === undefined || analysis === null || isGuess(analysis.estimate) ? '' : formatMinutes(row.timeMin),
    share: row?.varianceShare ?? 0,
    detail: known === null ? <p>Calculating.</p> : <Reason {...known} named={!steady} />,
  };
}

interface KnownRow {
  row: LedgerRow;
  analysis: EstimatePreview;
  units: UnitChoice;
  jug: CurrentPlan['jug'];
}

function wordsOf({ row, analysis, units, jug }: KnownRow): ReturnType<typeof rowWords> {
  return rowWords(row, analysis.request, analysis.estimate, units, jug);
}

/** Why a row is as it is, and where that comes from; put into words when it is opened. */
function Reason({ named, ...known }: KnownRow & { /** Whether the row says its words itself. */ named: boolean }) {
  const { label, note, explanation } = wordsOf(known);
  return (
    <p>
      {!named && `${label}${note === '' ? '' : `, ${note}`}. `}
      {explanation} <span className="text-ink2">Source: {sourceWords[known.row.source]}.</span>
    </p>
  );
}
