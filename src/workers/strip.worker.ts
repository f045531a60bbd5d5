import { expose } from 'comlink';
import { calibrateCamera } from '@/core/densitometry/calibrateCamera';
import { readStripWhole } from '@/core/densitometry/readStripWhole';
import { findRowHere, makeUp, openPicture, positiveOf, samplePatches, surveyHere } from './stripPicture';

const api = {
  open: openPicture,
  sample: samplePatches,
  survey: surveyHere,
  find: findRowHere,
  positive: positiveOf,
  makeUp,
  read: readStripWhole,
  calibrate: calibrateCamera,
};
export type StripApi = typeof api;

expose(api);
