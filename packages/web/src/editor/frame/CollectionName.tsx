import { useState } from 'react';

/** The name, which becomes a field when it is pressed. */
export function CollectionName({ name, onName }: { name: string; onName: (name: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  if (typed === null) {
    return (
      <button
        type="button"
        title="Rename"
        className="truncate rounded-s font-[550]"
        onClick={() => setTyped(name)}
      >
        {name}
      </button>
    );
  }
  const settle = () => {
    const words = typed.trim().slice(0, 200);
    if (words && words !== name) onName(words);
    setTyped(null);
  };
  return (
    <input
      // The field stands where the pressed name was, so it takes the focus along.
      autoFocus
      aria-label="Name of the collection"
      className="w-full min-w-0 rounded-s bg-field px-1.5 py-0.5 font-[550]"
      value={typed}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
