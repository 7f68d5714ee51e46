import { colourOf, coloursUsed, namedIn, nameValue, refer, type Colour } from '@noria/core';
import { useId, useMemo, useRef, useState, type ReactNode } from 'react';
import { newId } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShared, selectView } from '../selectors';
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
  /** 0 to 1, where it may let through what is behind. */
  readonly opacity?: number;
  readonly onOpacity?: (opacity: number, key?: string) => void;
  readonly children?: ReactNode;
}

/** A colour of its own, or one that follows a name. */
export function NamedColour({
  name,
  value,
  onSet,
  label,
  says,
  small,
  opacity,
  onOpacity,
  children,
}: NamedColourProps) {
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
      opacity={opacity}
      onOpacity={onOpacity && ((next) => onOpacity(next, `${name} opacity`))}
      onSet={(next) => onSet(next, name)}
      onBegin={() => (before.current = value)}
      onTakeBack={() => onSet(before.current, name)}
      says={says}
    >
      {children}
      <Swatches
        title="Named colours"
        swatches={colours.map((look) => ({
          value: refer(look.id),
          colour: look.value,
          name: look.name,
          isChosen: look.id === followed,
        }))}
        onSet={onSet}
      />
      <UsedHere value={value} onSet={onSet} />
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

interface Swatch {
  readonly value: Colour;
  readonly colour: string;
  readonly name: string;
  readonly isChosen: boolean;
}

interface SwatchesProps {
  readonly title: string;
  readonly swatches: readonly Swatch[];
  readonly onSet: (value: Colour) => void;
}

/** Colours to press; nothing where there are none. */
function Swatches({ title, swatches, onSet }: SwatchesProps) {
  const id = useId();
  if (swatches.length === 0) return null;
  return (
    <div className="grid gap-1">
      <span id={id} className="text-xs text-faint">
        {title}
      </span>
      <div role="group" aria-labelledby={id} className="flex flex-wrap gap-1.5">
        {swatches.map(({ value, colour, name, isChosen }) => (
          <button
            key={value}
            type="button"
            aria-label={name}
            title={name}
            aria-pressed={isChosen}
            className="size-6 rounded-full border border-hair aria-pressed:outline-2 aria-pressed:outline-offset-2 aria-pressed:outline-copper"
            style={{ background: colour }}
            onClick={() => onSet(value)}
          />
        ))}
      </div>
    </div>
  );
}

/** As many as fit in two rows. */
const MOST_USED = 16;

/** The colours of the collection that have no name yet, those first that are used most. */
function UsedHere({ value, onSet }: { value: Colour; onSet: (value: Colour) => void }) {
  const document = useAppSelector(selectView);
  const used = useMemo(() => coloursUsed(document, MOST_USED), [document]);
  return (
    <Swatches
      title="Used in this collection"
      swatches={used.map((colour) => ({ value: colour, colour, name: colour, isChosen: colour === value }))}
      onSet={onSet}
    />
  );
}
