import type { LaidOutTile } from '@noria/core';

/** “2 by 1 at column 3, row 1”. */
export const cellWords = ({ columnSpan, rowSpan, column, row }: LaidOutTile): string =>
  `${columnSpan} by ${rowSpan} at column ${column}, row ${row}`;

/** “2 × 1”. */
export const spanWords = ({ columnSpan, rowSpan }: LaidOutTile): string => `${columnSpan} × ${rowSpan}`;

/** “408 × 156 px”. */
export const pxWords = ({ inlineSize, blockSize }: LaidOutTile): string =>
  `${Math.round(inlineSize)} × ${Math.round(blockSize)} px`;
