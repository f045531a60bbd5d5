import type { EvidenceItem } from '../estimate/observations';
import type { Stock } from '../records/records';
import { plainName } from '../units/plainName';
import type { GuestLog } from '../evidence/guestLogSchema';

/** One’s own stocks, by what they are found by. */
export type OwnStock = Pick<Stock, 'id' | 'name' | 'familyId'>;

/**
 * Which of somebody’s stocks are one’s own: the same name, and the same family. A film without a name is nobody’s.
 * @returns own ids by theirs
 */
export function sharedStocks({ stocks }: Pick<GuestLog, 'stocks'>, own: readonly OwnStock[]): Map<string, string> {
  return new Map(
    stocks.flatMap(({ id, name, familyId }): [string, string][] => {
      const mine = own.find((one) => plainName(one.name) === plainName(name) && one.familyId === familyId);
      return mine === undefined || plainName(name) === '' ? [] : [[id, mine.id]];
    }),
  );
}

/**
 * Somebody’s pieces as this bench learns from them: their rolls, boxes, jugs and cameras are their own, their hand, thermometer and
 * eye as well; what they share is the film by its name, and the developer.
 * @param log their log
 * @param own this bench’s stocks
 */
export function guestPieces(log: GuestLog, own: readonly OwnStock[]): EvidenceItem[] {
  const shared = sharedStocks(log, own);
  const theirs = (id: string): string => `${log.name}: ${id}`;
  return log.pieces.map(({ evidence, setting }) => ({
    evidence: {
      ...evidence,
      id: theirs(evidence.id),
      ...('doubt' in evidence && evidence.doubt !== undefined
        ? { doubt: { ...evidence.doubt, camera: theirs(evidence.doubt.camera) } }
        : {}),
    },
    setting: {
      ...setting,
      benchId: log.name,
      stockId: shared.get(setting.stockId) ?? theirs(setting.stockId),
      rollId: theirs(setting.rollId),
      brewId: theirs(setting.brewId),
      ...(setting.lotId === undefined ? {} : { lotId: theirs(setting.lotId) }),
    },
  }));
}
