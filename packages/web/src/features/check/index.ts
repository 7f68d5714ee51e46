export { CheckScreen as default } from './CheckScreen';
