import { generate, parseValue } from './tree.js';
import { LARGEST_TRACK } from './largestTrack.js';
import { hasPercent } from './length.js';
import { parseTrack } from './parseTracks.js';
import { DEFAULT_UNITS } from './parseLength.js';
import { ofContainer } from './writtenLength.js';
import { perText } from '../../memo.js';
import type { TrackSizingFunction } from '../box/style.js';

interface Read {
  readonly sizing: TrackSizingFunction;
  readonly text: string;
}

const remembered = perText<Read | null>(5000);
/** Sizes that depend on the window otherwise than by its width would differ between the stage and the page. */
const WINDOW_UNIT = /\d(?:[sld]?v(?:h|i|b|min|max)|[sld]vw|cq(?:h|b|min|max))\b/i;
/** A part of the page’s width. */
const OF_PAGE = /((?:\d*\.)?\d+(?:e[+-]?\d+)?)(?:vw|cqi|cqw)\b/gi;
/** The widest page at which a size has to stay within bounds, px. */
const WIDEST = 10_000;

/**
 * Reads one track size as CSS writes it (CSS Grid 2, section 7.2). A lone share may shrink to
 * nothing, as `minmax(0, 1fr)` does, so that content never widens it.
 * @returns null when the text is no track size, or depends on the height of the window. What depends on the
 * page’s width is read as on one of 1280 px; `trackAt` puts it in px.
 */
export const parseTrackSize = (text: string): TrackSizingFunction | null => read(text)?.sizing ?? null;

/** The text of a track size in its one spelling, such as `72px` or `minmax(200px, 1fr)`; null when it is none. */
export const formatTrackSize = (text: string): string | null => read(text)?.text ?? null;

/** A track size with all that is a part of the page’s width in px. */
export const trackAt = (text: string, page: number): string =>
  text.replace(OF_PAGE, (_, share: string) => `${Number(((Number(share) * page) / 100).toFixed(6))}px`);

/** Whether a track size depends on the width of the page. */
export const followsPage = (text: string): boolean => text.search(OF_PAGE) >= 0;

/** A track size that is a plain number of px or a plain share; null for all others. */
export function plainTrackSize(text: string): { readonly unit: 'px' | 'fr'; readonly value: number } | null {
  const match = /^(\d+(?:\.\d+)?|\.\d+)(px|fr)$/.exec(formatTrackSize(text) ?? '');
  return match && { unit: match[2] as 'px' | 'fr', value: Number(match[1]) };
}

/** A track size as the page's style sheet writes it: never as it came, but from what was read of it. */
export function trackCss(text: string): string {
  const written = formatTrackSize(text);
  if (written === null) return 'auto';
  return plainTrackSize(written)?.unit === 'fr' ? `minmax(0, ${written})` : ofContainer(written);
}

/** Whether a track's size depends on what is in it, in a grid whose size in that axis is known or not. */
export function isIntrinsic({ min, max }: TrackSizingFunction, known: boolean): boolean {
  const asks = (breadth: TrackSizingFunction['min']) =>
    breadth.kind === 'fr' ? !known : breadth.kind === 'length' ? !known && hasPercent(breadth.value) : true;
  return asks(min) || asks(max);
}

const read = (text: string): Read | null => remembered(text, () => readAnew(text));

function readAnew(text: string): Read | null {
  if (WINDOW_UNIT.test(text)) return null;
  const node = parseValue(text);
  if (!node) return null;
  const sizing = parseTrack(node, DEFAULT_UNITS);
  const widest = parseTrack(node, { ...DEFAULT_UNITS, vw: WIDEST / 100, cqw: WIDEST / 100 });
  if (!sizing || !widest || !isBounded(widest)) return null;
  const written = spelled(generate(node));
  const isShare = node.type === 'Dimension' && sizing.max.kind === 'fr';
  return { text: written, sizing: isShare ? { ...sizing, min: { kind: 'length', value: 0 } } : sizing };
}

const isBounded = ({ min, max }: TrackSizingFunction) =>
  [min, max].every(
    (breadth) => !('value' in breadth) || typeof breadth.value !== 'number' || breadth.value <= LARGEST_TRACK,
  );

/** Small letters, four decimals, spaces after commas. */
const spelled = (css: string) =>
  css
    .toLowerCase()
    .replace(/\d*\.\d+(?:e[+-]?\d+)?|\d+/g, (digits) => String(Number(Number(digits).toFixed(4))))
    .replace(/,(?=\S)/g, ', ');
