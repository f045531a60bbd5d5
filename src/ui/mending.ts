/** What stands in place of a time while something that was typed is wrong. */
export const MENDING = 'Mend what is marked, and the time comes back.';
