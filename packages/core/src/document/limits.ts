import { LARGEST_TRACK } from '../engine/css/largestTrack.js';

/** The bounds that the checker holds a document to and the settings show; lengths in px. */
export const LIMITS = {
  /** The axis of widths that the width ruler shows. */
  narrowest: 240,
  widest: 2560,
  columns: 48,
  rows: 1000,
  span: 1000,
  gap: 400,
  padding: 800,
  track: LARGEST_TRACK,
  tiles: 10_000,
  bands: 24,
  typeSize: { min: 6, max: 400 },
  radius: 400,
  words: 20_000,
  name: 200,
  layer: 99,
  order: 9999,
  badges: 8,
  height: 100_000,
  stops: 12,
  /** How far beside its tile the middle of a gradient may lie, and how far it may reach, in sizes of the tile. */
  outside: 2,
  reach: 4,
  /** Layers over a fill, and shadows of a tile. */
  layers: 8,
  blur: 100,
  shadow: 400,
  border: 100,
  spans: 2000,
  /** Of a card. */
  parts: 60,
  icons: 60,
  zoom: 8,
  /** Families that a collection brings, and files of one. */
  families: 60,
  faces: 36,
  /** Features that a font has. */
  fontFeatures: 200,
  /** Features and axes that are set at once. */
  fontSettings: 20,
  namedLooks: 400,
  styles: 200,
  recipes: 400,
  slots: 60,
  variants: 40,
  tables: 40,
  tableColumns: 100,
  seed: 1_000_000,
  /** Groups in groups. */
  depth: 12,
} as const;
