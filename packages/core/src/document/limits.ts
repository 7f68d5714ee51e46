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
  track: 10_000,
  tiles: 10_000,
  bands: 24,
  typeSize: { least: 6, most: 400 },
  radius: 400,
  words: 20_000,
  name: 200,
  layer: 99,
  badges: 8,
  height: 100_000,
  /** Groups in groups. */
  depth: 12,
} as const;
