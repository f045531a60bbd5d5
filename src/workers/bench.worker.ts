import { expose } from 'comlink';
import { benchApi } from './benchApi';

expose(benchApi);
