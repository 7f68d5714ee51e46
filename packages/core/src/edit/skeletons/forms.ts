import type { Arrangement, TrackSize } from '../../document/types.js';

/** What one band of a page skeleton says: its map of areas and its tracks. */
export interface SkeletonBand {
  /** The breakpoint; null: the widest band. */
  readonly below: number | null;
  readonly areas: readonly string[];
  readonly columns: readonly TrackSize[];
  readonly rows: readonly TrackSize[];
}

/** A ready-made form of a page: areas, each of which becomes a group. */
export interface SkeletonForm {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** In reading order; `content` takes what the collection has already. */
  readonly areas: readonly string[];
  readonly height?: Arrangement['height'];
  /** From wide to narrow. */
  readonly bands: readonly SkeletonBand[];
}

/** The area that takes what a collection has already. */
export const CONTENT = 'content';

export const SKELETONS: readonly SkeletonForm[] = [
  {
    id: 'full-height',
    name: 'Full height',
    says: 'A header and a footer as high as their content; the middle takes the rest of the screen.',
    areas: ['header', CONTENT, 'footer'],
    height: { kind: 'screen', share: 1 },
    bands: [
      {
        below: null,
        areas: ['header', CONTENT, 'footer'],
        columns: ['1fr'],
        rows: ['auto', 'minmax(auto, 1fr)', 'auto'],
      },
    ],
  },
  {
    id: 'sidebar',
    name: 'Sidebar',
    says: 'A sidebar beside the content, and below it where the page is narrow.',
    areas: ['header', CONTENT, 'side', 'footer'],
    bands: [
      {
        below: null,
        areas: ['header header', `${CONTENT} side`, 'footer footer'],
        columns: ['1fr', '260px'],
        rows: ['auto', 'auto', 'auto'],
      },
      {
        below: 720,
        areas: ['header', CONTENT, 'side', 'footer'],
        columns: ['1fr'],
        rows: ['auto', 'auto', 'auto', 'auto'],
      },
    ],
  },
  {
    id: 'changing-sides',
    name: 'Changing sides',
    says: 'A sidebar before the content; after it where the page is narrower, and on top on a phone.',
    areas: ['header', 'side', CONTENT, 'footer'],
    bands: [
      {
        below: null,
        areas: ['header header', `side ${CONTENT}`, 'footer footer'],
        columns: ['260px', '1fr'],
        rows: ['auto', 'auto', 'auto'],
      },
      {
        below: 1080,
        areas: ['header header', `${CONTENT} side`, 'footer footer'],
        columns: ['1fr', '220px'],
        rows: ['auto', 'auto', 'auto'],
      },
      {
        below: 720,
        areas: ['header', 'side', CONTENT, 'footer'],
        columns: ['1fr'],
        rows: ['auto', 'auto', 'auto', 'auto'],
      },
    ],
  },
  {
    id: 'ring',
    name: 'Ring',
    says: 'Four areas around a centre; two and two below it where the page is narrow.',
    areas: ['north', 'east', CONTENT, 'west', 'south'],
    bands: [
      {
        below: null,
        areas: ['north north east', `west ${CONTENT} east`, 'west south south'],
        columns: ['1fr', '2fr', '1fr'],
        rows: ['minmax(160px, auto)', 'auto', 'minmax(160px, auto)'],
      },
      {
        below: 900,
        areas: ['north east', `${CONTENT} ${CONTENT}`, 'west south'],
        columns: ['1fr', '1fr'],
        rows: ['minmax(140px, auto)', 'auto', 'minmax(140px, auto)'],
      },
      {
        below: 480,
        areas: ['north', 'east', CONTENT, 'west', 'south'],
        columns: ['1fr'],
        rows: ['auto', 'auto', 'auto', 'auto', 'auto'],
      },
    ],
  },
];
