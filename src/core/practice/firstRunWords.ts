import type { BathKind } from '../schedule/baths';

/**
 * What each bath is for, and what the hands do, for somebody who does it for the first time.
 * Source: common practice, no source.
 */
export const firstRunWords: Record<BathKind, string> = {
  'pre-soak':
    'Plain water, so that the developer wets all of the film at once. What you pour out may be coloured: that is dye, and harmless.',
  develop:
    'This is the bath whose time counts. Pour in at once and without stopping, put the cap on, turn the tank over when it says so, and knock it on the table once against bubbles. Begin to pour out ten seconds before the end.',
  stop: 'It ends the development. Fill, turn it over a few times, pour out. Do not open the tank.',
  fix: 'It takes out what light did not need. From here on seconds do not matter: rather a minute longer. After half of it you may lift the lid and look.',
  wash: 'Fresh water each time, at about the same warmth. It takes the fixer out, and with it what would spoil the film in ten years.',
  wetting:
    'A drop of wetting agent lets the water run off without marks. Do not wipe: lift the reel out, unroll the film, hang it with a weight.',
};
