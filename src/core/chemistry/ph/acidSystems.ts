/** A weak acid in steps: the charge of its fully protonated form, and a pKa for each proton that it gives. */
export interface AcidSystem {
  name: string;
  chargeProtonated: number;
  pKas: readonly number[];
}

/** Thermodynamic constants at 25 °C. Source: CRC Handbook and IUPAC tables, values from memory; coffee is our estimate. */
export const acidSystems = {
  carbonic: { name: 'Carbonic acid', chargeProtonated: 0, pKas: [6.35, 10.33] },
  ascorbic: { name: 'Ascorbic acid', chargeProtonated: 0, pKas: [4.1, 11.6] },
  citric: { name: 'Citric acid', chargeProtonated: 0, pKas: [3.13, 4.76, 6.4] },
  boric: { name: 'Boric acid', chargeProtonated: 0, pKas: [9.24] },
  phosphoric: { name: 'Phosphoric acid', chargeProtonated: 0, pKas: [2.15, 7.2, 12.35] },
  acetic: { name: 'Acetic acid', chargeProtonated: 0, pKas: [4.76] },
  ammonium: { name: 'Ammonium', chargeProtonated: 1, pKas: [9.25] },
  sulfurous: { name: 'Sulfurous acid', chargeProtonated: 0, pKas: [1.85, 7.2] },
  plant: { name: 'Acids of coffee and other plants', chargeProtonated: 0, pKas: [4.5] },
} as const satisfies Record<string, AcidSystem>;

export type AcidSystemId = keyof typeof acidSystems;
export const acidSystemIds = Object.keys(acidSystems) as [AcidSystemId, ...AcidSystemId[]];

/** Ionic product of water at 25 °C, −log10. Source: CRC Handbook, from memory. */
export const PK_WATER = 13.995;
