import { colourOf, coloursUsed, namedIn, nameValue, refer, type Colour } from '@noria/core';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { newId } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShared, selectView } from '../selectors';
import { Button } from '../../ui/Button';
import { ColourField } from '../../ui/ColourField';
import { Swatches } from '../../ui/Swatches';
import { MOST_SWATCHES, pictureColours, readyColours } from './colourSources';
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
      swatches={
        <>
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
          <ColoursHere value={value} onSet={onSet} />
        </>
      }
    >
      {children}
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

/** The colours of the collection: those that have no name yet, the most used first, and those of its pictures. */
function ColoursHere({ value, onSet }: { value: Colour; onSet: (value: Colour) => void }) {
  const document = useAppSelector(selectView);
  const { pictures } = useAppSelector(selectShared);
  const used = useMemo(() => coloursUsed(document, MOST_SWATCHES), [document]);
  const ofPictures = useMemo(() => pictureColours({ pictures }, value), [pictures, value]);
  return (
    <>
      <Swatches
        title="Used in this collection"
        swatches={used.map((colour) => ({ value: colour, colour, name: colour, isChosen: colour === value }))}
        onSet={onSet}
      />
      <Swatches title="From its pictures" swatches={ofPictures} onSet={onSet} />
      {used.length === 0 && ofPictures.length === 0 && (
        <Swatches title="Ready colours" swatches={readyColours(value)} onSet={onSet} />
      )}
    </>
  );
}
