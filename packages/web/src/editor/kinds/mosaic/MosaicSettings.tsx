import { mosaicOf, nameIn, setSlots, shownTiles } from '@noria/core';
import { Dices } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Rows';
import { count } from '../../../ui/words';
import { fitToSlots } from '../../actions/pictures';
import { runHere } from '../../here';
import { selectBand, selectLayout, selectView } from '../../selectors';
import { MOSAIC } from './fields';
import { lockOf } from './lock';
import { NumberRow } from '../../settings/NumberRow';
import { SetNumber } from '../../settings/SetNumber';
import { ColumnCountRows } from '../ColumnCountRows';
import { useKind } from '../useKind';
import type { Inherited } from '../inherited';

/** Square modules, how many pictures are large, and another mosaic at a press. */
export function MosaicSettings({ inherited }: { inherited: Inherited }) {
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
        {...inherited('mosaic')}
      />
      <NumberRow
        field={MOSAIC.shareOfLarge}
        value={Math.round(mosaic.shareOfLarge * 100)}
        command={(share) => command({ shareOfLarge: share / 100 })}
      />
      <NumberRow
        field={MOSAIC.maxCrop}
        value={Math.round(mosaic.maxCrop * 100)}
        command={(crop) => command({ maxCrop: crop / 100 })}
      />
      <Row label={MOSAIC.seed.label} help={MOSAIC.seed.help}>
        <div className="grid grid-cols-2 gap-1.5">
          <SetNumber
            field={MOSAIC.seed}
            name={null}
            value={mosaic.seed}
            command={(seed) => command({ seed })}
          />
          <Button
            look="copper"
            title="Makes another mosaic of the same pictures; locked pictures stay"
            onClick={() => set('Shuffle', { seed: (mosaic.seed + 1) % 1_000_000 })}
          >
            <Dices size={14} strokeWidth={1.6} aria-hidden />
            Shuffle
          </Button>
        </div>
      </Row>
      <div className="mt-1 grid gap-1.5 rounded-s bg-field p-2 text-sm">
        <p className="text-soft">
          {locked.length === 0
            ? 'Select a picture and press p to lock it where it is.'
            : `${count(locked.length, 'picture is', 'pictures are')} locked in place.`}
        </p>
        {lost.length > 0 && (
          <p>
            No mosaic of {columns.length} modules across fits around{' '}
            {lost.length === 1
              ? `“${nameIn(view, lost[0]?.tile.id ?? '')}”. It goes back to its slot at widths where there is room.`
              : `${lost.length} locked pictures. They go back to their slots at widths where there is room.`}
          </p>
        )}
        <div className="flex flex-wrap gap-1.5">
          <Button
            title="Keeps these slots and assigns the pictures so that the least is cropped"
            onClick={() => dispatch(fitToSlots())}
          >
            Assign by shape
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
