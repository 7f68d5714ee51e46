import { LIMITS, setArrangement, type GridHeight } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor } from '../selectors';
import { SetNumber } from './SetNumber';

/** How high the grid is: by its content, so many px, or a share of the screen. */
export function HeightRow({ carried }: { carried: { setHere: boolean; onCarry: () => void } }) {
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
    <Row label="Height" {...carried}>
      <div className="grid gap-1">
        <Segments
          name="Height"
          value={height.kind}
          choices={[
            { value: 'content', label: 'Content' },
            { value: 'fixed', label: 'Fixed' },
            { value: 'screen', label: 'Screen' },
          ]}
          onChoose={(kind) => dispatch(runHere('Height', command(next(kind))))}
        />
        {height.kind === 'fixed' && (
          <SetNumber
            name="Height"
            value={height.px}
            least={1}
            most={LIMITS.height}
            unit="px"
            basis={layout.blockSize}
            step="Height"
            command={(px) => command({ kind: 'fixed', px })}
          />
        )}
        {height.kind === 'screen' && (
          <SetNumber
            name="Height"
            value={Math.round(height.share * 100)}
            least={1}
            most={400}
            unit="% of the screen, at least"
            step="Height"
            command={(percent) => command({ kind: 'screen', share: percent / 100 })}
          />
        )}
      </div>
    </Row>
  );
}
