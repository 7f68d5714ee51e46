import { LIMITS, setArrangement, type GridHeight } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { ARRANGEMENT } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor } from '../selectors';
import { SetLength } from './SetLength';
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
    if (kind === 'content') return { kind };
    // What is chosen now goes on with the rows as they are; at first they share the height.
    const rows = height.kind === 'content' || height.rows === 'share' ? ({ rows: 'share' } as const) : {};
    return kind === 'fixed'
      ? { kind, px: Math.max(1, Math.round(layout.blockSize)), ...rows }
      : { kind, share: 1, ...rows };
  };
  const share = (does: 'share' | 'keep'): GridHeight => {
    if (height.kind === 'content') return height;
    const { rows: _, ...rest } = height;
    return does === 'share' ? { ...rest, rows: 'share' } : rest;
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
          <SetLength
            field={FIXED}
            name="Fixed height"
            value={height.px}
            basis={layout.blockSize}
            command={(px) => command({ ...height, px })}
          />
        )}
        {height.kind === 'screen' && (
          <SetNumber
            field={SHARE}
            name="Minimum height"
            value={Math.round(height.share * 100)}
            command={(percent) => command({ ...height, share: percent / 100 })}
          />
        )}
        {height.kind !== 'content' && (
          <Segments
            name="Rows of the height"
            value={height.rows === 'share' ? 'share' : 'keep'}
            choices={[
              { value: 'share', label: 'Rows share it' },
              { value: 'keep', label: 'Keep sizes' },
            ]}
            onChoose={(does) => dispatch(runHere(FIELD.label, command(share(does))))}
          />
        )}
      </div>
    </Row>
  );
}
