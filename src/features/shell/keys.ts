/** The keys that work on every page, in the order in which `?` lists them. */
export const keys = [
  { key: 'b', does: 'Go to the bench' },
  { key: 'q', does: 'Ask: how long in this?' },
  { key: 'n', does: 'New roll' },
  { key: 'l', does: 'Next light: Day, Dim, Safe' },
  { key: '/', does: 'Search the rolls' },
  { key: 's', does: 'Go to the next step of the roll in view; pressed there again, do it' },
  { key: 'Space', does: 'At the tank: the next bath is in; held for a second, pour out early' },
  { key: '?', does: 'Show these keys' },
] as const;
