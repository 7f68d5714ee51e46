export { Frame } from './Frame';
export { RouteTrouble } from './RouteTrouble';
export { SetAsideButton } from './SetAsideButton';
export { TopBar } from './TopBar';
export { WorkspaceBar } from './WorkspaceBar';
