import type { FileReport } from '@/core/formats/benchFile';
import type { Records } from '@/core/records/records';
import { tableNames } from '@/core/records/tables';
import { countText } from '@/core/units/language';
import type { MergeReport } from '@/data/benchFiles';

type Counted = Exclude<keyof Records, 'settings'>;

/** One of a kind, and several. */
const words: Record<Counted, readonly [one: string, several: string]> = {
  stocks: ['film', 'films'],
  boxes: ['box', 'boxes'],
  prints: ['print', 'prints'],
  guests: ['other person’s log', 'other people’s logs'],
  trials: ['trial', 'trials'],
  waste: ['pour into a waste bottle', 'pours into waste bottles'],
  rolls: ['roll', 'rolls'],
  brews: ['brew', 'brews'],
  plans: ['plan', 'plans'],
  runs: ['run', 'runs'],
  verdicts: ['verdict', 'verdicts'],
  drafts: ['unfinished form', 'unfinished forms'],
  photos: ['photograph', 'photographs'],
  evidence: ['test or leaflet’s time', 'tests and leaflets’ times'],
  recipes: ['recipe', 'recipes'],
  mixes: ['mix', 'mixes'],
  aside: ['record set aside', 'records set aside'],
  habits: ['way of your own', 'ways of your own'],
  readings: ['strip that was read', 'strips that were read'],
};

function listed(counts: Readonly<Record<Counted, number>>): string[] {
  return tableNames.flatMap((name) => {
    if (name === 'settings' || counts[name] === 0) return [];
    const [one, several] = words[name];
    return [`${countText(counts[name])} ${counts[name] === 1 ? one : several}`];
  });
}

/** What lies on a bench, in a sentence; what there is none of goes unsaid. */
export function recordCountWords(counts: Readonly<Record<Counted, number>>): string {
  const parts = listed(counts);
  return parts.length === 0 ? 'This bench is empty.' : `On this bench: ${parts.join(', ')}.`;
}

/** What became of a file, in a sentence or two. */
export function fileReportWords({ counts, setAside, cleared, redated }: FileReport): string {
  const parts = listed({ ...counts, aside: 0 });
  const sentences = [parts.length === 0 ? 'It holds no records.' : `It holds ${parts.join(', ')}.`];
  if (setAside > 0)
    sentences.push(
      setAside === 1
        ? 'One record had lost what it belongs to, and is kept under “Set aside”.'
        : `${countText(setAside)} records had lost what they belong to, and are kept under “Set aside”.`,
    );
  if (cleared > 0)
    sentences.push(
      cleared === 1
        ? 'One link that led nowhere was cleared.'
        : `${countText(cleared)} links that led nowhere were cleared.`,
    );
  if (redated > 0) sentences.push(redatedWords(redated));
  return sentences.join(' ');
}

/** What became of times in the future. */
function redatedWords(redated: number): string {
  return redated === 1
    ? 'One record carried a time in the future: it counts as now.'
    : `${countText(redated)} records carried times in the future: they count as now.`;
}

/** What merging did to the records that are counted. */
type Merged = Readonly<Record<'added' | 'updated', Record<Counted, number>>> & Pick<MergeReport, 'kept' | 'redated'>;

/** What merging a file did, in a sentence or two. */
export function mergeWords({ added, updated, kept, redated }: Merged): string {
  const [fresh, newer] = [listed(added), listed(updated)];
  return [
    fresh.length === 0 ? 'Nothing was new.' : `Added: ${fresh.join(', ')}.`,
    ...(newer.length === 0 ? [] : [`Newer in the file, and taken from it: ${newer.join(', ')}.`]),
    kept === 1
      ? 'One record was the same here, or newer, and stayed.'
      : `${countText(kept)} records were the same here, or newer, and stayed.`,
    ...(redated > 0 ? [redatedWords(redated)] : []),
  ].join(' ');
}

/** Bytes as people read them. */
export function sizeWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`;
  if (bytes < 1e9) return `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;
  return `${(bytes / 1e9).toFixed(1)} GB`;
}
