import { expect, test } from '@jest/globals';
import { addTile, change, removeTiles, setSpan, type CollectionDocument } from '@noria/core';
import { stats } from '../../testing/composeStore';
import { mirror, mirrorSteps } from './mirror';

/** As it goes between a page and its worker. */
const sent = <Value>(value: Value): Value => structuredClone(value);

test('a mirror has the document of each step, and the same objects where nothing changed', () => {
  const first = stats([
    [1, 1],
    [2, 1],
    [1, 2],
  ]);
  const wider = change(first, setSpan({ tiles: ['t1'], band: 0, setFor: 'all', columnSpan: 3 })).document;
  const more = change(wider, addTile('quote', 't9')).document;
  const fewer = change(more, removeTiles(['t2'])).document;
  const [stepTo, follow] = [mirrorSteps(), mirror()];
  let before: CollectionDocument | null = null;
  for (const document of [first, wider, more, fewer, first]) {
    const step = stepTo(document);
    const here = follow(sent(step));
    expect(here).toEqual(document);
    if (before) expect(here?.tiles.t3).toBe(before.tiles.t3);
    before = here;
  }
});

test('the whole document goes once; after that only what changed, and nothing where nothing did', () => {
  const first = stats([[1, 1]]);
  const wider = change(first, setSpan({ tiles: ['t1'], band: 0, setFor: 'all', columnSpan: 3 })).document;
  const stepTo = mirrorSteps();
  expect(stepTo(first)).toEqual({ document: first });
  expect(stepTo(first)).toBeNull();
  expect(stepTo(wider)).toEqual({
    patch: [{ op: 'replace', path: '/tiles/t1/place/columnSpan', value: 3 }],
  });
  expect(stepTo({ ...wider })).toBeNull();
});
