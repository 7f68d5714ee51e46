import {
  columnsThatFit,
  fluidOf,
  LIMITS,
  minimumsFor,
  setOfKind,
  type ArrangementValues,
  type FluidColumns,
} from '@noria/core';
import { RadioGroup } from 'radix-ui';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { FlowRows } from '../FlowRows';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { count } from '../../../ui/words';
import { runHere } from '../../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../../selectors';
import { NumberRow } from '../../settings/NumberRow';
import { SetNumber } from '../../settings/SetNumber';

interface FluidSettingsProps {
  readonly carried: (...of: (keyof ArrangementValues)[]) => { setHere: boolean; onCarry: () => void };
}

/** How many columns there are where as many are taken as fit. */
export function FluidSettings({ carried }: FluidSettingsProps) {
  const dispatch = useAppDispatch();
  const { order } = useAppSelector(selectView);
  const { arrangement, index } = useAppSelector(selectBand);
  const { inlineSize } = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  const fluid = fluidOf(arrangement);
  const { padding, columnGap } = arrangement;
  const inner = Math.max(0, inlineSize - padding.inlineStart - padding.inlineEnd);
  const now = columnsThatFit(fluid, inner, columnGap);
  const [wanted, setWanted] = useState(now);
  const range = minimumsFor(wanted, inner, columnGap);
  const least = Math.floor(range.upTo * 100) / 100;
  const set = (step: string, values: Partial<FluidColumns>) =>
    dispatch(runHere(step, setOfKind('fluid', values, index, setFor)));
  return (
    <>
      <Row label="Few tiles" {...carried('fluid')}>
        <RadioGroup.Root
          aria-label="With few tiles"
          value={fluid.repeat}
          onValueChange={(repeat) => set('Repeat', { repeat: repeat as FluidColumns['repeat'] })}
          className="grid grid-cols-2 gap-1.5 py-1"
        >
          {(['auto-fit', 'auto-fill'] as const).map((repeat) => (
            <RadioGroup.Item
              key={repeat}
              value={repeat}
              title={
                repeat === 'auto-fit'
                  ? 'Few tiles share the whole width'
                  : 'Few tiles keep their width; room for more stays'
              }
              className="grid gap-1 rounded-s bg-field p-1.5 text-left text-[11px] text-soft data-[state=checked]:text-ink data-[state=checked]:outline-2 data-[state=checked]:outline-copper"
            >
              <FewTiles repeat={repeat} columns={Math.max(now, 3)} />
              <span className="figures">{repeat}</span>
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
      </Row>
      <NumberRow
        label="Minimum"
        name="Least width of a column"
        value={fluid.min}
        least={1}
        most={LIMITS.track}
        whole={false}
        unit="px a column"
        step="Minimum"
        command={(min) => setOfKind('fluid', { min }, index, setFor)}
      />
      <Row label="At most">
        <div className={`grid gap-1.5 ${fluid.max === null ? '' : 'grid-cols-2'}`}>
          <Segments
            name="Number of columns"
            value={fluid.max === null ? 'any' : 'most'}
            choices={[
              { value: 'any', label: fluid.max === null ? 'All that fit' : 'All' },
              { value: 'most', label: 'Limit' },
            ]}
            onChoose={(value) => set('At most', { max: value === 'any' ? null : Math.max(1, now) })}
          />
          {fluid.max !== null && (
            <SetNumber
              name="Greatest number of columns"
              value={fluid.max}
              least={1}
              most={LIMITS.columns}
              unit="columns"
              step="At most"
              command={(max) => setOfKind('fluid', { max }, index, setFor)}
            />
          )}
        </div>
      </Row>
      <Row label="Spans">
        <div className={`grid gap-1.5 ${fluid.spansFrom === null ? '' : 'grid-cols-2'}`}>
          <Segments
            name="Spans apply"
            value={fluid.spansFrom === null ? 'fit' : 'from'}
            choices={[
              { value: 'fit', label: fluid.spansFrom === null ? 'Where they fit' : 'Fit' },
              { value: 'from', label: 'From' },
            ]}
            onChoose={(value) => set('Spans from', { spansFrom: value === 'fit' ? null : 720 })}
          />
          {fluid.spansFrom !== null && (
            <SetNumber
              name="Spans apply from"
              value={fluid.spansFrom}
              least={0}
              most={LIMITS.track}
              unit="px"
              step="Spans from"
              command={(spansFrom) => setOfKind('fluid', { spansFrom }, index, setFor)}
            />
          )}
        </div>
      </Row>
      <div className="mt-1 grid gap-1.5 rounded-s bg-field p-2 text-sm">
        <p>
          <b className="figures">{now}</b> of{' '}
          <span className="figures" data-testid="even-column">
            {((inner - (now - 1) * columnGap) / now).toFixed(1)}
          </span>{' '}
          px here, for {count(order.length, 'tile').toLowerCase()}.
        </p>
        <div className="grid grid-cols-[1fr_auto] items-center gap-1.5">
          <NumberField
            name="Columns wanted here"
            value={wanted}
            least={1}
            most={LIMITS.columns}
            unit="columns here?"
            onSet={setWanted}
          />
          <Button disabled={least < 1} onClick={() => set('Minimum', { min: least })}>
            Take <span className="figures">{least}</span>
          </Button>
        </div>
        <p className="text-soft" data-testid="minimum-range">
          Minimum above <span className="figures">{Number(range.above.toFixed(2))}</span>, up to{' '}
          <span className="figures">{Number(range.upTo.toFixed(2))}</span> px.
        </p>
      </div>
      <FlowRows carried={carried} />
    </>
  );
}

/** Two tiles in a row of columns. */
function FewTiles({ repeat, columns }: { repeat: FluidColumns['repeat']; columns: number }) {
  const shown = Math.min(columns, 6);
  const of = repeat === 'auto-fit' ? 2 : shown;
  return (
    <span className="grid h-5 gap-[2px]" style={{ gridTemplateColumns: `repeat(${of}, 1fr)` }} aria-hidden>
      {Array.from({ length: of }, (_, k) => (
        <i
          key={k}
          className={`rounded-[2px] ${k < 2 ? '' : 'border border-dashed border-faint'}`}
          style={k < 2 ? { background: 'var(--water-4)' } : undefined}
        />
      ))}
    </span>
  );
}
