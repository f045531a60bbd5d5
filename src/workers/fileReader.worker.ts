import { expose } from 'comlink';
import { fileReaderApi } from './fileReaderApi';

expose(fileReaderApi);
