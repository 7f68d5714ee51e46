import { blockNeedOf, hasWords } from './needs.js';
import { LEAST_SHOWN } from './pictureFindings.js';
import { placesOf, worstOf } from './wordFindings.js';
import { rangesWhere, type Judgement } from './ranges.js';
import { shownParts } from '../../document/card.js';
import { SLACK } from '../../geometry/slack.js';
import type { Checked, Found } from './checked.js';
import type { PictureAsset, Tile } from '../../document/types.js';

/** Cards whose words leave too little of the pictures between them. */
export function* croppedFindings(checked: Checked): Generator<Found> {
  const { stretch, looks, measurer } = checked;
  for (const { tile, at, level, inlineAt, blockAt, pages } of placesOf(checked)) {
    const picture = hasWords(tile) ? firstPicture(looks.pictures, tile) : undefined;
    if (!picture) continue;
    const needAt = (width: number, page = width) => blockNeedOf(looks, tile, measurer, page, inlineAt(width));
    const ranges = rangesWhere(stretch.from, stretch.to, (low, high): Judgement => {
      const ends = [low, high].flatMap((width) => pages(low, high).map((page) => needAt(width, page)));
      const [words, pictures] = [ends.map((each) => each.words), ends.map((each) => each.pictures)];
      const block = [blockAt(low), blockAt(high)];
      // Words are highest where they are narrowest, pictures where they are widest.
      const need = (pick: (...sizes: number[]) => number) => pick(...words) + LEAST_SHOWN * pick(...pictures);
      if (Math.max(...pictures) === 0 || need(Math.max) <= Math.min(...block) + SLACK) return 'none';
      if (low === high || need(Math.min) > Math.max(...block) + SLACK) return 'all';
      return 'some';
    });
    if (ranges.length === 0) continue;
    const shownAt = (width: number) => {
      const { words, pictures } = needAt(width);
      return Math.max(0, (blockAt(width) - words) / pictures);
    };
    const worst = worstOf(ranges, (width) => -shownAt(width));
    const shown = shownAt(worst);
    yield {
      kind: 'over-cropped',
      level,
      tiles: [at.id],
      ranges,
      badness: 1 - shown,
      worst,
      said: {
        inlineSize: picture.inlineSize,
        blockSize: Math.max(1, picture.blockSize * shown),
        shown,
      },
    };
  }
}

const firstPicture = (pictures: Checked['looks']['pictures'], tile: Tile): PictureAsset | undefined =>
  shownParts(tile)
    .flatMap((part) => ('picture' in part ? [pictures[part.picture ?? '']] : []))
    .find((picture) => picture !== undefined);
