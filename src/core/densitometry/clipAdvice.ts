import { filmFormats, type FilmFormatId } from '../films/filmFormats';

/** Length of film that a clip takes, cm. Source: common practice, no source. */
export const CLIP_CM = 5;

/**
 * Where in the dark to cut a clip from.
 * @param formatId format of the roll
 * @returns a sentence in the imperative. Source: common practice, no source.
 */
export function clipAdvice(formatId: FilmFormatId): string {
  const { paperBacked, name } = filmFormats[formatId];
  if (formatId.startsWith('sheet')) return 'Take one sheet of the batch, or cut a strip from a corner.';
  if (formatId.startsWith('cine')) return `Cut ${CLIP_CM} cm from the outer end, past what was fogged in handling.`;
  if (paperBacked)
    return `In the dark, unroll the paper until the free end of the film comes: the last frame lies there. Cut ${CLIP_CM} cm of it; one frame is lost at the most.`;
  return `In the dark, draw out the leader and a hand's width more, then cut ${CLIP_CM} cm behind it: on ${name} that is the first frame at the most.`;
}
