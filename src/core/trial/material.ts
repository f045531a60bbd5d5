/** What a strip of a trial is cut from: how much film each takes, and how it is exposed. */
export const materialIds = ['clip', 'length', 'roll'] as const;
export type MaterialId = (typeof materialIds)[number];

/** A piece that is cut off, m. Source: common practice, no source. */
const CLIP_M = 0.05;

/** Film for one frame with its gap: eight perforations of 4.75 mm, m. Source: published, ISO 1007 (135-size film), from memory. */
const FRAME_M = 0.038;

/** What a short length needs beside its frames, to be spooled, loaded and held, m. Source: our estimate. */
const ENDS_M = 0.18;

/** Frames of a short length: those that are exposed twice over a bracket, and some to spare. Source: common practice, no source. */
export const USUAL_FRAMES = 12;
/** Frames that a short length may have. */
export const FRAMES = [2, 40] as const;

export const materials: Readonly<Record<MaterialId, { name: string; exposedBy: 'scene' | 'wedge' }>> = {
  clip: { name: 'a clip of 5 cm', exposedBy: 'wedge' },
  length: { name: 'a short length, spooled', exposedBy: 'scene' },
  roll: { name: 'a whole roll', exposedBy: 'scene' },
};

/** The film that strips take. */
export interface FilmNeed {
  /** All of them, m; null for whole rolls, which are counted. */
  needM: number | null;
  /** Strips that the film at hand gives; null where nobody said how much there is. */
  given: number | null;
}

/**
 * How much film the strips of a trial take, and how many the film at hand gives.
 * @param kind what each is cut from
 * @param frames frames of a short length
 * @param strips how many are laid out
 * @param atHandM film at hand, m; null where it was not told
 */
export function filmNeed(kind: MaterialId, frames: number, strips: number, atHandM: number | null): FilmNeed {
  if (kind === 'roll') return { needM: null, given: null };
  const eachM = kind === 'clip' ? CLIP_M : frames * FRAME_M + ENDS_M;
  return { needM: strips * eachM, given: atHandM === null ? null : Math.floor(atHandM / eachM + 1e-9) };
}

/**
 * The same in words, with what to do where it is short.
 * @param need see `filmNeed`
 * @param strips how many are laid out
 * @param blocks rolls or days
 * @param levels what is compared
 */
export function filmWords({ needM, given }: FilmNeed, strips: number, blocks: number, levels: number): string {
  if (needM === null) return `${strips} whole rolls.`;
  const all = `${strips} strips take ${needM.toFixed(needM < 1 ? 2 : 1)} m of film.`;
  if (given === null || given >= strips) return all;
  const each = Math.floor(given / Math.max(1, blocks));
  if (each < 2)
    return `${all} There is film for ${given} of them: too few for ${blocks} rolls or days. Take fewer of these.`;
  return each < levels
    ? `${all} There is film for ${given} of them: with ${each} from each, what differs takes turns.`
    : `${all} There is film for ${given} of them: take ${each} from each.`;
}
