import { describe, expect, test } from '@jest/globals';
import { change } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { emptyDocument } from '../emptyDocument.js';
import { flatTiles, layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { samplePictures } from '../../testing/sample.js';
import { setKind } from './kinds.js';
import { setSkeleton } from './skeletons.js';
import { SKELETONS, type SkeletonForm } from '../skeletons/forms.js';
import type { CollectionDocument } from '../../document/types.js';
import type { LaidOutTile } from '../../arrangements/kind.js';

const form = (id: string) => SKELETONS.find((each) => each.id === id) as SkeletonForm;
const into = (document: CollectionDocument, id: string) => {
  let made = 0;
  return change(
    document,
    setSkeleton(form(id), (of) => `${of}-${made++}`),
  ).document;
};
const at = (document: CollectionDocument, width: number) => {
  const layout = layoutCollection(document, width, { measurer: LETTERS });
  return Object.fromEntries(
    layout.tiles.map((tile): [string, LaidOutTile] => [document.tiles[tile.id]?.name ?? '', tile]),
  );
};

describe('page skeletons', () => {
  test.each(SKELETONS.map(({ id }) => id))(
    '%s is a sound page with every area filled, at every width',
    (id) => {
      const document = into(emptyDocument('Page'), id);
      expect(checkDocument(document).problems).toEqual([]);
      for (const width of [300, 500, 700, 900, 1100, 1600]) {
        const layout = layoutCollection(document, width, { measurer: LETTERS });
        expect(layout.tiles).toHaveLength(form(id).areas.length);
        expect(layout.coverage).toMatchObject({ overlapping: 0, holes: [] });
        for (const tile of flatTiles(layout)) expect(tile.blockSize).toBeGreaterThan(20);
      }
    },
  );

  test('full height: the middle takes the rest of the screen', () => {
    const document = into(emptyDocument('Page'), 'full-height');
    const { Header, Content, Footer } = at(document, 1200);
    expect(Content?.blockSize).toBeGreaterThan(400);
    expect((Footer?.y ?? 0) + (Footer?.blockSize ?? 0)).toBeCloseTo(800 - 24, 0);
    expect(Header?.y).toBe(24);
  });

  test('a sidebar goes below, or changes sides', () => {
    const sidebar = into(emptyDocument('Page'), 'sidebar');
    const beside = at(sidebar, 1300);
    expect(beside.Side?.x).toBeGreaterThan(beside.Content?.x ?? 0);
    const below = at(sidebar, 400);
    expect(below.Side?.y).toBeGreaterThan(below.Content?.y ?? 0);
    const changing = into(emptyDocument('Page'), 'changing-sides');
    expect(at(changing, 1300).Side?.x).toBeLessThan(at(changing, 1300).Content?.x ?? 0);
    expect(at(changing, 900).Side?.x).toBeGreaterThan(at(changing, 900).Content?.x ?? 0);
  });

  test('the content takes all tiles with the arrangement that they had, of any kind', () => {
    for (const kind of ['masonry', 'rows', 'mosaic', 'bento'] as const) {
      const start = change(samplePictures([1, 1.5, 0.7, 2, 1]), setKind(kind, 0, 'all')).document;
      const document = into(start, 'sidebar');
      const content = Object.values(document.tiles).find(({ name }) => name === 'Content');
      expect(content).toMatchObject({ kind: 'group', order: start.order, arrangement: { kind } });
      expect(checkDocument(document).problems).toEqual([]);
      const inside = layoutCollection(document, 1300, { measurer: LETTERS }).groups[content?.id ?? ''];
      expect(inside?.tiles.map(({ id }) => id)).toEqual(start.order);
    }
  });
});
