import type { StoragePreset } from './storagePresetSchema';

/** Where film is kept. Means: our estimate; spreads: our estimate, wide where people guess. */
export const storagePresets = {
  freezer: { name: 'Freezer', temperatureC: -18, temperatureSdC: 2, humid: false },
  fridge: { name: 'Fridge', temperatureC: 4, temperatureSdC: 1.5, humid: false },
  cellar: { name: 'Cellar', temperatureC: 12, temperatureSdC: 2, humid: false },
  'damp-cellar': { name: 'Damp cellar', temperatureC: 12, temperatureSdC: 2, humid: true },
  room: { name: 'Room', temperatureC: 21, temperatureSdC: 2, humid: false },
  attic: { name: 'Attic or vehicle', temperatureC: 30, temperatureSdC: 4, humid: false },
  unknown: { name: 'Unknown', temperatureC: 19, temperatureSdC: 6, humid: false },
} as const satisfies Record<string, StoragePreset>;

export type StoragePresetId = keyof typeof storagePresets;

export const storagePresetIds = Object.keys(storagePresets) as [StoragePresetId, ...StoragePresetId[]];
