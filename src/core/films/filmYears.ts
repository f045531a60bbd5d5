/** Year before which roll film was not sold. Source: common practice, no source. */
export const FIRST_FILM_YEAR = 1889;
