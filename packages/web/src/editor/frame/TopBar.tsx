import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Mark } from '../../ui/Mark';
import { SignButton } from '../../ui/Button';
import { selectFindings } from '../fit/selectors';
import { Sign } from '../fit/Sign';
import { redo, run, undo } from '../document/run';
import { selectFuture, selectPast, selectShown } from '../document/selectors';
import { renameCollection } from '@noria/core';
import { keyWords } from '../commands/command';
import { COMMANDS } from '../commands/registry';
import { CollectionName } from './CollectionName';
import { beside } from '../../ui/lazily';
import { SavedState } from './SavedState';
import { ThemeButton } from './ThemeButton';

const History = beside(() => import('./History').then((file) => file.History), <span className="w-6" />);

interface TopBarProps {
  readonly id: string;
  /** What a view shows at the right of the bar, such as the packed figure. */
  readonly children?: ReactNode;
}

export function TopBar({ id, children }: TopBarProps) {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => selectShown(state).name);
  useEffect(() => {
    document.title = `${name} – Noria`;
  }, [name]);
  const lastStep = useAppSelector(selectPast).at(-1)?.name;
  const nextStep = useAppSelector(selectFuture).at(-1)?.name;
  return (
    <header className="flex h-[46px] shrink-0 items-center border-b border-hair bg-panel">
      <div className="flex h-full w-[292px] min-w-0 items-center gap-2.5 px-4">
        <Link to="/" className="flex items-center gap-2.5 rounded-s" aria-label="Noria, all collections">
          <Mark />
          <b className="font-title text-[17px] leading-none font-bold tracking-tight">Noria</b>
        </Link>
        <span className="text-faint" aria-hidden>
          /
        </span>
        <CollectionName name={name} onName={(words) => dispatch(run('Name', renameCollection(words)))} />
      </div>
      <nav aria-label="Views" className="flex h-full gap-6">
        {[
          ['compose', 'Compose'],
          ['widths', 'Widths'],
          ['check', 'Check'],
          ['preview', 'Preview'],
          ['export', 'Export'],
        ].map(([view, label]) => (
          <NavLink
            key={view}
            to={`/collections/${id}/${view}`}
            className={({ isActive }) =>
              `relative flex items-center ${isActive ? 'scallops font-[650] text-ink' : 'font-medium text-soft hover:text-ink'}`
            }
          >
            {label}
            {view === 'check' && <FoundCount />}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-4 pr-3 text-soft">
        {children}
        <SavedState />
        <div className="flex items-center gap-0.5">
          <SignButton
            name={lastStep ? `${COMMANDS.undo.words}: ${lastStep}` : 'Nothing to undo'}
            keys={keyWords(COMMANDS.undo)}
            disabled={!lastStep}
            onClick={() => dispatch(undo())}
          >
            <Undo2 size={17} strokeWidth={1.6} aria-hidden />
          </SignButton>
          <SignButton
            name={nextStep ? `${COMMANDS.redo.words}: ${nextStep}` : 'Nothing to redo'}
            keys={keyWords(COMMANDS.redo)}
            disabled={!nextStep}
            onClick={() => dispatch(redo())}
          >
            <Redo2 size={17} strokeWidth={1.6} aria-hidden />
          </SignButton>
          <History />
          <ThemeButton />
        </div>
      </div>
    </header>
  );
}

/** How many findings there are, by the sign of the worst. */
function FoundCount() {
  const findings = useAppSelector(selectFindings);
  const [worst] = findings;
  if (!worst) return null;
  const severity = findings.some((each) => each.severity === 'breaks')
    ? 'breaks'
    : findings.some((each) => each.severity === 'wrong')
      ? 'wrong'
      : 'better';
  return (
    <span className="ml-1.5 flex items-center gap-1" data-testid="found-count">
      <Sign severity={severity} size={10} />
      <span className="figures">{findings.length}</span>
    </span>
  );
}
