import { NavLink, useLocation } from 'react-router';
import { Mark } from '../../ui/Mark';
import { SetAsideButton } from './SetAsideButton';
import { ThemeButton } from './ThemeButton';

/** An address, what it is called, and another one that belongs to it. */
const PLACES = [
  ['/', 'Collections', '/open'],
  ['/pictures', 'Pictures'],
  ['/fonts', 'Fonts'],
  ['/recipes', 'Recipes'],
] as const;

/** The bar of what belongs to the whole workspace. */
export function WorkspaceBar() {
  const { pathname } = useLocation();
  return (
    <header className="flex h-[46px] shrink-0 items-center gap-2.5 border-b border-hair bg-panel px-6">
      <Mark />
      <b className="font-title text-[17px] leading-none font-bold tracking-tight">Noria</b>
      <nav aria-label="Workspace" className="ml-8 flex h-full gap-6">
        {PLACES.map(([to, label, also]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `relative flex items-center ${isActive || pathname === also ? 'scallops font-[650] text-ink' : 'font-medium text-soft hover:text-ink'}`
            }
          >
            {label}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-3">
        <SetAsideButton />
        <ThemeButton />
      </div>
    </header>
  );
}
