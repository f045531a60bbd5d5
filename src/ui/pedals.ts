/**
 * Keys that start and stop where hands are wet or full: the long one, what foot pedals send, and the volume keys of browsers that hand
 * them on. Source: common practice.
 */
const PEDALS: ReadonlySet<string> = new Set([
  ' ',
  'Enter',
  'PageDown',
  'PageUp',
  'MediaPlayPause',
  'AudioVolumeUp',
  'AudioVolumeDown',
]);

/** Whether a key is pressed by a hand, a foot or a thumb that has nothing else to choose. */
export function isPedal({ key }: Pick<KeyboardEvent, 'key'>): boolean {
  return PEDALS.has(key);
}
