import type { LedgerRow } from '@/core/estimate/result';
import { lowerFirst } from '@/core/units/lowerFirst';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { rowNames } from './ledgerWords';

/** How many factors the short form names, and how far one must be from 1 to be named. */
const MOST_FACTORS = 2;
const LEAST_RATIO = 1.02;

/**
 * A ledger in one line: the time of fresh film, the factors that move it most in their order, and what brings most of the doubt.
 * @example ledgerInShort(ledger) // '12:35 fresh · × 1.28 strategy · most of the doubt: age and fog'
 */
export function ledgerInShort(ledger: readonly LedgerRow[]): string {
  const [base, ...rows] = ledger;
  if (base === undefined) return '';
  const away = ({ ratio }: LedgerRow): number => Math.abs(Math.log(ratio ?? 1));
  const named = new Set(
    rows
      .filter((row) => away(row) > Math.log(LEAST_RATIO))
      .sort((a, b) => away(b) - away(a))
      .slice(0, MOST_FACTORS),
  );
  const doubt = [...ledger].sort((a, b) => b.varianceShare - a.varianceShare)[0];
  return [
    `${formatMinutes(base.timeMin)} fresh`,
    ...rows
      .filter((row) => named.has(row))
      .map((row) => `× ${formatNumber(row.ratio ?? 1, 2)} ${lowerFirst(rowNames[row.id])}`),
    ...(doubt === undefined ? [] : [`most of the doubt: ${lowerFirst(rowNames[doubt.id])}`]),
  ].join(' · ');
}
