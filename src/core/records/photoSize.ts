/** Longest edge of a kept photograph, px. Source: our choice. */
export const PHOTO_EDGE_PX = 1600;
