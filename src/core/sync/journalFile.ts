import * as z from 'zod';
import { crc32 } from '../formats/zipEntries';
import { latestVersion } from '../formats/migrations';
import { idField } from '../schema/fields';
import { editSchema, type Edit } from './edit';

/*
 * A journal is a text of lines. The first says whose it is; each other is one edit with a sum over it, so that half a line, as a copy
 * under way leaves it, is told from a whole one.
 */

const FORMAT = 'aetas-journal';
export const JOURNAL_SUFFIX = '.aetas-journal';

const headSchema = z.looseObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  /** Shape of the records. */
  shape: z.number().int(),
  device: idField,
  name: z.string().max(120),
});

/** Whose journal it is. */
export interface Journal {
  device: string;
  /** What its device is called. */
  name: string;
  edits: Edit[];
}

/** A journal, or why it is set aside. */
export type JournalRead = { ok: true; journal: Journal } | { ok: false; name: string; why: string };

const encoder = new TextEncoder();
const sumOf = (text: string): string => crc32(encoder.encode(text)).toString(36);

/** First line of a journal. */
export function journalHead(device: string, name: string): string {
  return `${JSON.stringify({ format: FORMAT, version: 1, shape: latestVersion(), device, name })}\n`;
}

/** Lines of a journal. */
export function journalLines(edits: readonly Edit[]): string {
  return edits
    .map((edit) => {
      const text = JSON.stringify(edit);
      return `${sumOf(text)} ${text}\n`;
    })
    .join('');
}

/**
 * Reads a journal.
 * @param text as it stands in its file; its last line may be half
 * @param file name of the file, for a journal that does not say whose it is
 * @returns its edits; else why it is set aside, as a sentence: then nothing of it counts until it is whole again
 */
export function readJournal(text: string, file: string): JournalRead {
  const aside = (why: string, name = file): JournalRead => ({ ok: false, name, why });
  const lines = text.split('\n');
  const half = lines.pop();
  const head = lines.length === 0 ? half : lines.shift();
  const read = headSchema.safeParse(parsed(head ?? ''));
  if (!read.success)
    return aside(text.length < 1000 && lines.length === 0 ? 'It has not come whole yet.' : 'It is no journal.');
  const { device, name, shape } = read.data;
  if (shape > latestVersion()) return aside('A newer Aetas wrote it: bring this one up to date.', name);
  const edits: Edit[] = [];
  for (const [index, line] of lines.entries()) {
    const at = line.indexOf(' ');
    const body = line.slice(at + 1);
    const edit = at > 0 && line.slice(0, at) === sumOf(body) ? editSchema.safeParse(parsed(body)) : null;
    if (edit?.success === true && edit.data.device === device) edits.push(edit.data as Edit);
    // The last line may have come in part.
    else if (index < lines.length - 1) return aside(`Line ${index + 2} of ${lines.length + 1} is damaged.`, name);
  }
  return { ok: true, journal: { device, name, edits } };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
