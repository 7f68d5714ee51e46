import { bandOf } from '../../document/bands.js';
import { HOLDING } from '../../arrangements/index.js';
import { layoutCollection, levelLayout } from '../../layout/layout.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import { SLACK } from '../../geometry/slack.js';
import { widthsOf } from './bandLevel.js';
import { groupOf, levelOf, type Level } from '../../document/levels.js';
import type { GroupHeights } from '../bearing.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/**
 * The groups of a level that are lower in a band than what is in them, where rows have a height in px: how
 * high that is at both ends, px. Pictures and films take the height that there is, and make nothing higher.
 * @throws whatever the measurer throws
 */
export function cutGroups(
  document: CollectionDocument,
  level: Level,
  band: number,
  measurer: TextMeasurer,
): GroupHeights {
  const cut = new Map<TileId, readonly [number, number]>();
  const view = levelOf(document, level);
  const groups = view.order.filter((id) => document.tiles[id]?.kind === 'group');
  if (groups.length === 0 || plainTrackSize(bandOf(view, band).arrangement.autoRows)?.unit !== 'px')
    return cut;
  const { lowPage, highPage } = widthsOf(document, null, band, measurer);
  const [low, high] = [lowPage, highPage].map((page) => {
    const laid = levelLayout(layoutCollection(document, page, { measurer }), level)?.layout;
    return new Map(
      groups.map((id) => {
        const { inlineSize = 0, blockSize = 0 } = laid?.tiles.find((tile) => tile.id === id) ?? {};
        const needed = inlineSize > 0 ? heightAlone(document, id, [inlineSize, page], measurer) : 0;
        return [id, { needed, isCut: needed > blockSize + SLACK }];
      }),
    );
  });
  for (const id of groups) {
    const [atLow, atHigh] = [low?.get(id), high?.get(id)];
    if (atLow && atHigh && (atLow.isCut || atHigh.isCut)) cut.set(id, [atLow.needed, atHigh.needed]);
  }
  return cut;
}

/** How high a group is that lies in a page by itself, so wide, px. */
function heightAlone(
  document: CollectionDocument,
  id: TileId,
  [inlineSize, page]: readonly [number, number],
  measurer: TextMeasurer,
): number {
  const group = groupOf(document, id);
  const { pin: _, area: __, ...place } = group.place;
  const alone: CollectionDocument = {
    ...document,
    order: [id],
    arrangement: {
      kind: HOLDING,
      columns: [`${inlineSize}px`],
      rows: [],
      autoRows: 'auto',
      columnGap: 0,
      rowGap: 0,
      padding: { blockStart: 0, blockEnd: 0, inlineStart: 0, inlineEnd: 0 },
      flow: 'sparse',
      maxInlineSize: null,
    },
    tiles: {
      ...document.tiles,
      [id]: { ...group, place: { ...place, pin: null, columnSpan: 1, rowSpan: 1, hidden: false } },
    },
    bands: document.bands.map((band) => {
      const { [id]: ___, ...tiles } = band.tiles;
      return { ...band, arrangement: {}, tiles };
    }),
    pictures: {},
    films: {},
  };
  return layoutCollection(alone, page, { measurer }).tiles[0]?.blockSize ?? 0;
}
