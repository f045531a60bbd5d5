import type { Parts } from '@/core/chemistry/dilution';
import type { DilutionNotation } from '@/core/chemistry/readDilution';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';

/** Parts in short, as in 1+31. */
export function partsWords({ concentrate, water }: Parts): string {
  return `${Number(concentrate.toFixed(2))}+${Number(water.toFixed(2))}`;
}

const readAs: Record<DilutionNotation, string> = {
  added: 'Read as parts of concentrate and parts of water',
  'in-total': 'Read as so much concentrate in the whole',
  reversed: 'Read as water first, then concentrate',
  strength: 'Read as a share of the usual strength',
  undiluted: 'Read as the concentrate itself',
  'two-part': 'Read as parts of A, of B and of water',
  named: 'As you named it',
  'water-first': 'Read as water and concentrate',
};

/** How a dilution was read, and what that is in the tank: concentrate and water that make the total. */
export function dilutionWords(
  notation: DilutionNotation | null,
  parts: Parts,
  volumes: { concentrateMl: number; waterMl: number },
  units: UnitChoice,
): string {
  const volume = (ml: number): string =>
    formatQuantity(ml, 'volume', units, units.volume === 'ml' && ml < 100 ? 1 : undefined);
  const sum = `${volume(volumes.concentrateMl)} + ${volume(volumes.waterMl)} water = ${volume(volumes.concentrateMl + volumes.waterMl)}`;
  if (!Number.isFinite(parts.concentrate + parts.water)) return '';
  return notation === null ? `${sum}.` : `${readAs[notation]}, ${partsWords(parts)}: ${sum}.`;
}

/** Two bottles and water for a volume. */
export function twoPartWords(
  { a, b, water }: { a: number; b: number; water: number },
  volumeMl: number,
  units: UnitChoice,
): string {
  const share = volumeMl / (a + b + water);
  const volume = (ml: number): string =>
    formatQuantity(ml, 'volume', units, units.volume === 'ml' && ml < 100 ? 1 : undefined);
  return `Read as parts of A, of B and of water: ${volume(a * share)} of A + ${volume(b * share)} of B + ${volume(water * share)} water = ${volume(volumeMl)}.`;
}
