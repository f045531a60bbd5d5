import * as z from 'zod';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { typed } from '../schema/typed';
import { within } from '../schema/within';

/** Most frames that a roll has. Source: our choice: a long 135 of half frames. */
export const MOST_FRAMES = 80;

const frames = within('Frames', 1, MOST_FRAMES).int('Frames: give a whole number.');
const perStrip = within('Frames on a strip', 1, 12).int('Frames on a strip: give a whole number.');
const cameOut = within('Frames that came out', 0, MOST_FRAMES).int('Frames that came out: give a whole number.');
const place = z.string().max(200, 'Place: give 200 letters at most.');
const words = z.array(z.strictObject({ frame: z.number().int().min(1).max(MOST_FRAMES), words: z.string().max(500) }));

/** Where a developed roll is kept, how it was cut, and what is on its frames. */
export const archiveSchema = z.strictObject({
  /** Binder and page, or whatever its owner finds it by. */
  place,
  frames,
  perStrip,
  /** Frames that came out; missing where nobody counted. */
  cameOut: cameOut.optional(),
  /** Words on frames, by number; frames without any are left out. */
  words: words.max(MOST_FRAMES),
});
export type Archive = z.infer<typeof archiveSchema>;

/** The same as typed. */
export const archiveFormSchema = z.object({
  place: z.string().max(1000),
  frames: typed,
  perStrip: typed,
  cameOut: typed.optional(),
  words,
});
export type ArchiveForm = z.infer<typeof archiveFormSchema>;

/** What a roll of which nothing was said yet begins with: 36 in sixes, as most binders take them. Source: common practice, no source. */
export const emptyArchive: ArchiveForm = { place: '', frames: 36, perStrip: 6, words: [] };

/** Reads where a roll is kept; else every problem with its field. */
export function readArchive(form: ArchiveForm): Result<Archive> {
  const { cameOut: counted, ...rest } = form;
  const read = archiveSchema.safeParse({
    ...rest,
    ...(counted === undefined || counted === '' ? {} : { cameOut: counted }),
    words: form.words.filter(({ words }) => words.trim() !== ''),
  });
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}

/**
 * How a roll is cut.
 * @param frames number of frames, 1 or more
 * @param perStrip frames on each strip, 1 or more; the last one takes what is left
 * @returns the numbers on each strip
 * @example stripsOf(37, 5).length // 8, the last of two
 */
export function stripsOf(frames: number, perStrip: number): number[][] {
  return Array.from({ length: Math.ceil(frames / perStrip) }, (_, strip) =>
    Array.from({ length: Math.min(perStrip, frames - strip * perStrip) }, (_, at) => strip * perStrip + at + 1),
  );
}

/** Words of a frame; empty where there are none. */
export function wordsOf({ words }: Pick<Archive, 'words'>, frame: number): string {
  return words.find((one) => one.frame === frame)?.words ?? '';
}

/** All words of a roll's frames with those of one changed. */
export function withWords<T extends Pick<Archive, 'words'>>(archive: T, frame: number, text: string): T {
  const others = archive.words.filter((one) => one.frame !== frame);
  const next = text === '' ? others : [...others, { frame, words: text }];
  return { ...archive, words: next.sort((a, b) => a.frame - b.frame) };
}

/** What a search finds a roll by: its place, and the words on its frames. */
export function archiveWords(archive: Archive | undefined): string {
  return archive === undefined ? '' : [archive.place, ...archive.words.map((one) => one.words)].join(' ');
}

/** Letters that a code on a sleeve holds: more makes it too fine for a cheap printer. Source: our choice. */
const CODE_LETTERS = 200;

/** What the code on a sleeve says: the roll, its place, and as many words as it holds. */
export function sleeveCode(label: string, archive: Archive): string {
  const words = archive.words.map((one) => `${one.frame} ${one.words}`).join('; ');
  return [label, archive.place, words].filter(Boolean).join('\n').slice(0, CODE_LETTERS);
}
