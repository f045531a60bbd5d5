import type { Records } from '@/core/records/records';
import { tableNames } from '@/core/records/tables';

type Counted = Exclude<keyof Records, 'settings'>;

/** One of a kind, and several. */
const words: Record<Counted, readonly [one: string, several: string]> = {
  stocks: ['film', 'films'],
  rolls: ['roll', 'rolls'],
  brews: ['brew', 'brews'],
  plans: ['plan', 'plans'],
  runs: ['run', 'runs'],
  verdicts: ['verdict', 'verdicts'],
  drafts: ['unfinished form', 'unfinished forms'],
  photos: ['photograph', 'photographs'],
  evidence: ['test or chart time', 'tests and chart times'],
  recipes: ['recipe', 'recipes'],
  mixes: ['mixing', 'mixings'],
};

/** What lies on a bench, in a sentence; what there is none of goes unsaid. */
export function recordCountWords(counts: Readonly<Record<Counted, number>>): string {
  const parts = tableNames.flatMap((name) => {
    if (name === 'settings' || counts[name] === 0) return [];
    const [one, several] = words[name];
    return [`${counts[name]} ${counts[name] === 1 ? one : several}`];
  });
  return parts.length === 0 ? 'Nothing lies on this bench yet.' : `On this bench: ${parts.join(', ')}.`;
}
