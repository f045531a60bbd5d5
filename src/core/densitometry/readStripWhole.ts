import { readingGains, type ReadingGains } from './readingGains';
import { readSeen, seenStrip, type PictureSamples, type StripFault, type StripRead } from './readStrip';
import type { CameraBelief } from './cameraUnknowns';

/** A strip as read, with what one thing more would win. */
export interface WholeRead {
  read: StripRead;
  gains: ReadingGains | null;
}

export type WholeAnswer = { ok: true; whole: WholeRead } | { ok: false; fault: StripFault };

/**
 * Reads a strip, and works out what another exposure or a coin would win.
 * @param pictures samples at the same places
 * @param camera what is believed of the camera
 */
export function readStripWhole(pictures: readonly PictureSamples[], camera: CameraBelief): WholeAnswer {
  const answer = seenStrip(pictures);
  if (!answer.ok) return answer;
  const { read, fit } = readSeen(pictures, answer.strip, camera);
  return { ok: true, whole: { read, gains: readingGains(answer.strip.pictures, camera, fit) } };
}
