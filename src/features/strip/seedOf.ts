/** A whole number from a name: the same roll practises on the same strip. */
export function seedOf(name: string): number {
  return [...name].reduce((sum, letter) => (Math.imul(sum, 31) + (letter.codePointAt(0) ?? 0)) | 0, 7) >>> 0;
}
