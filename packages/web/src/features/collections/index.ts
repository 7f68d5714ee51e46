export { CollectionsScreen } from './CollectionsScreen';
