import type { NextTest } from '@/core/estimate/nextTests';
import { CLIP_CM } from '@/core/densitometry/clipAdvice';
import { formatMinutes } from '@/core/units/duration';

/** Tests in the order of what they cost. A clip by eye is told with the clip. */
export const testsByCost = ['drop', 'clip', 'roll'] as const satisfies readonly NextTest['id'][];

/** A test as a sentence with what it costs. */
export function testWords(id: (typeof testsByCost)[number], atMin: number | null): { sentence: string; cost: string } {
  const at = atMin === null ? '' : formatMinutes(atMin);
  switch (id) {
    case 'drop':
      return {
        sentence: 'Put a drop of this brew on the leader, and one of a developer that you know.',
        cost: 'a drop of each and 2 cm of leader',
      };
    case 'clip':
      return {
        sentence: `Develop a clip for ${at} and read its densities.`,
        cost: `${CLIP_CM} cm of film and a cup of brew`,
      };
    case 'roll':
      return {
        sentence: `Develop another roll of the same film, stored alike, for ${at}, and read it.`,
        cost: 'same film, stored alike: a spare roll',
      };
  }
}
