import { expose } from 'comlink';
import { findRowHere, makeUp, openPicture, positiveOf, samplePatches } from './stripPicture';

const api = { open: openPicture, sample: samplePatches, find: findRowHere, positive: positiveOf, makeUp };
export type StripApi = typeof api;

expose(api);
