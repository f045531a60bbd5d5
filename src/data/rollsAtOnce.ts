/** Most rolls that are put on the bench at once. Source: our choice, a brick and a half. */
export const MOST_AT_ONCE = 30;
