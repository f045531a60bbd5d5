/** What stands in place of a time while something that was typed is wrong. */
export const MENDING = 'Correct the marked field to see the time.';
