export { Frame } from './Frame';
export { TopBar } from './TopBar';
export { ThemeButton } from './ThemeButton';
