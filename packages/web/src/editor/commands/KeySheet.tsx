import { Search } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Sheet } from '../../ui/Sheet';
import { keySheetToggled } from '../editorSlice';
import { GROUPS, keyWords, type EditorCommand } from './command';
import { COMMANDS } from './registry';

const WITH_KEYS = Object.values(COMMANDS).flatMap((command) => {
  const keys = keyWords(command);
  return keys === null ? [] : [{ ...command, shown: keys }];
});

const fits = (sought: string, words: string) => words.toLowerCase().includes(sought.trim().toLowerCase());

/** All keys, by what they are for; a search finds them by words or by key. */
export function KeySheet() {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector((state) => state.editor.keySheet);
  const [sought, setSought] = useState('');
  const found = WITH_KEYS.filter(({ words, shown }) => fits(sought, `${words} ${shown}`));
  const groups = GROUPS.map((group) => ({ group, of: found.filter((each) => each.group === group) }));
  const search = (
    <label className="flex h-7 w-[240px] items-center gap-2 rounded-s bg-field px-2 focus-within:outline-2 focus-within:outline-copper">
      <Search size={14} aria-hidden className="text-faint" />
      <span className="sr-only">Search keys</span>
      <input
        type="search"
        value={sought}
        placeholder="Search keys"
        className="min-w-0 flex-1 bg-transparent outline-none placeholder:text-faint"
        onChange={(event) => setSought(event.target.value)}
      />
    </label>
  );
  return (
    <Sheet
      title="Keys"
      open={isOpen}
      onClose={() => dispatch(keySheetToggled(false))}
      beside={search}
      className="top-1/2 max-h-[88vh] w-[1120px] -translate-y-1/2"
    >
      <div
        role="region"
        aria-label="All keys"
        tabIndex={0}
        className="min-h-0 overflow-y-auto rounded-s [scrollbar-width:thin]"
      >
        <div className="columns-3 gap-8">
          {groups.map(
            ({ group, of }) => of.length > 0 && <KeyGroup key={group} title={group} commands={of} />,
          )}
        </div>
      </div>
      {found.length === 0 && <p className="py-4 text-soft">No key matches.</p>}
    </Sheet>
  );
}

interface KeyGroupProps {
  readonly title: string;
  readonly commands: readonly (EditorCommand & { readonly shown: string })[];
}

const KeyGroup = ({ title, commands }: KeyGroupProps) => (
  <section className="mb-4 break-inside-avoid">
    <h3 className="mb-1 text-sm font-semibold">{title}</h3>
    <dl>
      {commands.map(({ id, words, shown }) => (
        <div key={id} className="flex min-h-7 items-center gap-3 border-t border-hair">
          <dt className="figures w-[128px] shrink-0 whitespace-nowrap text-copper-ink">{shown}</dt>
          <dd className="text-sm text-soft">{words}</dd>
        </div>
      ))}
    </dl>
  </section>
);
