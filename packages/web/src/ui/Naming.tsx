import { useState } from 'react';
import { Button } from './Button';
import { giveFocusBack } from './typing';

interface NamingProps {
  readonly verb: string;
  /** What the button is called where its word alone does not tell. */
  readonly called?: string;
  /** What the field is called. */
  readonly name: string;
  readonly onName: (name: string) => void;
}

/** A button that asks for a name first. */
export function Naming({ verb, called, name, onName }: NamingProps) {
  const [naming, setNaming] = useState<string | null>(null);
  if (naming === null) {
    return (
      <Button
        className="h-[26px]! justify-self-start px-2!"
        {...(called !== undefined && { 'aria-label': called, title: called })}
        onClick={() => setNaming('')}
      >
        {verb}
      </Button>
    );
  }
  return (
    <form
      className="grid grid-cols-[1fr_auto] gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (naming.trim() === '') return;
        onName(naming.trim().slice(0, 200));
        giveFocusBack(event.currentTarget);
        setNaming(null);
      }}
    >
      <input
        autoFocus
        aria-label={name}
        placeholder="Its name"
        value={naming}
        className="h-[26px] w-full min-w-0 rounded-s bg-field px-2 outline-none focus-visible:outline-2 focus-visible:outline-copper"
        onChange={(event) => setNaming(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          giveFocusBack(event.currentTarget);
          setNaming(null);
        }}
      />
      <Button type="submit" className="h-[26px]!" disabled={naming.trim() === ''}>
        Make
      </Button>
    </form>
  );
}
