export { Frame } from './Frame';
export { TopBar } from './TopBar';
export { WorkspaceBar } from './WorkspaceBar';
