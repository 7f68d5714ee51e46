import { parseTrack } from '../css/parseTracks.js';
import { parseLength, parseNumber, type Units } from '../css/parseLength.js';
import { resolveLength, type Length } from '../css/length.js';
import {
  INITIAL_STYLE,
  type BoxStyle,
  type Sides,
  type Size,
  type TrackSizingFunction,
} from '../box/style.js';
import { word } from './inheritedStyle.js';
import type { Cascaded } from './cascade.js';
import type { Nodes } from './shorthands.js';

/** Reads the cascaded values of one element, as the kinds of value that its properties have. */
export interface ValueReader {
  /** Undefined where a property has its initial value. */
  readonly get: (property: string) => Nodes | undefined;
  readonly word: (property: string) => string;
  readonly inherits: (property: string) => boolean;
  readonly number: (property: string, initial: number) => number;
  readonly length: (property: string) => Length | null;
  readonly size: <Initial>(property: string, initial: Initial) => Size | Initial;
  readonly lengthOrAuto: (initial: Length | 'auto') => (property: string) => Length | 'auto';
  /** A length that is no less than 0. */
  readonly positive: (property: string) => Length;
  /** px, whole. */
  readonly borderWidth: (property: string) => number;
  readonly gap: (property: string) => Length | 'normal';
  readonly tracks: (property: string) => readonly TrackSizingFunction[];
  /** All four sides, from block start on; each side's physical and logical names are told to `name`. */
  readonly sides: <Value>(read: (property: string) => Value, name: (side: string) => string) => Sides<Value>;
}

/** The values that a property may be set back with. */
const UNSET: ReadonlySet<string> = new Set(['initial', 'unset', 'revert', 'revert-layer']);

/** Reads cascaded values without what set them back. */
export const valueGetter =
  ({ values }: Cascaded): ValueReader['get'] =>
  (property) => {
    const value = values.get(property);
    return UNSET.has(word(value)) ? undefined : value;
  };

/**
 * A reader of an element's values (CSS Cascade 5, section 4.4).
 * @param parent what `inherit` of a size refers to; null: nothing
 * @param rtl whether inline start is on the right
 */
export function valueReader(
  { values }: Cascaded,
  units: Units,
  parent: BoxStyle | null,
  rtl: boolean,
): ValueReader {
  const get = valueGetter({ values } as Cascaded);
  const wordOf = (property: string) => word(get(property));
  const inherits = (property: string) => word(values.get(property)) === 'inherit';
  const length = (property: string): Length | null => parseLength(get(property)?.[0], units);
  // The later of a physical property and its logical twin counts; `values` keeps the order of the cascade.
  const order = [...values.keys()];
  const sided = (physical: string, logical: string) =>
    order.lastIndexOf(logical) > order.lastIndexOf(physical) ? logical : physical;
  return {
    get,
    word: wordOf,
    inherits,
    length,
    number: (property, initial) => parseNumber(get(property)?.[0], units) ?? initial,
    size<Initial>(property: string, initial: Initial): Size | Initial {
      if (inherits(property) && parent) return parentSize(property, parent) as Size | Initial;
      const name = wordOf(property);
      if (isSizeWord(name)) return name;
      if (name === '-webkit-fill-available') return 'stretch';
      return length(property) ?? initial;
    },
    lengthOrAuto: (initial) => (property) =>
      wordOf(property) === 'auto' ? 'auto' : (length(property) ?? initial),
    positive(property) {
      const value = length(property) ?? 0;
      return typeof value === 'number' ? Math.max(0, value) : value;
    },
    borderWidth(property) {
      const style = wordOf(property.replace('-width', '-style'));
      if (style === '' || style === 'none' || style === 'hidden') return 0;
      const named = { thin: 1, medium: 3, thick: 5 }[wordOf(property)];
      const width = named ?? resolveLength(length(property) ?? 3, NaN);
      // Browsers draw borders in whole px, never less than one.
      return width > 0 ? Math.max(1, Math.floor(width)) : 0;
    },
    gap: (property) => length(property) ?? 'normal',
    tracks(property) {
      const list = get(property)?.map((node) => parseTrack(node, units)) ?? [];
      return list.length > 0 && list.every((track) => track !== null) ? list : INITIAL_STYLE.autoRows;
    },
    sides: (read, name) => [
      read(name('top')),
      read(sided(name('right'), name(rtl ? 'inline-start' : 'inline-end'))),
      read(name('bottom')),
      read(sided(name('left'), name(rtl ? 'inline-end' : 'inline-start'))),
    ],
  };
}

type SizeWord = Extract<Size, string>;
const SIZE_WORDS: ReadonlySet<string> = new Set([
  'min-content',
  'max-content',
  'fit-content',
  'auto',
  'stretch',
]);
const isSizeWord = (name: string): name is SizeWord => SIZE_WORDS.has(name);

function parentSize(property: string, parent: BoxStyle): Size | 'none' {
  switch (property) {
    case 'width':
      return parent.inlineSize;
    case 'height':
      return parent.blockSize;
    case 'min-width':
      return parent.minInlineSize;
    case 'min-height':
      return parent.minBlockSize;
    case 'max-width':
      return parent.maxInlineSize;
    default:
      return parent.maxBlockSize;
  }
}
