import { setTile, type Motion, type Tile } from '@noria/core';
import { memo } from 'react';
import { useAppDispatch } from '../hooks';
import { Section } from '../../ui/Rows';
import { MOTION } from '../fields/fields';
import { runHere } from '../here';
import { ChoiceRow } from './ChoiceRow';
import { sameTiles } from './sameTiles';
import { useEverywhere } from './useEverywhere';

const STILL: Motion = { entrance: 'none', hover: 'none' };

/** How the selected tiles come in, and what they do when pointed at, in the page. */
export const TileMotion = memo(function TileMotion({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const dispatch = useAppDispatch();
  const everywhere = useEverywhere();
  const motion = tiles[0].motion ?? STILL;
  const set = (part: Partial<Motion>) => {
    const next = { ...motion, ...part };
    const isStill = next.entrance === 'none' && next.hover === 'none';
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
    <Section title="Motion" atAllWidths={everywhere}>
      <ChoiceRow field={MOTION.entrance} value={motion.entrance} onChoose={(entrance) => set({ entrance })} />
      <ChoiceRow field={MOTION.hover} value={motion.hover} onChoose={(hover) => set({ hover })} />
    </Section>
  );
}, sameTiles);
