import { partsOf, type Part, type Tile } from '@noria/core';

/** Fields that hold words, of which several tiles may say different ones. */
const WORDS = ['words', 'caption', 'address'] as const;

interface PartOfAll {
  /** Words that differ are empty. */
  readonly part: Part;
  readonly differs: boolean;
}

/** The parts of the first tile that all others have too. */
export function partsOfAll([first, ...others]: readonly [Tile, ...Tile[]]): readonly PartOfAll[] {
  return partsOf(first).flatMap((part) => {
    const same = others.map((tile) =>
      partsOf(tile).find(({ id, kind }) => id === part.id && kind === part.kind),
    );
    if (same.some((each) => !each)) return [];
    const values = (of: Part | undefined, field: string) =>
      JSON.stringify((of as unknown as Record<string, unknown>)[field]);
    const differing = WORDS.filter(
      (field) => field in part && same.some((each) => values(each, field) !== values(part, field)),
    );
    const shown = { ...part, ...Object.fromEntries(differing.map((field) => [field, ''])) };
    return [{ part: shown, differs: differing.length > 0 }];
  });
}
