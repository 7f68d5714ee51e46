export { PreviewScreen } from './PreviewScreen';
