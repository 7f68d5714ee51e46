export { WidthsScreen } from './WidthsScreen';
