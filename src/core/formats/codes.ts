import { crc32 } from './zipEntries';

/*
 * A file as a row of square codes. Each code holds letters that the codes' alphanumeric mode takes without loss: a heading, and a
 * piece of the file in Base45. They may be read in any order, and any of them twice.
 */

/** The letters of Base45, by their values. Source: RFC 9285 (published). */
const LETTERS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
const BASE = LETTERS.length;

/**
 * Bytes as Base45: two bytes are three letters, a single last one two.
 * source: RFC 9285 (published)
 * @example toBase45(new TextEncoder().encode('AB')) // 'BB8'
 */
export function toBase45(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 2) {
    const [first = 0, second] = [bytes[at], bytes[at + 1]];
    let value = second === undefined ? first : 256 * first + second;
    for (let letter = second === undefined ? 2 : 3; letter > 0; letter--) {
      text += LETTERS[value % BASE];
      value = Math.floor(value / BASE);
    }
  }
  return text;
}

/**
 * Bytes of a text in Base45.
 * @returns null where the text is none
 * source: RFC 9285 (published)
 */
export function fromBase45(text: string): Uint8Array | null {
  if (text.length % 3 === 1) return null;
  const bytes: number[] = [];
  for (let at = 0; at < text.length; at += 3) {
    const values = [...text.slice(at, at + 3)].map((letter) => LETTERS.indexOf(letter));
    if (values.includes(-1)) return null;
    const value = values.reduceRight((sum, digit) => sum * BASE + digit, 0);
    if (value > (values.length === 3 ? 0xffff : 0xff)) return null;
    if (values.length === 3) bytes.push(value >> 8);
    bytes.push(value & 0xff);
  }
  return new Uint8Array(bytes);
}

/** What each code begins with. */
const HEAD = 'AETAS1';

/**
 * Letters of the file in one code. A code of this length has 65 squares a side, and a telephone reads it from a screen at arm’s
 * length. Source: our choice.
 */
const PIECE_LETTERS = 480;

/** The most codes of one file: more take longer to read than to carry a file by other ways. Source: our choice. */
export const MOST_CODES = 60;

/**
 * A file as texts of codes.
 * @param file its bytes
 * @returns null where it takes too many codes
 */
export function codesOf(file: Uint8Array): string[] | null {
  const text = toBase45(file);
  const total = Math.max(1, Math.ceil(text.length / PIECE_LETTERS));
  if (total > MOST_CODES) return null;
  const mark = markOf(file);
  return Array.from({ length: total }, (_, index) =>
    [HEAD, mark, index + 1, total, text.slice(index * PIECE_LETTERS, (index + 1) * PIECE_LETTERS)].join('/'),
  );
}

function markOf(file: Uint8Array): string {
  return crc32(file).toString(36).toUpperCase();
}

/** Codes of one file as far as they were read. */
export interface CodesRead {
  /** What tells the file from others, and proves it whole. */
  mark: string;
  total: number;
  /** The pieces that were read, by their number from 0. */
  pieces: ReadonlyMap<number, string>;
}

/**
 * Takes the text of a code to what was read before. A code of another file begins anew; one that is none of ours changes nothing.
 * @param read what was read; null at the start
 * @param text the text of a code
 */
export function withCode(read: CodesRead | null, text: string): CodesRead | null {
  const found = /^AETAS1\/([0-9A-Z]{1,7})\/(\d{1,2})\/(\d{1,2})\/(.*)$/s.exec(text);
  if (found === null) return read;
  const [, mark = '', numberText, totalText, piece = ''] = found;
  const [number, total] = [Number(numberText), Number(totalText)];
  if (number < 1 || number > total || total > MOST_CODES) return read;
  const same = read !== null && read.mark === mark && read.total === total ? read : null;
  if (same?.pieces.has(number - 1) === true) return same;
  return { mark, total, pieces: new Map([...(same?.pieces ?? []), [number - 1, piece]]) };
}

/**
 * The file of codes that were all read.
 * @returns null while some are missing; “damaged” where they are all there and do not give the file
 */
export function fileOfCodes({ mark, total, pieces }: CodesRead): Uint8Array | 'damaged' | null {
  if (pieces.size < total) return null;
  const bytes = fromBase45(Array.from({ length: total }, (_, index) => pieces.get(index) ?? '').join(''));
  return bytes !== null && markOf(bytes) === mark ? bytes : 'damaged';
}
