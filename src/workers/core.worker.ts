import { expose } from 'comlink';
import { coreApi } from './coreApi';

expose(coreApi);
