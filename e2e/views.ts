/** Views of the shelf, the archive, trials and prints, from the demo’s records: looked at in every light and at 360 px. */
export const shelfViews = [
  '/boxes/box-brick',
  '/brews/standing',
  '/along',
  '/given',
  '/rolls/portraits/along',
  '/brews/waste',
  '/trials',
  '/trials/new',
  '/trials/trial-soda',
  '/trials/trial-mugs',
  '/prints',
  '/prints/dark',
  '/archive',
  '/prints/print-dog',
  '/rolls/past-09',
  '/rolls/past-09/sleeve',
];
