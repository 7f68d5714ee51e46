import { contrastIn, type Alignment, type Spread, type Tile, type TileLook as Looks } from '@noria/core';
import { memo } from 'react';
import { useAppSelector } from '../../../store/hooks';
import { Question, Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
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

const SPREADS: readonly { readonly value: Spread; readonly label: string }[] = [
  { value: 'start', label: 'Start' },
  { value: 'centre', label: 'Centre' },
  { value: 'end', label: 'End' },
  { value: 'between', label: 'Between' },
];

const ALIGNMENTS: readonly { readonly value: Alignment; readonly label: string }[] = [
  { value: 'fill', label: 'Fill' },
  { value: 'start', label: 'Start' },
  { value: 'centre', label: 'Centre' },
  { value: 'end', label: 'End' },
];

/** How the tiles in hand look. */
export const TileLook = memo(function TileLook({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const document = useAppSelector(selectShared);
  const look = useLook(tiles);
  const { align, direction, spread, textDirection } = look.look;
  const hasFlow = tiles.some(({ kind }) => kind !== 'picture' && kind !== 'group' && kind !== 'film');
  const hasWords = tiles.some(({ kind }) => kind !== 'picture');
  return (
    <Question title="How does it look?">
      <RecipeRows tiles={tiles} />
      <FillRows look={look} />
      {hasWords && <InkRow look={look} ratio={contrastIn(document, tiles[0])} />}
      {hasFlow && (
        <>
          <Row label="Spread">
            <Segments
              name="Spread"
              value={spread}
              choices={SPREADS}
              onChoose={(value) => look.set('Spread', { spread: value })}
            />
          </Row>
          <Row label="Align">
            <Segments
              name="Align"
              value={align ?? 'fill'}
              choices={ALIGNMENTS}
              onChoose={(value) => look.set('Align', { align: value === 'fill' ? undefined : value })}
            />
          </Row>
          <Row label="Contents">
            <Segments<NonNullable<Looks['direction']>>
              name="Direction of contents"
              value={direction ?? 'down'}
              choices={[
                { value: 'down', label: 'Down' },
                { value: 'along', label: 'Along' },
              ]}
              onChoose={(value) => look.set('Direction', { direction: value === 'down' ? undefined : value })}
            />
          </Row>
          <Row label="Text runs">
            <Segments<NonNullable<Looks['textDirection']>>
              name="Direction of text"
              value={textDirection ?? 'inline'}
              choices={[
                { value: 'inline', label: 'Inline' },
                { value: 'block', label: 'Block' },
              ]}
              onChoose={(value) =>
                look.set('Direction of text', { textDirection: value === 'inline' ? undefined : value })
              }
            />
          </Row>
          <TypeRows look={look} />
        </>
      )}
      <AirRows look={look} hasFlow={hasFlow} />
      <EdgeRows look={look} />
      <ShadeRows look={look} />
    </Question>
  );
}, sameTiles);
