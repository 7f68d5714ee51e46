/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, expect, test } from '@jest/globals';
import { registerPart, type CollectionDocument, type Part } from '@noria/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { rating, type RatingPart } from '../../../../core/src/testing/rating';
import { composeStore, stats } from '../../testing/composeStore';
import { Row } from '../../ui/Rows';
import { NumberField } from '../../ui/NumberField';
import { TileContent } from '../settings/TileContent';
import { registerRows } from './PartRows';
import { useSetPart } from './useSetPart';
import type { PartProps } from './partProps';

/** All that gives a part its settings. */
function RatingRows({ part, ids }: PartProps) {
  const set = useSetPart({ part, ids });
  const { stars } = part as unknown as RatingPart;
  return (
    <Row label="Stars">
      <NumberField
        value={stars}
        least={0}
        most={5}
        onSet={(value) => set('stars' as never, 'Stars', value, false)}
      />
    </Row>
  );
}

beforeAll(() => registerPart(rating));
afterEach(cleanup);

function open(part: object) {
  const base = stats([[1, 1]]);
  const tile = base.tiles.t1;
  if (tile?.kind !== 'card') throw new Error('The sample has no card.');
  const card = { ...tile, parts: [...tile.parts, part as Part] };
  const document: CollectionDocument = { ...base, tiles: { t1: card } };
  const compose = composeStore(document);
  compose.take('t1');
  render(
    <Provider store={compose.store}>
      <TileContent tiles={[card]} />
    </Provider>,
  );
  return compose;
}
const stars = (document: CollectionDocument) =>
  JSON.stringify(document.tiles.t1?.kind === 'card' ? document.tiles.t1.parts.at(-1) : null);

test('a part without rows is kept, and those beside it have theirs', () => {
  const { document } = open({ id: 'rating', kind: 'rating', stars: 4, words: '' });
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Figure' }).value).toBe('1');
  expect(screen.queryByRole('textbox', { name: 'Stars' })).toBeNull();
  expect(stars(document())).toContain('"stars":4');
});

test('a part of somebody else’s that is hidden is shown again', () => {
  const { document } = open({ id: 'rating', kind: 'rating', stars: 4, words: '', hidden: true });
  fireEvent.click(screen.getByRole('button', { name: 'Show rating' }));
  expect(stars(document())).not.toContain('hidden');
});

test('a part of somebody else’s has its rows by one record', () => {
  registerRows(rating.name, RatingRows);
  const { document, steps } = open({ id: 'rating', kind: 'rating', stars: 4, words: '' });
  const field = screen.getByRole('textbox', { name: 'Stars' });
  fireEvent.change(field, { target: { value: '2' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(stars(document())).toContain('"stars":2');
  expect(steps()).toEqual(['Stars']);
});
