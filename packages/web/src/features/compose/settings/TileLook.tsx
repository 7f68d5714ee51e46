import { contrast, setLook, type Spread, type Tile } from '@noria/core';
import { useAppDispatch } from '../../../store/hooks';
import { ColourField } from '../../../ui/ColourField';
import { Question, Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { runHere } from '../here';

/** How the tiles in hand look. */
export function TileLook({ tiles }: { tiles: readonly Tile[] }) {
  const dispatch = useAppDispatch();
  const [tile] = tiles;
  if (!tile) return null;
  const ids = tiles.map(({ id }) => id);
  const { fill, ink, spread } = tile.look;
  const hasWords = tiles.some(({ kind }) => kind !== 'picture');
  const ratio = contrast(fill, ink);
  return (
    <Question title="How does it look?">
      <Row label="Fill">
        <ColourField
          name="Fill"
          value={fill}
          onSet={(value) => dispatch(runHere('Fill', setLook(ids, { fill: value }), `fill ${ids.join()}`))}
        />
      </Row>
      {hasWords && (
        <>
          <Row label="Ink">
            <div className="grid grid-cols-[1fr_auto] items-center gap-2">
              <ColourField
                name="Ink"
                value={ink}
                onSet={(value) => dispatch(runHere('Ink', setLook(ids, { ink: value }), `ink ${ids.join()}`))}
              />
              <span
                className={`figures ${ratio < 4.5 ? 'text-amiss' : 'text-faint'}`}
                title="Contrast of the words to the fill; 4.5 : 1 is legible"
              >
                {ratio.toFixed(1)} : 1
              </span>
            </div>
          </Row>
          <Row label="Spread">
            <Segments<Spread>
              name="Spread"
              value={spread}
              choices={[
                { value: 'start', label: 'Start' },
                { value: 'centre', label: 'Centre' },
                { value: 'end', label: 'End' },
                { value: 'between', label: 'Between' },
              ]}
              onChoose={(value) => dispatch(runHere('Spread', setLook(ids, { spread: value })))}
            />
          </Row>
        </>
      )}
    </Question>
  );
}
