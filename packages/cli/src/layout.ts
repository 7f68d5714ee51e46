import { flatTiles, layoutCollection } from '@noria/core';
import type { ReadCollection } from './readDocument.js';
import { CliError } from './CliError.js';

export interface LayoutReport {
  readonly widths: readonly {
    readonly width: number;
    readonly inlineSize: number;
    readonly blockSize: number;
    readonly tiles: readonly { id: string; x: number; y: number; w: number; h: number }[];
  }[];
}

/** Where every tile lies at each width, in px from the grid's border box. */
export function layoutReport(
  { document, measurer }: ReadCollection,
  widths: readonly number[],
  screenBlockSize?: number,
): LayoutReport {
  return {
    widths: widths.map((width) => {
      const layout = layoutCollection(document, width, {
        measurer,
        ...(screenBlockSize !== undefined && { screenBlockSize }),
      });
      return {
        width,
        inlineSize: layout.inlineSize,
        blockSize: layout.blockSize,
        tiles: flatTiles(layout).map((tile) => ({
          id: tile.id,
          x: tile.x,
          y: tile.y,
          w: tile.inlineSize,
          h: tile.blockSize,
        })),
      };
    }),
  };
}

/** @throws CliError when an entry of `360,768,1280` is no width in px */
export function parseWidths(list: string): number[] {
  return list.split(',').map((entry) => {
    const width = Number(entry.trim());
    if (entry.trim() !== '' && Number.isFinite(width) && width > 0) return width;
    throw new CliError(`“${entry}” is no width. Write them in px with commas: --width 360,768,1280`);
  });
}
