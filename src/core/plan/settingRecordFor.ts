import type { Brew } from '../records/records';
import { brewWear } from './estimateRequestFor';
import type { PlanChoices } from './planForm';
import type { SettingRecord } from '../evidence/evidenceRecord';

/**
 * The setting of a plan, as it is copied into what was found in it.
 * @param choices what the plan decides
 * @param brew the jug that it uses; null for one still to be mixed
 * @param nowMs this instant, ms since the epoch
 */
export function settingRecordFor(choices: PlanChoices, brew: Brew | null, nowMs: number): SettingRecord {
  const { developer, bromideGPerL, temperatureC, ambientC, agitationId, movement } = choices;
  return {
    developer,
    bromideGPerL,
    wear: brewWear(brew ?? undefined, choices.volumeMl, nowMs),
    tankMl: choices.volumeMl,
    temperatureC,
    ambientC,
    agitationId,
    movement: movement?.movement,
    brewId: brew?.id ?? null,
    mixingLnSd: brew?.mixingLnSd ?? null,
  };
}
