'use client';

import type { Study } from '@/core/estimate/study';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, type UnitChoice } from '@/core/units/quantity';
import { Ledger, type LedgerLine } from '@/ui/Ledger';
import { rowWords, sourceWords } from './ledgerWords';

/** A row is left out when it neither moves the time nor brings doubt worth a mark. */
const SILENT_RATIO = 0.0005;
const SILENT_SHARE = 0.02;

/** The ledger of an estimate, in words. Rows that do nothing are left out; the product stays exact. */
export function PlanLedger({ study, units }: { study: Study; units: UnitChoice }) {
  const { request, estimate } = study;
  const lines = estimate.ledger
    .filter((row) => row.ratio === null || Math.abs(row.ratio - 1) > SILENT_RATIO || row.varianceShare > SILENT_SHARE)
    .map((row): LedgerLine => {
      const words = rowWords(row, request, estimate, units);
      return {
        id: row.id,
        label: words.label,
        note: words.note,
        ratio: row.ratio === null ? '' : `× ${formatNumber(row.ratio, 2)}`,
        time: formatMinutes(row.timeMin),
        share: row.varianceShare,
        detail: (
          <>
            <p>{words.explanation}</p>
            <p className="mt-1 text-ink2">
              Source: {sourceWords[row.source]}.
              {words.fieldId !== null && (
                <button type="button" className="act-plain ml-3" onClick={() => document.getElementById(words.fieldId ?? '')?.focus()}>
                  Change it
                </button>
              )}
            </p>
          </>
        ),
      };
    });
  const base = estimate.ledger[0]?.timeMin ?? estimate.timeMin;
  return <Ledger lines={lines} total={{ label: 'Develop for', ratio: `× ${formatNumber(estimate.timeMin / base, 2)}`, time: formatMinutes(estimate.timeMin) }} />;
}
