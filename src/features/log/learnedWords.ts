import { developerFamilies } from '@/core/chemistry/developerFamilies';
import { organicAgents } from '@/core/chemistry/organicAgents';
import type { LearnedFactor } from '@/core/learning/learnedFactors';
import type { BandsHeld } from '@/core/outcome/neededTime';
import { USUAL_EYE_SD_GRADES, type EyeScatter } from '@/core/outcome/eyeScatter';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { formatNumber } from '@/core/units/quantity';

/** Whether the bands of the last runs held. */
export function heldWords({ runs, inside, tooFew }: BandsHeld): string {
  if (runs === 0) return 'What Aetas has learned';
  const said = `${inside} of your last ${runs} landed in the likely range.`;
  return tooFew ? `Only ${said}` : said;
}

/** What follows from it for the bands to come; null while they are drawn as the model gives them. */
export function wideningWords({ widening }: Pick<BandsHeld, 'widening'>): string | null {
  if (widening <= 1) return null;
  return `Likely ranges are drawn ${formatNumber(widening, 1)} times as wide until your runs land in them again.`;
}

/** What a factor belongs to, by its name. */
export function factorName({ kind, key }: LearnedFactor, stocks: ReadonlyMap<string, string>): string {
  switch (kind) {
    case 'stock':
      return stocks.get(key) ?? 'A film';
    case 'developer':
      return developer(key);
    case 'pair': {
      const [stock = '', ...rest] = key.split('|');
      return `${stocks.get(stock) ?? 'A film'} in ${developer(rest.join('|')).toLowerCase()}`;
    }
    case 'school':
      return key in agitationSchools
        ? agitationSchools[key as keyof typeof agitationSchools].name
        : 'Your own agitation';
    case 'eye':
      return 'Your eye';
  }
}

function developer(key: string): string {
  if (key in developerFamilies) return developerFamilies[key as keyof typeof developerFamilies].name;
  if (key === 'one-bath') return 'One-bath';
  if (key.startsWith('other ')) return key.slice('other '.length);
  const agents = key
    .split('+')
    .map((id) => (id in organicAgents ? organicAgents[id as keyof typeof organicAgents].name : id));
  return agents.join(' and ');
}

/** A factor in words. */
export function factorWords({ kind, factor, low, high, pieces }: LearnedFactor): string {
  const from = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;
  if (kind === 'eye')
    return `Your eye calls a film ${formatNumber(Math.abs(factor), 1)} grades ${factor >= 0 ? 'harder' : 'softer'} than it is (${formatNumber(low, 1)} to ${formatNumber(high, 1)}), from ${from}.`;
  return `× ${formatNumber(factor, 2)} (${formatNumber(low, 2)}–${formatNumber(high, 2)}), ${from}`;
}

/** How far the judgements of one film lie apart. */
export function eyeWords({ sdGrades, repeats }: EyeScatter): string {
  const usual = formatNumber(USUAL_EYE_SD_GRADES, 1);
  if (repeats === 0)
    return `Judge a film again on another day, without looking up what you said. The steadier your eye, the narrower your likely ranges. Until then Aetas assumes ${usual} of a grade.`;
  return `Your judgements of one film scatter by ${formatNumber(sdGrades, 1)} of a grade, from ${repeats} ${repeats === 1 ? 'repeat' : 'repeats'}; ${usual} is usual. Your likely ranges follow it.`;
}

/** A second look beside the first. */
export function agreementWords(first: number, now: number): string {
  const by = Math.abs(now - first);
  if (by === 0) return 'the same as the first time.';
  return `${by === 1 ? 'a grade' : `${by} grades`} ${now > first ? 'harder' : 'softer'} than the first time.`;
}
