export { usePage, type WrittenPage } from './usePage';
