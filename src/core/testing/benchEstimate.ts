/** What the speed of an estimate is measured on. */
export { estimate } from '../estimate/estimate';
export { roomYears, sampleRequest } from './sampleRequest';
