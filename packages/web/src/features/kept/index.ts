export {
  drop,
  dropPlain,
  keep,
  keepPlain,
  keepsNothing,
  keysFrom,
  plainKeys,
  read,
  readPlain,
} from './storage';
export { alone, goneOf, thisTab } from './tab';
