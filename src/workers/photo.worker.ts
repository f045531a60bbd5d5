import { expose } from 'comlink';
import { reducePhoto } from './reducePhoto';

const api = { reduce: reducePhoto };
export type PhotoApi = typeof api;

expose(api);
