import {
  contrastIn,
  flows,
  inks,
  type Alignment,
  type Spread,
  type Tile,
  type TileLook as Looks,
} from '@noria/core';
import { memo } from 'react';
import { useAppSelector } from '../hooks';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { selectShared } from '../selectors';
import { RecipeRows } from '../recipes/RecipeRows';
import { AirRows } from './look/AirRows';
import { EdgeRows } from './look/EdgeRows';
import { FillRows } from './look/FillRows';
import { InkRow } from './look/InkRow';
import { ShadeRows } from './look/ShadeRows';
import { TypeRows } from './look/TypeRows';
import { useLook } from './look/useLook';
import { sameTiles } from './sameTiles';
import { useBandLook } from './useBandLook';

const SPREADS: readonly { readonly value: Spread; readonly label: string }[] = [
  { value: 'start', label: 'Start' },
  { value: 'center', label: 'Centre' },
  { value: 'end', label: 'End' },
  { value: 'between', label: 'Between' },
];

const ALIGNMENTS: readonly { readonly value: Alignment; readonly label: string }[] = [
  { value: 'fill', label: 'Fill' },
  { value: 'start', label: 'Start' },
  { value: 'center', label: 'Centre' },
  { value: 'end', label: 'End' },
];

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
      {hasWords && <InkRow look={look} ratio={contrastIn(document, tiles[0])} />}
      {hasFlow && (
        <>
          <Row label="Spread" setHere={spread.setHere} onCarry={spread.carry}>
            <Segments
              name="Spread"
              value={spread.value ?? look.look.spread}
              choices={SPREADS}
              onChoose={(value) => spread.set('Spread', value, look.command({ spread: value }))}
            />
          </Row>
          <Row label="Align" setHere={align.setHere} onCarry={align.carry}>
            <Segments
              name="Align"
              value={align.value ?? look.look.align ?? 'fill'}
              choices={ALIGNMENTS}
              onChoose={(value) =>
                align.set('Align', value, look.command({ align: value === 'fill' ? undefined : value }))
              }
            />
          </Row>
          <Row label="Contents" setHere={direction.setHere} onCarry={direction.carry}>
            <Segments<NonNullable<Looks['direction']>>
              name="Direction of contents"
              value={direction.value ?? look.look.direction ?? 'down'}
              choices={[
                { value: 'down', label: 'Down' },
                { value: 'along', label: 'Along' },
              ]}
              onChoose={(value) =>
                direction.set(
                  'Direction',
                  value,
                  look.command({ direction: value === 'down' ? undefined : value }),
                )
              }
            />
          </Row>
          <Row label="Text runs" setHere={textDirection.setHere} onCarry={textDirection.carry}>
            <Segments<NonNullable<Looks['textDirection']>>
              name="Direction of text"
              value={textDirection.value ?? look.look.textDirection ?? 'inline'}
              choices={[
                { value: 'inline', label: 'Inline' },
                { value: 'block', label: 'Block' },
              ]}
              onChoose={(value) =>
                textDirection.set(
                  'Direction of text',
                  value,
                  look.command({ textDirection: value === 'inline' ? undefined : value }),
                )
              }
            />
          </Row>
          <TypeRows look={look} />
        </>
      )}
      <AirRows look={look} hasFlow={hasFlow} />
      <EdgeRows look={look} />
      <ShadeRows look={look} />
    </Section>
  );
}, sameTiles);
