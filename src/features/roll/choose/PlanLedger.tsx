'use client';

import type { LedgerRow } from '@/core/estimate/result';
import type { Glance } from '@/core/estimate/study';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, type UnitChoice } from '@/core/units/quantity';
import { Ledger, type LedgerLine } from '@/ui/Ledger';
import { LedgerRowFields } from './LedgerRowFields';
import { rowWords, sourceWords } from '@/features/words/ledgerWords';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';

/** Rows that follow from the roll or the jug are left out when they neither move the time nor bring doubt worth a mark. */
const SILENT_RATIO = 0.0005;
const SILENT_SHARE = 0.02;

/** Rows that a user decides stay, so that they can be opened and changed. */
const DECIDED: readonly LedgerRow['id'][] = ['base', 'temperature', 'agitation', 'strategy', 'target'];

/** The ledger of an estimate, in words. A row opens to its reason, its source and the fields that change it; the product stays exact. */
export function PlanLedger({ study, plan, units }: { study: Glance; plan: PlanInHand; units: UnitChoice }) {
  const { request, estimate } = study;
  const lines = estimate.ledger
    .filter(
      (row) =>
        DECIDED.includes(row.id) || Math.abs((row.ratio ?? 1) - 1) > SILENT_RATIO || row.varianceShare > SILENT_SHARE,
    )
    .map((row): LedgerLine => {
      const words = rowWords(row, request, estimate, units, plan.jug);
      return {
        id: row.id,
        label: words.label,
        note: words.note,
        ratio: row.ratio === null ? '' : `× ${formatNumber(row.ratio, 2)}`,
        time: formatMinutes(row.timeMin),
        share: row.varianceShare,
        detail: (
          <>
            <p>
              {words.explanation} <span className="text-ink2">Source: {sourceWords[row.source]}.</span>
            </p>
            <LedgerRowFields rowId={row.id} plan={plan} units={units} />
          </>
        ),
      };
    });
  const base = estimate.ledger[0]?.timeMin ?? estimate.timeMin;
  return (
    <Ledger
      lines={lines}
      stale={plan.state === 'mending'}
      total={{
        label: 'Develop for',
        ratio: `× ${formatNumber(estimate.timeMin / base, 2)}`,
        time: formatMinutes(estimate.timeMin),
      }}
    />
  );
}
