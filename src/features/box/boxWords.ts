import type { FirstOfBox } from '@/core/plan/firstOfBox';
import { contrastGrades, fogGrades, imageOf, images } from '@/core/outcome/grades';
import type { RollDossier } from '@/data/queries';

const whyFirst: Record<FirstOfBox['why'], string> = {
  unexposed: 'it isn’t exposed, so nothing on it can be lost',
  unknown: 'nobody knows what is on it',
  mixed: 'it has least to lose',
  known: 'all of them have pictures, and it tells most about the others',
};

/** A narrowing smaller than this is not spoken of. Source: our choice. */
const WORTH_RATIO = 0.97;

/** Which roll of a box goes first, and what it would do for the others. */
export function firstWords({ why, widthRatio }: FirstOfBox, label: string): string {
  const percent = Math.round((1 - widthRatio) * 100);
  const gain =
    widthRatio < WORTH_RATIO
      ? ` Its verdict would narrow the others’ likely ranges by about ${percent} %.`
      : ' It would hardly narrow the others: they are known as well as they can be.';
  return `Develop ${label} first: ${whyFirst[why]}.${gain}`;
}

/** How a roll of a box came out, or that it waits. */
export function outcomeWords({ verdict, run, standing }: Pick<RollDossier, 'verdict' | 'run' | 'standing'>): string {
  if (standing.forbidden) return 'Likely nitrate: do not process here';
  if (verdict === undefined) return run === undefined ? 'waits' : 'developed, not judged yet';
  const image = imageOf(verdict.defects);
  if (image !== 'there') return images[image].toLowerCase();
  const contrast = contrastGrades[String(verdict.contrast) as keyof typeof contrastGrades].toLowerCase();
  return `${contrast}, ${fogGrades[verdict.fog].toLowerCase()}`;
}

/** How many rolls a box holds and what became of them. */
export function boxInShort(dossiers: readonly Pick<RollDossier, 'verdict'>[]): string {
  const judged = dossiers.filter(({ verdict }) => verdict !== undefined).length;
  const rolls = `${dossiers.length} ${dossiers.length === 1 ? 'roll' : 'rolls'}`;
  return judged === 0 ? `${rolls}, none judged yet` : `${rolls}, ${judged} judged`;
}
