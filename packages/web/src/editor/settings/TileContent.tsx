import { COMMAND_WORDS } from '../commands/words';
import {
  compositionOf,
  compositions,
  isLink,
  LIMITS,
  setTile,
  tileName,
  type CompositionName,
  type Tile,
} from '@noria/core';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { beside } from '../../ui/lazily';
import { Section, Row } from '../../ui/Rows';
import { Choice, type Choosable } from '../../ui/Choice';
import { WordsField } from '../../ui/WordsField';
import { CommandButton } from '../commands/CommandButton';
import { TILE } from '../fields/fields';
import { runHere } from '../here';
import { Badges } from './Badges';
import { kindChosen } from '../actions/parts';
import { AddressField } from '../parts/AddressField';
import { PartRows } from '../parts/PartRows';
import { selectView } from '../selectors';
import { partsOfAll } from './partsOfAll';
import { sameTiles } from './sameTiles';
import { useEverywhere } from './useEverywhere';
import { shared } from './shared';

const AddPart = beside(
  () => import('../parts/AddPart').then((file) => file.AddPart),
  <span className="w-[69px] flex-none" />,
);

const KINDS: readonly Choosable<CompositionName | 'card'>[] = compositions().map(({ name, title }) => ({
  value: name,
  label: title,
}));
/** What a card is whose parts are put together by hand. */
const OTHER: Choosable<'card'> = { value: 'card', label: 'Card' };

/** What is in the selected tiles; words take effect while they are typed, for all that have such a part. */
export const TileContent = memo(function TileContent({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const [tile] = tiles;
  const ids = tiles.map(({ id }) => id);
  const isOne = tiles.length === 1;
  const cards = tiles.flatMap((each) => (each.kind === 'card' ? [each] : []));
  const kind = shared(cards.map((each) => compositionOf(each).name)) as CompositionName | 'card' | null;
  const everywhere = useEverywhere();
  const dispatch = useAppDispatch();
  const called = useAppSelector((state) => tileName({ ...tile, name: '' }, selectView(state)));
  const lead = (address: string) =>
    dispatch(runHere(TILE.link.label, setTile(ids, { link: address || undefined })));
  return (
    <Section title="Content" atAllWidths={everywhere}>
      {cards.length === tiles.length && (
        <Row label={TILE.kind.label} help={TILE.kind.help}>
          <div className="flex gap-1.5">
            <Choice
              value={kind}
              choices={kind === 'card' ? [OTHER, ...KINDS] : KINDS}
              onChoose={(name) => name !== 'card' && dispatch(kindChosen(ids, name))}
            />
            <AddPart ids={ids} />
          </div>
        </Row>
      )}
      {tile.kind === 'card' &&
        partsOfAll(tiles).map(({ part, differs }) => (
          <PartRows
            key={`${ids.join(' ')} ${part.id} ${part.kind}`}
            tile={tile}
            part={part}
            ids={ids}
            differs={differs}
          />
        ))}
      {isOne && tile.kind === 'group' && (
        <Row label="Tiles">
          <div className="flex gap-1.5">
            <CommandButton command="openGroup" look="copper">
              {COMMAND_WORDS.openGroup} ({tile.order.length})
            </CommandButton>
            <CommandButton command="ungroup" />
          </div>
        </Row>
      )}
      {isOne && (
        <Row label={TILE.name.label}>
          <WordsField
            value={tile.name ?? ''}
            hint={called}
            onType={(value) =>
              dispatch(
                runHere(
                  TILE.name.label,
                  setTile([tile.id], {
                    name: value.trim() === '' ? undefined : value.slice(0, LIMITS.name),
                  }),
                  `${tile.id} name`,
                ),
              )
            }
          />
        </Row>
      )}
      {!tiles.some(isLink) && (
        <Row label={TILE.link.label} help="Where a press on the tile leads">
          <AddressField
            hint="none; https://… or #part"
            value={shared(tiles.map(({ link }) => link ?? '')) ?? ''}
            onSet={lead}
          />
        </Row>
      )}
      {isOne && <Badges tile={tile} />}
    </Section>
  );
}, sameTiles);
