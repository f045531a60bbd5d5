import { expect, test } from 'vitest';
import type { LedgerRow } from '@/core/estimate/result';
import { ledgerInShort } from './ledgerInShort';

const row = (id: LedgerRow['id'], ratio: number | null, varianceShare: number): LedgerRow => ({
  id,
  ratio,
  timeMin: 12.5,
  varianceShare,
  source: 'practice',
});

test('a ledger in one line: where it begins, the two factors that move it most in their order, and the greatest doubt', () => {
  expect(
    ledgerInShort([
      row('base', null, 0.2),
      row('strength', 1.1, 0.1),
      row('temperature', 1.01, 0),
      row('agitation', 0.95, 0),
      row('age', 1, 0.6),
      row('strategy', 1.28, 0.1),
    ]),
  ).toBe('12:30 fresh · × 1.10 strength of the brew · × 1.28 strategy · most of the doubt: age and fog');
  expect(ledgerInShort([])).toBe('');
});
