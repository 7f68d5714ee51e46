import { measuredIn } from '../../document/measured.js';
import { placeIn, shownTiles } from '../../document/bands.js';
import { fields, number } from '../../document/checks.js';
import { tracksOfOneSize, customLevel, putTile } from '../../arrangements/shared/boxes.js';
import { evenShares } from '../../arrangements/shared/columnCount.js';
import { frameCss, SLOT, stackCss } from '../../arrangements/shared/css.js';
import type { ArrangementKind, CssInput, LevelBox, LevelCss, LevelInput } from '../../arrangements/kind.js';
import type { Arrangement, ArrangementName, KindValues, Tile } from '../../document/types.js';
import type { Declarations } from '../../engine/css/rule.js';

/** How high a step is, px. */
interface Steps {
  readonly step: number;
}

const stepsOf = (arrangement: object): Steps =>
  (arrangement as { readonly stairs?: Steps }).stairs ?? { step: 80 };

const count = ({ document, band }: Pick<LevelInput, 'document' | 'band'>) =>
  Math.max(1, shownTiles(document, band).length);

/** Every tile a step lower, and a column further on, than the one before. */
function stairsBox(input: LevelInput): LevelBox {
  const { columnGap, rowGap } = measuredIn(input.band);
  const { step } = stepsOf(input.band.arrangement);
  return customLevel(input, {
    lay:
      (tiles) =>
      ({ inlineSize: inner, frame }) => {
        const columns = tracksOfOneSize(count(input), inner, columnGap, frame[3]);
        const rows = tiles.map((_, k) => ({ start: frame[0] + k * (step + rowGap), size: step }));
        return {
          blockSize: Math.max(0, tiles.length * (step + rowGap) - rowGap),
          fragments: tiles.map(({ box }, k) =>
            putTile(box, columns[k]?.start ?? 0, rows[k]?.start ?? 0, columns[k]?.size ?? 0, step),
          ),
          areas: tiles.map((_, k) => ({ column: k + 1, row: k + 1, columnSpan: 1, rowSpan: 1 })),
          columns,
          rows,
        };
      },
  });
}

function stairsCss({ document, band }: CssInput): LevelCss {
  const tiles: Record<string, Declarations> = {};
  shownTiles(document, band).forEach(({ tile }, k) => {
    tiles[tile.id] = {
      'grid-column': String(k + 1),
      'grid-row': String(k + 1),
      'block-size': '100%',
      'scroll-margin': '8px',
      ...SLOT,
      ...stackCss(document, tile, placeIn(document, document.tiles[tile.id] as Tile, band.index)),
    };
  });
  return {
    grid: {
      display: 'grid',
      'grid-template-columns': `repeat(${count({ document, band })}, minmax(0, 1fr))`,
      'grid-template-rows': 'none',
      'grid-auto-rows': `${stepsOf(band.arrangement).step}px`,
      'grid-auto-flow': 'row',
      'grid-template-areas': 'none',
      ...frameCss(band.arrangement),
    },
    tiles,
  };
}

/** A seventh kind of arrangement, as somebody who adds one would write it. */
export const stairs: ArrangementKind = {
  name: 'stairs' as ArrangementName,
  values: {
    field: 'stairs' as keyof KindValues,
    read: (arrangement: Pick<Arrangement, keyof KindValues>) => stepsOf(arrangement) as never,
    check: fields({ step: number(1, 1000, 'A step') }, 'Stairs'),
  },
  cells: null,
  columns: (document, band) => evenShares(count({ document, band })),
  columnCount: () => null,
  box: stairsBox,
  css: stairsCss,
  changesWithWidth: () => false,
  isSquare: () => false,
  initial: { 'scroll-margin': '0px' },
  *findings({ first }) {
    const last = first.tiles.at(-1);
    if (first.tiles.length > 6 && last)
      yield {
        kind: 'hole',
        tiles: [last.id],
        badness: 1,
        said: { columns: 1, rows: 1, column: 1, row: 1, of: 1 },
      };
  },
  *remedies(arrangement, { kind, figures }) {
    const { step } = stepsOf(arrangement);
    if (kind === 'clipped' && Number(figures.need) > step) {
      const need = Math.ceil(Number(figures.need));
      yield { does: `Steps of ${need} px`, change: { values: { step: need } } };
    }
  },
};
