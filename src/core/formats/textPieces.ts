/** Letters of the file that are read at a time. */
export const PIECE_BYTES = 1024 * 1024;

/** The text of a file, in pieces of some length. */
export class TextPieces {
  private readonly decoder = new TextDecoder();
  private ended = false;
  /** How much of it was handed out, bytes. */
  private bytes = 0;

  private constructor(
    private readonly pieces: AsyncGenerator<Uint8Array<ArrayBuffer>>,
    private readonly size: number,
    private first: string,
  ) {}

  /** Reads the first piece. */
  static async begin(pieces: AsyncGenerator<Uint8Array<ArrayBuffer>>, size: number): Promise<TextPieces> {
    const text = new TextPieces(pieces, size, '');
    text.first = (await text.next()) ?? '';
    return text;
  }

  get firstLine(): string {
    return this.first.slice(0, Math.max(0, this.first.indexOf('\n')));
  }

  /** How much of it was handed out, 0 to 1. */
  get share(): number {
    return Math.min(1, this.bytes / Math.max(1, this.size));
  }

  /** The next piece; null when there is none. */
  async next(): Promise<string | null> {
    const { first } = this;
    this.first = '';
    if (first !== '') return first;
    if (this.ended) return null;
    const parts: Uint8Array<ArrayBuffer>[] = [];
    let bytes = 0;
    while (bytes < PIECE_BYTES && !this.ended) {
      const { done, value } = await this.pieces.next();
      if (done === true) this.ended = true;
      else {
        parts.push(value);
        bytes += value.byteLength;
      }
    }
    this.bytes += bytes;
    const text = parts.map((part) => this.decoder.decode(part, { stream: true })).join('');
    return this.ended ? text + this.decoder.decode() : text;
  }

  /**
   * All that is left, at once.
   * @param most letters at which it stops
   * @param onPiece told after each piece, with how much of the file was read, 0 to 1
   * @returns null where there is more than that
   */
  async rest(most: number, onPiece: (share: number) => Promise<void>): Promise<string | null> {
    const parts: string[] = [];
    let letters = 0;
    for (let piece = await this.next(); piece !== null; piece = await this.next()) {
      letters += piece.length;
      if (letters > most) return null;
      parts.push(piece);
      await onPiece(this.share);
    }
    return parts.join('');
  }

  /** Whether its first letters may begin an object of JSON. */
  get mayBeObject(): boolean {
    return this.first.trimStart().startsWith('{');
  }

  /**
   * Goes to the end without it.
   * @param onPiece told after each piece, with how much of the file was read, 0 to 1
   */
  async skip(onPiece: (share: number) => Promise<void>): Promise<void> {
    while ((await this.next()) !== null) await onPiece(this.share);
  }
}

/** A file that is text already, in such pieces. */
export async function* plainPieces(file: Blob): AsyncGenerator<Uint8Array<ArrayBuffer>> {
  for (let from = 0; from < file.size; from += PIECE_BYTES)
    yield new Uint8Array(await file.slice(from, from + PIECE_BYTES).arrayBuffer());
}
