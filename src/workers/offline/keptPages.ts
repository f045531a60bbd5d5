/** Pages without an id in their address. */
export const plainPages = [
  '/',
  '/along',
  '/archive',
  '/ask',
  '/brews',
  '/brews/kit',
  '/brews/standing',
  '/brews/waste',
  '/brews/workbench',
  '/evening',
  '/exposure',
  '/first',
  '/given',
  '/handbook',
  '/handbook/method',
  '/handbook/tables',
  '/handbook/bottles',
  '/handbook/dark',
  '/handbook/fog',
  '/handbook/prints',
  '/handbook/range',
  '/handbook/reel',
  '/handbook/sodas',
  '/handbook/spoons',
  '/handbook/tank',
  '/handbook/temperature',
  '/handbook/trials',
  '/handbook/washing',
  '/handbook/waste',
  '/handbook/wedge',
  '/log',
  '/log/compare',
  '/log/learned',
  '/practice',
  '/prints',
  '/prints/dark',
  '/prints/new',
  '/records',
  '/rolls',
  '/rolls/new',
  '/settings',
  '/trials',
  '/trials/new',
] as const;

/** Pages of one record each; `[id]` stands for its id. */
export const recordPages = [
  '/boxes/[id]',
  '/brews/[id]',
  '/brews/mix/[id]',
  '/log/[id]',
  '/prints/[id]',
  '/rolls/[id]',
  '/rolls/[id]/along',
  '/rolls/[id]/dark',
  '/rolls/[id]/sheet',
  '/rolls/[id]/sleeve',
  '/rolls/[id]/strip',
  '/runs/[id]',
  '/trials/[id]',
] as const;

/** The id under which a page of one record is kept. No record has it. */
export const ANY_ID = 'kept-page-of-any-record';

/** Address under which the page of one record is kept. */
export function anyRecordPage(pattern: (typeof recordPages)[number]): string {
  return pattern.replace('[id]', ANY_ID);
}

/** Ids as records have them: nothing in them needs quoting in a page. */
const idPattern = /^[\w.:-]{1,100}$/;

/**
 * The kept page that serves an address of one record, and the record’s id. Pages are the same for every record but for its id, so
 * one of each kind serves all.
 * @param path path of the address, without what follows a question mark
 * @returns null where no record has such an address
 * @example recordPageOf('/rolls/tin-3/dark') // { kept: anyRecordPage('/rolls/[id]/dark'), id: 'tin-3' }
 */
export function recordPageOf(path: string): { kept: string; id: string } | null {
  const parts = path.split('/');
  for (const pattern of recordPages) {
    const wanted = pattern.split('/');
    if (wanted.length !== parts.length) continue;
    if (!wanted.every((part, index) => part === '[id]' || part === parts[index])) continue;
    const id = decoded(parts[wanted.indexOf('[id]')] ?? '');
    return idPattern.test(id) ? { kept: anyRecordPage(pattern), id } : null;
  }
  return null;
}

/**
 * The kept page of any record as the page of one.
 * @param html the page as it is kept
 * @param id id of the record
 */
export function pageForRecord(html: string, id: string): string {
  return html.replaceAll(ANY_ID, () => id);
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return '';
  }
}
