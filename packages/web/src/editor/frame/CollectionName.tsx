import { useRef, useState } from 'react';
import { useTyping } from '../../ui/typing';

const MOST = 200;

/** The name, which becomes a field when it is pressed. */
export function CollectionName({ name, onName }: { name: string; onName: (name: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const isLeft = useRef(false);
  if (isOpen) {
    return (
      <NameField
        name={name}
        onName={onName}
        onClose={(byKey) => {
          isLeft.current = byKey;
          setOpen(false);
        }}
      />
    );
  }
  return (
    <button
      // The focus goes back to what was pressed.
      ref={(button) => {
        if (isLeft.current) button?.focus();
        isLeft.current = false;
      }}
      type="button"
      title="Rename"
      className="truncate rounded-s font-[550]"
      onClick={() => setOpen(true)}
    >
      {name}
    </button>
  );
}

interface NameFieldProps {
  readonly name: string;
  readonly onName: (name: string) => void;
  readonly onClose: (byKey: boolean) => void;
}

function NameField({ name, onName, onClose }: NameFieldProps) {
  const { input } = useTyping({
    value: name,
    apply: (text) => {
      const words = text.trim().slice(0, MOST);
      if (words !== name) onName(words);
    },
    giveBack: () => onClose(true),
  });
  return (
    <input
      {...input}
      // The field stands where the pressed name was, so it takes the focus along.
      autoFocus
      aria-label="Name of the collection"
      maxLength={MOST}
      className="w-full min-w-0 rounded-s bg-field px-1.5 py-0.5 font-[550]"
      onFocus={(event) => event.target.select()}
      onBlur={() => {
        input.onBlur();
        onClose(false);
      }}
    />
  );
}
