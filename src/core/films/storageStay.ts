import type { StorageStay } from './storageHistory';
import { storagePresets, type StoragePresetId } from './storagePresets';
import type { RollStay } from './storageStaySchema';

/**
 * A stay at a preset place.
 * @param placeId preset
 * @param untilYear year in which it ended; null for until now
 */
export function stayAt(placeId: StoragePresetId, untilYear: number | null = null): RollStay {
  const { temperatureC, temperatureSdC, humid } = storagePresets[placeId];
  return { placeId, temperatureC, temperatureSdC, humid, untilYear };
}

/** A stay as the ageing wants it. */
export function plainStay({ temperatureC, temperatureSdC, humid, untilYear }: RollStay): StorageStay {
  return { temperatureC, temperatureSdC, humid, untilYear };
}
