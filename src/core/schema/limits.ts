/** A range that a value may have, the same wherever it is typed, stored, read from a file or asked over HTTP. */
export interface Limit {
  what: string;
  min: number;
  max: number;
  unit?: string;
}

/**
 * Every range that more than one place has to hold to. Forms, records, files and requests read them here.
 * Source: our choice, wide enough for anything that people do and narrow enough for the arithmetic.
 */
export const limits = {
  sheetMl: { what: 'Volume', min: 5, max: 100_000, unit: 'ml' },
  jugVolumeMl: { what: 'Volume', min: 1, max: 100_000, unit: 'ml' },
  jugFilms: { what: 'Films already through the brew', min: 0, max: 10_000 },
  price: { what: 'Price', min: 0, max: 100_000 },
  brewAgeH: { what: 'Age of the brew', min: 0, max: 48, unit: 'h' },
  bathC: { what: 'Temperature', min: 5, max: 40, unit: '°C' },
  roomC: { what: 'Room temperature', min: -10, max: 45, unit: '°C' },
  waterC: { what: 'Temperature', min: -30, max: 110, unit: '°C' },
  amount: { what: 'Amount', min: 0, max: 200_000 },
  amountPerL: { what: 'Amount per litre', min: 0, max: 1000 },
  timeMin: { what: 'Time', min: 0.01, max: 20_000, unit: 'min' },
  stepS: { what: 'Length of a step', min: 0, max: 1_200_000, unit: 's' },
  clearingS: { what: 'Clearing time', min: 1, max: 7200, unit: 's' },
  shiftS: { what: 'Shift', min: -604_800, max: 604_800, unit: 's' },
  clockS: { what: 'Change of the clock', min: -3.2e9, max: 3.2e9, unit: 's' },
  ratio: { what: 'Ratio', min: 1e-6, max: 1e6 },
  share: { what: 'Share', min: -0.001, max: 1.001 },
  year: { what: 'Year', min: 1820, max: 2200 },
  iso: { what: 'Film speed', min: 0.1, max: 25_600, unit: 'ISO' },
  ph: { what: 'pH', min: -2, max: 16 },
  lnSd: { what: 'Spread', min: 0, max: 2 },
} as const satisfies Record<string, Limit>;

export type LimitId = keyof typeof limits;
