import type { Conflict } from '@/core/estimate/fit';
import type { EvidenceItem } from '@/core/estimate/observations';
import type { Roll } from '@/core/records/records';
import { contrastGrades } from '@/core/outcome/grades';
import { developerName } from '@/core/plan/developerName';
import type { ShiftReason } from '@/core/plan/pinShift';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import type { RollAnalysis } from '@/workers/coreApi';
import { lowerFirst } from '@/core/units/lowerFirst';
import { rowWords } from './ledgerWords';

const chartWords = { leaflet: 'A leaflet says', somebody: 'Somebody’s time:', own: 'My own time:' } as const;
const methodWords = { densities: 'by densities', eye: 'by eye' } as const;

/** A piece of evidence in a few words: what was found. */
export function pieceWords({ evidence, setting }: EvidenceItem): string {
  const developer = lowerFirst(developerName(setting.developer));
  switch (evidence.kind) {
    case 'chart':
      return `${chartWords[evidence.source]} ${formatMinutes(evidence.timeMin)} in ${developer}`;
    case 'drop':
      return `Drop test: ${formatNumber(evidence.rateRatio, 2)} times as fast as ${lowerFirst(developerName(evidence.known))}`;
    case 'clip':
      return `Clip of ${formatMinutes(evidence.timeMin)}, ${methodWords[evidence.method]}: gradient ${formatNumber(evidence.gradient, 2)}${evidence.baseFogD === null ? '' : `, base + fog ${formatNumber(evidence.baseFogD, 2)}`}${evidence.speed === null ? '' : `, speed ${formatNumber(evidence.speed.index, 0)}`}`;
    case 'fog':
      if (evidence.atLeast === true && evidence.method === 'densities')
        return `Base + fog at least ${formatNumber(evidence.baseFogD, 2)} after ${formatMinutes(evidence.timeMin)}, ${methodWords[evidence.method]}`;
      if (evidence.atLeast === true) return `Black after ${formatMinutes(evidence.timeMin)}: fogged through`;
      return `Base + fog ${formatNumber(evidence.baseFogD, 2)} after ${formatMinutes(evidence.timeMin)}, ${methodWords[evidence.method]}`;
    case 'verdict':
      return `Run of ${formatMinutes(evidence.timeMin)}, judged ${contrastGrades[String(evidence.contrast) as keyof typeof contrastGrades].toLowerCase()}`;
  }
}

/** Where a piece comes from: this roll, or which other one. */
export function pieceOrigin(
  { setting }: EvidenceItem,
  here: { rollId: string; lotId?: string },
  rolls: readonly Pick<Roll, 'id' | 'label'>[],
  units: UnitChoice,
): string {
  const name = rolls.find(({ id }) => id === setting.rollId)?.label;
  const isSister = here.lotId !== undefined && setting.lotId === here.lotId;
  const where =
    setting.benchId !== undefined
      ? `log of ${setting.benchId}`
      : setting.rollId === here.rollId
        ? 'this roll'
        : isSister
          ? `its sister ${name ?? 'of the same box'}`
          : (name ?? 'another roll');
  return [
    where,
    lowerFirst(developerName(setting.developer)),
    formatQuantity(setting.temperatureC, 'temperature', units),
  ].join(' · ');
}

/** A ratio of times as per cent more or less. */
export function percentWords(ratio: number): string {
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? 'under 1 %' : percent > 0 ? `+${percent} %` : `−${-percent} %`;
}

const measureWords: Record<Conflict['measure'], { above: string; below: string }> = {
  chart: { above: 'a longer time', below: 'a shorter time' },
  drop: { above: 'a faster brew', below: 'a slower brew' },
  gradient: { above: 'a higher gradient', below: 'a lower gradient' },
  fog: { above: 'more fog', below: 'less fog' },
  contrast: { above: 'more contrast', below: 'less contrast' },
  speed: { above: 'more speed lost', below: 'less speed lost' },
};

/** Why a piece is doubted, in a sentence. */
export function conflictWords({ measure, distanceSd, above, weight }: Conflict): string {
  return `It says ${measureWords[measure][above ? 'above' : 'below']} than everything else, ${formatNumber(distanceSd, 1)} standard deviations off, so it counts for ${Math.round(weight * 100)} % of its weight. Check what was written down, or switch it off.`;
}

/** One reason why a pinned time moved. */
export function shiftReasonWords(
  reason: ShiftReason,
  analysis: RollAnalysis,
  units: UnitChoice,
  rolls: readonly Pick<Roll, 'id' | 'label'>[],
): string {
  if (reason.kind === 'evidence') {
    const piece = analysis.listed.find(({ evidence }) => evidence.id === reason.pieceId);
    return piece === undefined
      ? `later evidence (${percentWords(reason.ratio)})`
      : `“${pieceWords(piece)}” (${pieceOrigin(piece, analysis.request, rolls, units).split(' · ')[0]}, ${percentWords(reason.ratio)})`;
  }
  const row = analysis.estimate.ledger.find(({ id }) => id === reason.rowId);
  return row === undefined
    ? reason.rowId
    : `${lowerFirst(rowWords(row, analysis.request, analysis.estimate, units).label)} (${percentWords(reason.ratio)})`;
}
