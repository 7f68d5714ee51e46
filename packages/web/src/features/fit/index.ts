export { FindingItem } from './FindingItem';
export { fixAll, workOut } from './actions';
export {
  selectAccepted,
  selectFindings,
  selectReport,
  selectSettled,
  selectSettledFindings,
} from './selectors';
export { severityFill, severityPath, Sign } from './Sign';
export { useFitCheck } from './useFitCheck';
