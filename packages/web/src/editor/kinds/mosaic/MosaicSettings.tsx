import { mosaicOf, setSlots, shownTiles } from '@noria/core';
import { Dices } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Rows';
import { count } from '../../../ui/words';
import { fitToSlots } from '../../actions/pictures';
import { runHere } from '../../here';
import { selectBand, selectLayout, selectView } from '../../selectors';
import { lockOf } from './lock';
import { NumberRow } from '../../settings/NumberRow';
import { SetNumber } from '../../settings/SetNumber';
import { ColumnCountRows } from '../ColumnCountRows';
import { useKind } from '../useKind';
import type { Carried } from '../carried';

/** Square modules, how many pictures are large, and another mosaic at a press. */
export function MosaicSettings({ carried }: { carried: Carried }) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand);
  const { columns, tiles } = useAppSelector(selectLayout);
  const { command, set } = useKind('mosaic');
  const mosaic = mosaicOf(band.arrangement);
  const locked = shownTiles(view, band).filter(({ place }) => place.slot !== null);
  const laid = new Map(tiles.map((tile) => [tile.id, tile]));
  const lost = locked.filter(({ tile: { id }, place: { slot } }) => {
    const tile = laid.get(id);
    return tile && lockOf(slot, tile) === 'lock lost';
  });
  return (
    <>
      <ColumnCountRows
        what="modules"
        value={mosaic}
        now={columns.length}
        command={command}
        {...carried('mosaic')}
      />
      <NumberRow
        label="Large"
        name="Share of large pictures"
        value={Math.round(mosaic.shareOfLarge * 100)}
        least={0}
        most={100}
        unit="% of the pictures"
        step="Share of large"
        command={(share) => command({ shareOfLarge: share / 100 })}
      />
      <NumberRow
        label="Crop"
        name="Most that is cropped"
        value={Math.round(mosaic.maxCrop * 100)}
        least={0}
        most={90}
        unit="% at most"
        step="Crop"
        command={(crop) => command({ maxCrop: crop / 100 })}
      />
      <Row label="Seed">
        <div className="grid grid-cols-2 gap-1.5">
          <SetNumber
            name="Seed"
            value={mosaic.seed}
            least={0}
            most={999_999}
            step="Seed"
            command={(seed) => command({ seed })}
          />
          <Button
            look="copper"
            title="Another mosaic of the same pictures; locked ones stay"
            onClick={() => set('Again', { seed: (mosaic.seed + 1) % 1_000_000 })}
          >
            <Dices size={14} strokeWidth={1.6} aria-hidden />
            Again
          </Button>
        </div>
      </Row>
      <div className="mt-1 grid gap-1.5 rounded-s bg-field p-2 text-sm">
        <p className="text-soft">
          {locked.length === 0
            ? 'Take a picture in hand and press p to lock it where it is.'
            : `${count(locked.length, 'picture is', 'pictures are')} locked in place.`}
        </p>
        {lost.length > 0 && (
          <p>
            With {columns.length} modules across there is no mosaic around{' '}
            {lost.length === 1
              ? `“${lost[0]?.tile.name}”: it lies where it fits, and goes back where there is room.`
              : `${lost.length} of them: they lie where they fit, and go back where there is room.`}
          </p>
        )}
        <div className="flex flex-wrap gap-1.5">
          <Button
            title="Keeps these slots, and deals the pictures out among them so that the least is cropped"
            onClick={() => dispatch(fitToSlots())}
          >
            Fit to these slots
          </Button>
          {locked.length > 0 && (
            <Button
              onClick={() =>
                dispatch(
                  runHere(
                    'Unlock',
                    setSlots(Object.fromEntries(locked.map(({ tile }) => [tile.id, null])), band.index),
                  ),
                )
              }
            >
              Unlock all
            </Button>
          )}
        </div>
      </div>
    </>
  );
}
