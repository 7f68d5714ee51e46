export { drainLater, sendLater, type LaterRequest } from './later';
export { laterSlice } from './laterSlice';
