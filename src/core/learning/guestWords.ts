import { sharedStocks, type OwnStock } from './guestPieces';
import type { GuestLog } from '../evidence/guestLogSchema';

const count = (number: number, one: string, more: string): string => `${number} ${number === 1 ? one : more}`;

/**
 * What is in somebody’s log, and what of it bears on this bench.
 * @param log their log
 * @param own this bench’s stocks
 * @returns two sentences at the most
 */
export function guestWords(log: Pick<GuestLog, 'pieces' | 'stocks'>, own: readonly OwnStock[]): string {
  const runs = log.pieces.filter(({ evidence: { kind } }) => kind === 'verdict').length;
  const tests = log.pieces.length - runs;
  const parts = [
    ...(runs > 0 ? [count(runs, 'judged run', 'judged runs')] : []),
    ...(tests > 0 ? [count(tests, 'test or film without contrast', 'tests and films without contrast')] : []),
  ];
  const shared = sharedStocks(log, own);
  const names = log.stocks.filter(({ id }) => shared.has(id)).map(({ name }) => name);
  const told = `${parts.join(' and ')} of ${count(log.stocks.length, 'film', 'films')}.`;
  return names.length === 0
    ? `${told} None of them is on this bench by its name, so it bears on developers alone.`
    : `${told} On this bench by name: ${names.join(', ')}.`;
}
