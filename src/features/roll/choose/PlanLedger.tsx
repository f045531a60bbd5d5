'use client';

import type { LedgerRow } from '@/core/estimate/result';
import { isGuess } from '@/core/estimate/isGuess';
import { ledgerRowIds } from '@/core/estimate/parameters';
import type { EstimatePreview } from '@/core/estimate/analysis';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatNumber, type UnitChoice } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { rowWords, sourceWords } from '@/features/words/ledgerWords';
import { Ledger, type LedgerLine } from '@/ui/Ledger';

/** Rows that follow from the roll or the jug are left out when they neither move the time nor bring doubt worth a mark. */
const SILENT_RATIO = 0.0005;
const SILENT_SHARE = 0.02;

interface PlanLedgerProps {
  /** Null before the first estimate. */
  analysis: EstimatePreview | null;
  plan: CurrentPlan;
  units: UnitChoice;
}

/** The field that moves a row; the others follow from the roll or the jug. */
const leadsTo: Partial<Record<LedgerRow['id'], string>> = {
  base: 'knownTimeOn',
  dilution: 'concentrateParts',
  strength: 'sodaGPerL',
  temperature: 'temperatureC',
  agitation: 'agitationId',
  bromide: 'bromideGPerL',
  target: 'purpose',
};

/** The ledger of an estimate, in words: a row opens to its reason and its source, and leads to the field that moves it. */
export function PlanLedger({ analysis, plan, units }: PlanLedgerProps) {
  const rows = new Map(analysis?.estimate.ledger.map((row) => [row.id, row]));
  const lines = ledgerRowIds.flatMap((id): LedgerLine[] => {
    const row = rows.get(id);
    if (row === undefined || analysis === null || (id !== 'base' && isSilent(row))) return [];
    return [{ id, leadsTo: leadsTo[id], ...figuresOf(row, { analysis, plan, units }) }];
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
  row: LedgerRow,
  { analysis, plan, units }: PlanLedgerProps & { analysis: EstimatePreview },
): Omit<LedgerLine, 'id' | 'leadsTo'> {
  const { label, note, explanation } = rowWords(row, analysis.request, analysis.estimate, units, plan.jug);
  return {
    label,
    note,
    ratio: row.ratio === null ? '' : `× ${formatNumber(row.ratio, 2)}`,
    time: isGuess(analysis.estimate) ? '' : formatMinutes(row.timeMin),
    share: row.varianceShare,
    detail: (
      <p>
        {explanation} <span className="text-ink2">Source: {sourceWords[row.source]}.</span>
      </p>
    ),
  };
}
