import { colourOf, namedIn, nameValue, refer, type Colour } from '@noria/core';
import { useRef, useState, type ReactNode } from 'react';
import { newId } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShared } from '../selectors';
import { Button } from '../../ui/Button';
import { ColourField } from '../../ui/ColourField';
import { run } from '../document/run';

interface NamedColourProps {
  readonly name: string;
  readonly value: Colour;
  readonly onSet: (value: Colour, key?: string) => void;
  /** What the value is called when it is none of its own, such as a colour that the program chooses. */
  readonly label?: string;
  readonly says?: ReactNode;
  readonly small?: boolean;
  readonly children?: ReactNode;
}

/** A colour of its own, or one that follows a name. */
export function NamedColour({ name, value, onSet, label, says, small, children }: NamedColourProps) {
  const dispatch = useAppDispatch();
  const { namedLooks } = useAppSelector(selectShared);
  const [naming, setNaming] = useState('');
  const before = useRef(value);
  const followed = namedIn(value);
  const hex = colourOf(namedLooks, value);
  const colours = Object.values(namedLooks).filter((look) => look.kind === 'colour');
  const words = label ?? (followed === null ? undefined : namedLooks[followed]?.name);
  const give = () => {
    const id = newId(naming, 'colour');
    dispatch(
      run('Name a colour', nameValue({ id, name: naming.trim().slice(0, 200), kind: 'colour', value: hex })),
    );
    onSet(refer(id));
    setNaming('');
  };
  return (
    <ColourField
      name={name}
      value={hex}
      {...(words !== undefined && { label: words })}
      {...(small && { small })}
      onSet={(next) => onSet(next, name)}
      onBegin={() => (before.current = value)}
      onTakeBack={() => onSet(before.current, name)}
      says={says}
    >
      {children}
      {colours.length > 0 && (
        <div role="group" aria-label="Named colours" className="flex flex-wrap gap-1.5">
          {colours.map((look) => (
            <button
              key={look.id}
              type="button"
              aria-label={look.name}
              title={look.name}
              aria-pressed={look.id === followed}
              className="size-6 rounded-full border border-hair aria-pressed:outline-2 aria-pressed:outline-offset-2 aria-pressed:outline-copper"
              style={{ background: look.value }}
              onClick={() => onSet(refer(look.id))}
            />
          ))}
        </div>
      )}
      {followed === null && label === undefined && (
        <form
          className="grid grid-cols-[1fr_auto] gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            if (naming.trim() !== '') give();
          }}
        >
          <input
            aria-label="Name for this colour"
            placeholder="Name it to reuse it"
            value={naming}
            maxLength={200}
            className="h-7 min-w-0 rounded-s bg-field px-2 outline-none placeholder:text-faint focus-visible:outline-2 focus-visible:outline-copper"
            onChange={(event) => setNaming(event.target.value)}
          />
          <Button type="submit" disabled={naming.trim() === ''}>
            Name
          </Button>
        </form>
      )}
    </ColourField>
  );
}
