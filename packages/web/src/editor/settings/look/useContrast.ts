import { contrastIn, isOneColour, type Tile } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../hooks';
import { selectShown } from '../../document/selectors';
import { engine } from '../../engine/engine';
import { selectLooks, selectNeedle } from '../../selectors';

/**
 * The contrast of the words of a tile to what is behind them, where they stand at the width that is shown.
 * Until that is worked out beside the page, it is the least where they may stand.
 */
export function useContrast(tile: Tile): number {
  const looks = useAppSelector(selectLooks);
  const document = useAppSelector(selectShown);
  const width = useAppSelector(selectNeedle);
  const isPlain = isOneColour(tile.look);
  const [known, setKnown] = useState<{ about: object; id: string; ratio: number } | null>(null);
  useEffect(() => {
    if (isPlain) return;
    const cancel = new AbortController();
    engine('work')
      .ask('contrast', document, [tile.id, width], cancel.signal)
      .then(
        (ratio) => ratio !== null && setKnown({ about: document, id: tile.id, ratio }),
        // The other figure stays.
        () => undefined,
      );
    return () => cancel.abort();
  }, [document, isPlain, tile.id, width]);
  return !isPlain && known?.about === document && known.id === tile.id
    ? known.ratio
    : contrastIn(looks, tile);
}
