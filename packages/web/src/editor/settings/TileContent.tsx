import { COMMAND_WORDS } from '../commands/words';
import { isLink, LIMITS, setTile, tileName, type Tile } from '@noria/core';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Section, Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { CommandButton } from '../commands/CommandButton';
import { TILE } from '../fields/fields';
import { runHere } from '../here';
import { Badges } from './Badges';
import { AddressField } from '../parts/AddressField';
import { PartRows } from '../parts/PartRows';
import { selectView } from '../selectors';
import { sameButPlace } from './sameTiles';

/** What is in the selected tile; words take effect while they are typed. */
export const TileContent = memo(
  function TileContent({ tile }: { tile: Tile }) {
    const dispatch = useAppDispatch();
    const called = useAppSelector((state) => tileName({ ...tile, name: '' }, selectView(state)));
    const lead = (address: string) =>
      dispatch(runHere(TILE.link.label, setTile([tile.id], { link: address || undefined })));
    return (
      <Section title="Content">
        <Row label={TILE.name.label}>
          <WordsField
            value={tile.name ?? ''}
            hint={called}
            onType={(value) =>
              dispatch(
                runHere(
                  TILE.name.label,
                  setTile([tile.id], { name: value.trim() === '' ? undefined : value.slice(0, LIMITS.name) }),
                  `${tile.id} name`,
                ),
              )
            }
          />
        </Row>
        {tile.kind === 'card' &&
          tile.parts.map((part) => (
            <PartRows key={`${tile.id} ${part.id} ${part.kind}`} tile={tile} part={part} />
          ))}
        {tile.kind === 'group' && (
          <Row label="Tiles">
            <div className="flex gap-1.5">
              <CommandButton command="openGroup" look="copper">
                {COMMAND_WORDS.openGroup} ({tile.order.length})
              </CommandButton>
              <CommandButton command="ungroup" />
            </div>
          </Row>
        )}
        {!isLink(tile) && (
          <Row label={TILE.link.label} help="Where a press on the tile leads">
            <AddressField hint="none; https://… or #part" value={tile.link ?? ''} onSet={lead} />
          </Row>
        )}
        <Badges tile={tile} />
      </Section>
    );
  },
  (before, after) => sameButPlace(before.tile, after.tile),
);
