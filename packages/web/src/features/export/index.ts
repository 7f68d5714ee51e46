export { ExportScreen } from './ExportScreen';
