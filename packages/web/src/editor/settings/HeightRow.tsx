import { LIMITS, setArrangement, type GridHeight } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { ARRANGEMENT } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor } from '../selectors';
import { SetNumber } from './SetNumber';

const FIELD = ARRANGEMENT.height;
const FIXED = { label: FIELD.label, unit: 'px', least: 1, most: LIMITS.height };
const SHARE = { label: FIELD.label, unit: '% of the screen, at least', least: 1, most: 400 };

/** How high the grid is: by its content, so many px, or a share of the screen. */
export function HeightRow({ inherited }: { inherited: { setHere: boolean; onInherit: () => void } }) {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const layout = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  const height: GridHeight = arrangement.height ?? { kind: 'content' };
  const command = (next: GridHeight) => setArrangement({ height: next }, index, setFor);
  const next = (kind: GridHeight['kind']): GridHeight => {
    if (kind === 'fixed') return { kind, px: Math.max(1, Math.round(layout.blockSize)) };
    return kind === 'screen' ? { kind, share: 1 } : { kind };
  };
  return (
    <Row label={FIELD.label} {...inherited}>
      <div className="grid gap-1">
        <Segments
          value={height.kind}
          choices={FIELD.choices}
          onChoose={(kind) => dispatch(runHere(FIELD.label, command(next(kind))))}
        />
        {height.kind === 'fixed' && (
          <SetNumber
            field={FIXED}
            name="Fixed height"
            value={height.px}
            basis={layout.blockSize}
            command={(px) => command({ kind: 'fixed', px })}
          />
        )}
        {height.kind === 'screen' && (
          <SetNumber
            field={SHARE}
            name="Minimum height"
            value={Math.round(height.share * 100)}
            command={(percent) => command({ kind: 'screen', share: percent / 100 })}
          />
        )}
      </div>
    </Row>
  );
}
