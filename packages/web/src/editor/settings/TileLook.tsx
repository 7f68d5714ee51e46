import { contrastIn, flows, inks, type Tile } from '@noria/core';
import { memo } from 'react';
import { useAppSelector } from '../hooks';
import { Section } from '../../ui/Rows';
import { LOOK } from '../fields/fields';
import { selectShared } from '../selectors';
import { RecipeRows } from '../recipes/RecipeRows';
import { PaddingRows } from './look/PaddingRows';
import { EdgeRows } from './look/EdgeRows';
import { FillRows } from './look/FillRows';
import { TextColourRow } from './look/TextColourRow';
import { ShadowRows } from './look/ShadowRows';
import { TypeRows } from './look/TypeRows';
import { useLook } from './look/useLook';
import { ChoiceRow } from './ChoiceRow';
import { sameTiles } from './sameTiles';
import { useBandLook } from './useBandLook';

/** What goes without saying is left out of the file. */
const unless = <V,>(usual: V, value: V): V | undefined => (value === usual ? undefined : value);

/** How the tiles in hand look. */
export const TileLook = memo(function TileLook({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const document = useAppSelector(selectShared);
  const look = useLook(tiles);
  const ids = tiles.map(({ id }) => id);
  const spread = useBandLook('spread', ids);
  const align = useBandLook('align', ids);
  const direction = useBandLook('direction', ids);
  const textDirection = useBandLook('textDirection', ids);
  const hasFlow = tiles.some(flows);
  const hasWords = tiles.some(inks);
  return (
    <Section title="Look">
      <RecipeRows tiles={tiles} />
      <FillRows look={look} />
      {hasWords && <TextColourRow look={look} ratio={contrastIn(document, tiles[0])} />}
      {hasFlow && (
        <>
          <ChoiceRow
            field={LOOK.spread}
            value={spread.value ?? look.look.spread}
            setHere={spread.setHere}
            onInherit={spread.inherit}
            onChoose={(value) => spread.set(LOOK.spread.label, value, look.command({ spread: value }))}
          />
          <ChoiceRow
            field={LOOK.align}
            value={align.value ?? look.look.align ?? 'fill'}
            setHere={align.setHere}
            onInherit={align.inherit}
            onChoose={(value) =>
              align.set(LOOK.align.label, value, look.command({ align: unless('fill', value) }))
            }
          />
          <ChoiceRow
            field={LOOK.direction}
            value={direction.value ?? look.look.direction ?? 'down'}
            setHere={direction.setHere}
            onInherit={direction.inherit}
            onChoose={(value) =>
              direction.set(LOOK.direction.label, value, look.command({ direction: unless('down', value) }))
            }
          />
          <ChoiceRow
            field={LOOK.textDirection}
            value={textDirection.value ?? look.look.textDirection ?? 'inline'}
            setHere={textDirection.setHere}
            onInherit={textDirection.inherit}
            onChoose={(value) =>
              textDirection.set(
                LOOK.textDirection.label,
                value,
                look.command({ textDirection: unless('inline', value) }),
              )
            }
          />
          <TypeRows look={look} />
        </>
      )}
      <PaddingRows look={look} hasFlow={hasFlow} />
      <EdgeRows look={look} />
      <ShadowRows look={look} />
    </Section>
  );
}, sameTiles);
