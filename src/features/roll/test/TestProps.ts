import type { SettingRecord } from '@/core/evidence/evidenceRecord';
import type { FilmFormatId } from '@/core/films/filmFormats';
import type { UnitChoice } from '@/core/units/quantity';

/** What a test needs to know of the roll and its plan. */
export interface TestProps {
  rollId: string;
  formatId: FilmFormatId;
  /** The plan's setting at this moment: it is copied into what is found. */
  setting: () => SettingRecord;
  /** The brew in words. */
  brewName: string;
  /** The estimate as it stands, min. */
  timeMin: number;
  units: UnitChoice;
  /** Called when the test is done, or left. */
  onDone: () => void;
}
