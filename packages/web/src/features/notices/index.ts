export { announce, warn } from './noticesSlice';
export { Notices } from './Notices';
