import type { StockFamilyId } from './stockFamilies';

/** How to tell a family, when it was in use, and what is left to do with it. */
export interface FamilyRecognition {
  /** First and last year of use; null while it is still made. */
  yearsInUse: { from: number; to: number | null };
  /** What to look for on rim, base, back and box. */
  recognise: string;
  /** What its process was, and why black-and-white chemistry is what is left. */
  process: string;
  /** Whether a picture is likely after decades. */
  image: string;
}

const monochrome = 'Black-and-white from the start: any developer here suits it.';
const keepsImage = 'Likely, if the film was dry and not hot.';

/** Recognition of the families. Source: from memory, to be checked; years are rounded outwards. */
export const familyRecognition: Record<StockFamilyId, FamilyRecognition> = {
  'pan-cubic-slow': {
    yearsInUse: { from: 1925, to: null },
    recognise: 'Grey or clear base, plain black-and-white edge print, ISO 64 or less.',
    process: monochrome,
    image: 'Very likely: slow film keeps best.',
  },
  'pan-cubic-medium': {
    yearsInUse: { from: 1925, to: null },
    recognise: 'Grey or clear base, ISO 80 to 160.',
    process: monochrome,
    image: keepsImage,
  },
  'pan-cubic-fast': {
    yearsInUse: { from: 1935, to: null },
    recognise: 'Grey base, ISO 200 to 640.',
    process: monochrome,
    image: keepsImage,
  },
  'pan-cubic-very-fast': {
    yearsInUse: { from: 1950, to: null },
    recognise: 'Grey base, ISO 800 and over.',
    process: monochrome,
    image: 'Doubtful after two decades: fast film fogs first.',
  },
  'pan-tabular-medium': {
    yearsInUse: { from: 1986, to: null },
    recognise: 'From the mid-1980s on; a pink or mauve dye comes out in the first bath.',
    process: `${monochrome} Fix it longer.`,
    image: keepsImage,
  },
  'pan-tabular-fast': {
    yearsInUse: { from: 1986, to: null },
    recognise: 'From the mid-1980s on, ISO 400 and over; a pink or mauve dye comes out in the first bath.',
    process: `${monochrome} Fix it longer.`,
    image: keepsImage,
  },
  orthochromatic: {
    yearsInUse: { from: 1889, to: null },
    recognise: 'The box says “ortho”, or that red light is safe. Often before 1950.',
    process: `${monochrome} It may be watched under deep red light.`,
    image: 'Very likely: slow film keeps best.',
  },
  'chromogenic-monochrome': {
    yearsInUse: { from: 1980, to: null },
    recognise: 'Black-and-white film whose box asks for a C-41 type process; often a brownish base.',
    process: 'Made for colour chemistry; a black-and-white developer gives a silver picture on a dense base.',
    image: keepsImage,
  },
  'colour-negative-current': {
    yearsInUse: { from: 1972, to: null },
    recognise: 'Orange base, “C-41” on box or edge.',
    process: 'Its process still exists, but dyes of old stock fade and shift; silver is surer.',
    image: 'Likely for two or three decades.',
  },
  'colour-negative-obsolete': {
    yearsInUse: { from: 1942, to: 1977 },
    recognise: 'Colour prints, 1940s to 1970s, a process designation other than C-41 on the box.',
    process:
      'Its colour chemistry and temperatures are gone, and the couplers may have decayed: silver is what is left.',
    image: 'Doubtful: fog and lost speed.',
  },
  'colour-reversal-couplers': {
    yearsInUse: { from: 1936, to: null },
    recognise: 'Colour slides; E-type designation on box or edge.',
    process: 'As a negative in black-and-white; older types soften above 24 °C.',
    image: 'Likely for two or three decades.',
  },
  'colour-reversal-nonsubstantive': {
    yearsInUse: { from: 1935, to: 2010 },
    recognise: 'Slides or home cine with a black back, K-type designation.',
    process: 'Dyes were added in the laboratory by a process that ended in 2010; the film itself holds only silver.',
    image: 'Likely: it keeps like black-and-white film.',
  },
  'cine-colour-negative': {
    yearsInUse: { from: 1950, to: null },
    recognise: 'Black back that rubs off in alkaline water, ECN-type designation, no frame numbers of a still film.',
    process: 'The back must come off first; its process still exists for fresh stock.',
    image: 'Likely for two or three decades.',
  },
  'cine-monochrome-negative': {
    yearsInUse: { from: 1893, to: null },
    recognise: 'Grey base, key numbers along the edge, no black back.',
    process: monochrome,
    image: keepsImage,
  },
  'cine-print': {
    yearsInUse: { from: 1893, to: null },
    recognise: 'Clear base, very slow, “print”, “fine grain” or “duplicating” on the can.',
    process: `${monochrome} Very contrasty.`,
    image: 'Very likely: slow film keeps best.',
  },
  'lith-line': {
    yearsInUse: { from: 1930, to: null },
    recognise: 'Thin clear base, “line”, “lith” or “process” on the box.',
    process: `${monochrome} Dilute strongly for half-tones.`,
    image: 'Very likely: slow film keeps best.',
  },
  'x-ray': {
    yearsInUse: { from: 1918, to: null },
    recognise: 'Large sheets, blue base, emulsion on both sides: both scratch.',
    process: `${monochrome} Handle by the edges; both sides are soft.`,
    image: keepsImage,
  },
  'unknown-monochrome': {
    yearsInUse: { from: 1889, to: null },
    recognise: 'Nothing says what it is, but box, edge print or owner speak of black-and-white.',
    process: monochrome,
    image: keepsImage,
  },
  'unknown-colour': {
    yearsInUse: { from: 1935, to: null },
    recognise:
      'Nothing says what it is, but box, edge print or owner speak of colour. Look for a black back before you mix.',
    process: 'Whatever its process was, a black-and-white developer gives a silver picture.',
    image: 'Doubtful to likely, by its kind.',
  },
};
