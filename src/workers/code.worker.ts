import { expose } from 'comlink';
import { readCode } from './readCode';

const api = { read: readCode };
export type CodeApi = typeof api;

expose(api);
