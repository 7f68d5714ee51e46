import {
  mediaOf,
  paletteWashes,
  pictureOf,
  setCollectionLook,
  setLook,
  setNamedLook,
  washOf,
  type Tile,
} from '@noria/core';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { ColourField } from '../../ui/ColourField';
import { Swatches } from '../../ui/Swatches';
import { pictureColours, readyColours } from './colourSources';
import { announce } from '../../ui/notices/noticesSlice';
import { Section } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { useAppDispatch, useAppSelector } from '../hooks';

/** The colour that a palette begins with. */
const BASE = { id: 'base-colour', name: 'Base colour', kind: 'colour' } as const;

/** Whether a picture or film lies all over a tile, so that nobody sees its fill. */
const isCovered = (tile: Tile) => mediaOf(tile) !== null && pictureOf(tile)?.fit !== 'contain';

/** Palette from one colour: washed tints for cards, deep ones for a few, a tinted background. */
export function PaletteMaker() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const [from, setFrom] = useState('#2f6d6a');
  const [background, setBackground] = useState<'light' | 'dark'>('light');
  const [hues, setHues] = useState<'one' | 'near'>('near');
  const made = paletteWashes(background === 'dark', hues);
  const parts = [
    { name: 'Background', wash: made.background },
    ...made.washes.map((wash, k) => ({ name: `Wash ${k + 1}`, wash })),
    ...made.deep.map((wash, k) => ({ name: `Deep ${k + 1}`, wash })),
    { name: 'Accent', wash: made.accent },
  ].map(({ name, wash }) => ({
    name,
    id: name.toLowerCase().replace(' ', '-'),
    kind: 'colour' as const,
    value: washOf(from, wash),
    wash: { ...wash, of: BASE.id },
  }));
  const lay = () => {
    const cards = ['wash-1', 'wash-2', 'deep-1', 'wash-3', 'wash-4', 'accent', 'deep-2'];
    dispatch(
      run('Palette', (draft) => {
        setNamedLook({ ...BASE, value: from })(draft);
        for (const part of parts) setNamedLook(part)(draft);
        setCollectionLook({ background: '{background}' })(draft);
        const plain = Object.values(draft.tiles).filter(
          (tile) =>
            !isCovered(tile as Tile) &&
            typeof tile.look.fill === 'string' &&
            tile.look.fill !== 'none' &&
            !tile.recipe,
        );
        plain.forEach(({ id }, k) =>
          setLook([id], { fill: `{${cards[k % cards.length] ?? 'wash-1'}}`, textColour: 'auto' })(draft),
        );
      }),
    );
    dispatch(announce('The palette is applied. Change its base colour, and all of it follows.'));
  };
  return (
    <Section title="Palette from one colour">
      <div className="grid gap-2">
        <Swatches title="From the pictures" swatches={pictureColours(document, from)} onSet={setFrom} />
        <Swatches title="Ready colours" swatches={readyColours(from)} onSet={setFrom} />
        <div className="grid grid-cols-2 gap-1">
          <ColourField name="Base colour" value={from} onSet={setFrom} />
          <Segments
            name="Background of the palette"
            value={background}
            choices={[
              { value: 'light', label: 'Light' },
              { value: 'dark', label: 'Dark' },
            ]}
            onChoose={setBackground}
          />
        </div>
        <Segments
          name="Hues of the palette"
          value={hues}
          choices={[
            { value: 'near', label: 'Near hues' },
            { value: 'one', label: 'One hue' },
          ]}
          onChoose={setHues}
        />
        <div className="flex h-9 overflow-hidden rounded-s border border-hair" aria-hidden>
          {parts.map(({ id, value }) => (
            <i key={id} className="flex-1" style={{ background: value }} />
          ))}
        </div>
        <Button className="justify-self-start" disabled={document.order.length === 0} onClick={lay}>
          Apply palette
        </Button>
      </div>
    </Section>
  );
}
