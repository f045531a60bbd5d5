import * as z from 'zod';
import { agitationSchoolIds, type AgitationSchoolId } from '../schedule/agitationSchools';
import { typed } from '../schema/typed';

/** What may differ from level to level, beside brew and time, which each level has of its own. */
export const variedIds = ['brew', 'temperature', 'agitation', 'film'] as const;
export type Varied = (typeof variedIds)[number];

/** What a level has of its own where that differs; missing while it is as all have it. */
export const levelConditionsShape = {
  temperatureC: typed.optional(),
  agitationId: z.enum(agitationSchoolIds).optional(),
  rollId: z.string().max(100).optional(),
};
export type LevelConditions = z.infer<z.ZodObject<typeof levelConditionsShape>>;

/** What all levels have, and which of it differs. */
export interface TrialConditions {
  varied: Varied;
  temperatureC: number | string;
  agitationId: AgitationSchoolId;
  rollId: string;
  levels: readonly LevelConditions[];
}

/**
 * How a level is developed: as all are, but for what differs.
 * @param form what was typed
 * @param level its number, from 0
 */
export function conditionsOf(
  { varied, levels, temperatureC, agitationId, rollId }: TrialConditions,
  level: number,
): Omit<TrialConditions, 'varied' | 'levels'> {
  const own = levels[level];
  return {
    temperatureC: varied === 'temperature' ? (own?.temperatureC ?? temperatureC) : temperatureC,
    agitationId: varied === 'agitation' ? (own?.agitationId ?? agitationId) : agitationId,
    rollId: varied === 'film' ? (own?.rollId ?? rollId) : rollId,
  };
}
