export { drainLater, laterSlice, sendLater, type LaterRequest } from './later';
