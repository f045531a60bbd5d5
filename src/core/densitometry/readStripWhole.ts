import { readingGains, type ReadingGains } from './readingGains';
import { readStrip, seenStrip, type PictureSamples, type StripFault, type StripRead } from './readStrip';
import type { CameraBelief } from './stripFit';

/** A strip as read, with what one thing more would win. */
export interface WholeRead {
  read: StripRead;
  gains: ReadingGains | null;
}

export type WholeAnswer = { ok: true; whole: WholeRead } | { ok: false; fault: StripFault };

/**
 * Reads a strip, and reckons what another exposure or a coin would win.
 * @param pictures samples at the same places
 * @param camera what is believed of the camera
 */
export function readStripWhole(pictures: readonly PictureSamples[], camera: CameraBelief): WholeAnswer {
  const answer = readStrip(pictures, camera);
  if (!answer.ok) return answer;
  const seen = seenStrip(pictures);
  return { ok: true, whole: { read: answer.read, gains: seen.ok ? readingGains(seen.strip.pictures, camera) : null } };
}
