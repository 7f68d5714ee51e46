import { emptyGroup } from '../arrangements/emptyGroup.js';
import type { Tile, TileId, TileKind } from '../document/types.js';

/** A tile with nothing of its own yet: one cell, free, plain. */
export function newTile(kind: TileKind, id: TileId): Tile {
  const base = {
    id,
    place: { columnSpan: 1, rowSpan: 1, pin: null },
    look: { fill: '#ffffff', ink: 'auto', spread: 'end' },
  } as const;
  switch (kind) {
    case 'text':
      return { ...base, kind, name: 'Text', eyebrow: '', heading: 'A heading', body: '' };
    case 'picture':
      return { ...base, kind, name: 'Picture', picture: null, focalPoint: { x: 0.5, y: 0.5 }, caption: '' };
    case 'stat':
      return { ...base, kind, name: 'Stat', figure: '0', label: 'of something' };
    case 'quote':
      return { ...base, kind, name: 'Quote', words: 'What somebody said.', source: '' };
    case 'marks':
      return { ...base, kind, name: 'Marks', marks: [], markSize: 28, showLabels: true };
    case 'film':
      return {
        ...base,
        kind,
        name: 'Film',
        film: null,
        poster: null,
        focalPoint: { x: 0.5, y: 0.5 },
        caption: '',
        plays: 'itself',
      };
    case 'action':
      return { ...base, kind, name: 'Action', label: 'Go there', address: '#' };
    case 'group':
      return { ...base, kind, name: 'Group', arrangement: emptyGroup(), order: [] };
  }
}
