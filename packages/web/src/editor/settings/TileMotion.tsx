import { setTile, type Motion, type Tile } from '@noria/core';
import { memo } from 'react';
import { useAppDispatch } from '../hooks';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { sameTiles } from './sameTiles';

const STILL: Motion = { opens: 'none', points: 'none' };

/** How the tiles in hand come in, and what they do when pointed at, in the page. */
export const TileMotion = memo(function TileMotion({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const dispatch = useAppDispatch();
  const motion = tiles[0].motion ?? STILL;
  const set = (part: Partial<Motion>) => {
    const next = { ...motion, ...part };
    const isStill = next.opens === 'none' && next.points === 'none';
    dispatch(
      runHere(
        'Motion',
        setTile(
          tiles.map(({ id }) => id),
          { motion: isStill ? undefined : next },
        ),
      ),
    );
  };
  return (
    <Section title="Motion">
      <Row label="Opens">
        <Segments<Motion['opens']>
          name="Opens"
          value={motion.opens}
          choices={[
            { value: 'none', label: 'Still' },
            { value: 'fade', label: 'Fade' },
            { value: 'rise', label: 'Rise' },
            { value: 'grow', label: 'Grow' },
          ]}
          onChoose={(opens) => set({ opens })}
        />
      </Row>
      <Row label="Pointed at">
        <Segments<Motion['points']>
          name="Pointed at"
          value={motion.points}
          choices={[
            { value: 'none', label: 'Still' },
            { value: 'lift', label: 'Lifts' },
            { value: 'near', label: 'Nears' },
          ]}
          onChoose={(points) => set({ points })}
        />
      </Row>
    </Section>
  );
}, sameTiles);
