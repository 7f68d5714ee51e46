import type { CssNode } from 'css-tree';
import { parseLength, splitArguments, type Units } from './parseLength.js';
import type {
  AreaMap,
  Breadth,
  GridLine,
  Template,
  TrackListPart,
  TrackSizingFunction,
} from '../box/style.js';

const keyword = (node: CssNode | undefined) => (node?.type === 'Identifier' ? node.name.toLowerCase() : '');

/**
 * Reads `grid-template-columns` or `-rows` (CSS Grid 2, section 7.2).
 * @returns null when it is no track list
 */
export function parseTemplate(nodes: readonly CssNode[], units: Units): Template | null {
  if (nodes.length === 1 && keyword(nodes[0]) === 'none') return { kind: 'tracks', parts: [] };
  if (keyword(nodes[0]) === 'subgrid') {
    const parts = parseParts(nodes.slice(1), units, false);
    return parts && { kind: 'subgrid', parts };
  }
  const parts = parseParts(nodes, units, false);
  if (!parts?.some(({ kind }) => kind !== 'names')) return null;
  const automatic = parts.filter((part) => part.kind === 'repeat' && typeof part.count !== 'number');
  return automatic.length > 1 ? null : { kind: 'tracks', parts };
}

function parseParts(nodes: readonly CssNode[], units: Units, inRepeat: boolean): TrackListPart[] | null {
  const parts: TrackListPart[] = [];
  for (const node of nodes) {
    const part = parsePart(node, units, inRepeat);
    if (!part) return null;
    parts.push(part);
  }
  return parts;
}

function parsePart(node: CssNode, units: Units, inRepeat: boolean): TrackListPart | null {
  if (node.type === 'Brackets') {
    return {
      kind: 'names',
      names: node.children.toArray().flatMap((name) => (name.type === 'Identifier' ? [name.name] : [])),
    };
  }
  if (node.type === 'Function' && node.name.toLowerCase() === 'repeat') {
    return inRepeat ? null : parseRepeat(node.children.toArray(), units);
  }
  const sizing = parseTrack(node, units);
  return sizing && { kind: 'track', sizing };
}

function parseRepeat(children: readonly CssNode[], units: Units): TrackListPart | null {
  const [first, ...rest] = splitArguments(children);
  const node = first?.[0];
  const name = keyword(node);
  const count =
    name === 'auto-fill' || name === 'auto-fit'
      ? name
      : node?.type === 'Number' && /^\+?\d+$/.test(node.value) && Number(node.value) > 0
        ? Math.min(Number(node.value), 10_000)
        : null;
  const parts = parseParts(rest.flat(), units, true);
  return count === null || !parts || parts.length === 0 ? null : { kind: 'repeat', count, parts };
}

/** Reads one track size: a breadth, `minmax()` or `fit-content()`; null when it is none. */
export function parseTrack(node: CssNode, units: Units): TrackSizingFunction | null {
  if (node.type === 'Function' && node.name.toLowerCase() === 'minmax') {
    const [least, most] = splitArguments(node.children.toArray());
    const min = parseBreadth(least?.[0], units);
    const max = parseBreadth(most?.[0], units);
    return min && max && min.kind !== 'fr' ? { min, max, fitLimit: null } : null;
  }
  if (node.type === 'Function' && node.name.toLowerCase() === 'fit-content') {
    const limit = parseLength(node.children.toArray()[0], units);
    return limit === null ? null : { min: { kind: 'auto' }, max: { kind: 'max-content' }, fitLimit: limit };
  }
  const breadth = parseBreadth(node, units);
  if (!breadth) return null;
  return { min: breadth.kind === 'fr' ? { kind: 'auto' } : breadth, max: breadth, fitLimit: null };
}

function parseBreadth(node: CssNode | undefined, units: Units): Breadth | null {
  if (node?.type === 'Dimension' && node.unit.toLowerCase() === 'fr') {
    const value = Number(node.value);
    return Number.isFinite(value) && value >= 0 ? { kind: 'fr', value } : null;
  }
  const name = keyword(node);
  if (name === 'auto' || name === 'min-content' || name === 'max-content') return { kind: name };
  const value = parseLength(node, units);
  return value === null || (typeof value === 'number' && value < 0) ? null : { kind: 'length', value };
}

/** Reads `grid-template-areas`; null when the rows differ in length or an area is no rectangle. */
export function parseAreas(rows: readonly string[]): AreaMap | null {
  const cells = rows.map((row) => row.trim().split(/\s+/));
  const columns = cells[0]?.length ?? 0;
  if (cells.some((row) => row.length !== columns || row[0] === '')) return null;
  const areas = new Map<
    string,
    { rowStart: number; rowEnd: number; columnStart: number; columnEnd: number }
  >();
  cells.forEach((row, r) => {
    row.forEach((name, c) => {
      if (/^\.+$/.test(name)) return;
      const area = areas.get(name);
      if (!area) areas.set(name, { rowStart: r + 1, rowEnd: r + 2, columnStart: c + 1, columnEnd: c + 2 });
      else {
        area.rowEnd = Math.max(area.rowEnd, r + 2);
        area.columnStart = Math.min(area.columnStart, c + 1);
        area.columnEnd = Math.max(area.columnEnd, c + 2);
      }
    });
  });
  for (const [name, area] of areas) {
    for (let r = area.rowStart; r < area.rowEnd; r++) {
      for (let c = area.columnStart; c < area.columnEnd; c++) if (cells[r - 1]?.[c - 1] !== name) return null;
    }
  }
  return { columns, rows: rows.length, areas };
}

/** Reads `grid-row-start` and its like (CSS Grid 2, section 8.3); null when it is no line. */
export function parseLine(nodes: readonly CssNode[]): GridLine | null {
  let spans = false;
  let number: number | null = null;
  let name: string | null = null;
  for (const node of nodes) {
    if (node.type === 'Number' && /^[+-]?\d+$/.test(node.value)) number = Number(node.value);
    else if (keyword(node) === 'auto' && nodes.length === 1) return { kind: 'auto' };
    else if (keyword(node) === 'span') spans = true;
    else if (node.type === 'Identifier') name = node.name;
    else return null;
  }
  if (spans) return number !== null && number < 1 ? null : { kind: 'span', count: number ?? 1, name };
  if (number !== null) return number === 0 ? null : { kind: 'line', number, name };
  return name === null ? null : { kind: 'name', name };
}
