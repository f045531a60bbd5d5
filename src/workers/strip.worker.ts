import { expose } from 'comlink';
import { calibrateCamera } from '@/core/densitometry/calibrateCamera';
import { readStripWhole } from '@/core/densitometry/readStripWhole';
import { stripReading } from '@/core/evidence/stripReading';
import {
  findRowHere,
  makeUp,
  openPicture,
  positiveOf,
  samplePatches,
  surroundingsHere,
  surveyHere,
} from './stripPicture';

const api = {
  open: openPicture,
  sample: samplePatches,
  survey: surveyHere,
  surroundings: surroundingsHere,
  find: findRowHere,
  positive: positiveOf,
  makeUp,
  read: readStripWhole,
  reading: stripReading,
  calibrate: calibrateCamera,
};
export type StripApi = typeof api;

expose(api);
