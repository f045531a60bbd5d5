/** Density of a pencil line on paper, where a strip of a drop test counts as dark, D. Source: common practice, no source. */
export const DARK_ENOUGH_D = 0.6;

/** Density of the leader as it lies there before the drops, D: undeveloped film looks pale. Source: our choice. */
export const UNTOUCHED_D = 0.12;
