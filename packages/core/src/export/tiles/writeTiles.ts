import Papa from 'papaparse';
import { allTiles } from '../../document/levels.js';
import { fragmentId } from '../fragment/writeFragment.js';
import { kindTitle, tileName } from '../../parts/said.js';
import { partKindOf } from '../../parts/index.js';
import { plainWords } from '../../parts/richText.js';
import { shownParts } from '../../document/card.js';
import type { CollectionDocument, Part, Tile } from '../../document/types.js';
import type { Page } from '../page/writePage.js';

/** What a tile is and holds, as data. */
export interface TileData {
  readonly name: string;
  readonly kind: string;
  /** The name of the group that it is in; left out: it is in none. */
  readonly group?: string;
  /** Columns and rows that it spans in the widest band. */
  readonly columns: number;
  readonly rows: number;
  /** Where the whole tile leads. */
  readonly link?: string;
  /** What its parts hold, by what that is called on the screen; several of one are lines of it. */
  readonly holds: Readonly<Record<string, string>>;
}

const PICTURE = 'Picture';
const ALTERNATIVE = 'Alternative text';

/** The tiles of a collection in reading order, those in groups after their group. */
export function tileData(document: CollectionDocument): TileData[] {
  const groups = new Map(
    Object.values(document.tiles).flatMap((tile) =>
      tile.kind === 'group' ? tile.order.map((id) => [id, tileName(tile, document)] as const) : [],
    ),
  );
  return allTiles(document).flatMap((id) => {
    const tile = document.tiles[id];
    if (!tile) return [];
    const group = groups.get(id);
    return [
      {
        name: tileName(tile, document),
        kind: kindTitle(tile),
        ...(group !== undefined && { group }),
        columns: tile.place.columnSpan,
        rows: tile.place.rowSpan,
        ...(tile.link !== undefined && { link: tile.link }),
        holds: heldBy(tile, document),
      },
    ];
  });
}

function heldBy(tile: Tile, document: CollectionDocument): Record<string, string> {
  const held: Record<string, string> = {};
  const add = (name: string, value: string) => {
    if (value !== '') held[name] = held[name] === undefined ? value : `${held[name]}\n${value}`;
  };
  for (const part of shownParts(tile))
    for (const { field, name, holds } of partKindOf(part).slots) {
      const value = (part as Part & Readonly<Record<string, unknown>>)[field];
      if (holds === 'words') add(name, plainWords(value as Parameters<typeof plainWords>[0]));
      if (holds === 'address') add(name, String(value));
      const picture = holds === 'picture' && typeof value === 'string' ? document.pictures[value] : undefined;
      if (!picture) continue;
      add(PICTURE, picture.name);
      add(ALTERNATIVE, picture.alternativeText);
    }
  return held;
}

/** What a spreadsheet would take for a formula; a number with its sign is none. */
const FORMULA = /^(?:[=@\t\r]|[+-](?![\d\s.,]+%?$))/;

/**
 * The tiles as a table (RFC 4180): a line each, under headings by which a table fills tiles again.
 * @returns `<name>.csv`
 */
export function writeTilesCsv(document: CollectionDocument): Page {
  const tiles = tileData(document);
  const held = [...new Set(tiles.flatMap(({ holds }) => Object.keys(holds)))];
  const rows = tiles.map(({ name, kind, group = '', columns, rows: high, link = '', holds }) => [
    name,
    kind,
    group,
    columns,
    high,
    link,
    ...held.map((each) => holds[each] ?? ''),
  ]);
  const fields = ['Name', 'Kind', 'Group', 'Columns', 'Rows', 'Link', ...held];
  const csv = Papa.unparse({ fields, data: rows }, { escapeFormulae: FORMULA, newline: '\r\n' });
  return { files: { [`${fragmentId(document)}.csv`]: `${csv}\r\n` }, assets: [] };
}

/**
 * The tiles as JSON, for programs that want words and pictures and no arrangement.
 * @returns `<name>.json`
 */
export function writeTilesJson(document: CollectionDocument): Page {
  const { name, language } = document;
  const text = `${JSON.stringify({ name, language, tiles: tileData(document) }, null, 2)}\n`;
  return { files: { [`${fragmentId(document)}.json`]: text }, assets: [] };
}
