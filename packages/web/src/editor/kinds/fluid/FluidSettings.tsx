import { columnsThatFit, fluidOf, LIMITS, minimumsFor, setOfKind, type FluidColumns } from '@noria/core';
import { RadioGroup } from 'radix-ui';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { FlowRows } from '../FlowRows';
import type { Inherited } from '../inherited';
import { FLUID } from './fields';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { count } from '../../../ui/words';
import { runHere } from '../../here';
import { selectBand, selectFrame, selectLayout, selectSetFor, selectView } from '../../selectors';
import { LengthRow } from '../../settings/LengthRow';
import { SetNumber } from '../../settings/SetNumber';

/** How many columns there are where as many are taken as fit. */
export function FluidSettings({ inherited }: { inherited: Inherited }) {
  const dispatch = useAppDispatch();
  const { order } = useAppSelector(selectView);
  const { arrangement, index } = useAppSelector(selectBand);
  const { inlineSize } = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  const fluid = fluidOf(arrangement);
  const frame = useAppSelector(selectFrame);
  const { padding, columnGap } = frame;
  const inner = Math.max(0, inlineSize - padding.inlineStart - padding.inlineEnd);
  const now = columnsThatFit(fluidOf(frame), inner, columnGap);
  const [wanted, setWanted] = useState(now);
  const range = minimumsFor(wanted, inner, columnGap);
  const least = Math.floor(range.upTo * 100) / 100;
  const set = (step: string, values: Partial<FluidColumns>) =>
    dispatch(runHere(step, setOfKind('fluid', values, index, setFor)));
  return (
    <>
      <Row label={FLUID.repeat.label} {...inherited('fluid')}>
        <RadioGroup.Root
          aria-label={FLUID.repeat.label}
          value={fluid.repeat}
          onValueChange={(repeat) => set(FLUID.repeat.label, { repeat: repeat as FluidColumns['repeat'] })}
          className="grid grid-cols-2 gap-1.5 py-1"
        >
          {FLUID.repeat.choices.map(({ value, label }) => (
            <RadioGroup.Item
              key={value}
              value={value}
              title={label}
              className="grid gap-1 rounded-s bg-field p-1.5 text-left text-[11px] text-soft data-[state=checked]:text-ink data-[state=checked]:outline-2 data-[state=checked]:outline-copper"
            >
              <FewTiles repeat={value} columns={Math.max(now, 3)} />
              <span className="figures">{value}</span>
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
      </Row>
      <LengthRow
        field={FLUID.min}
        value={fluid.min}
        whole={false}
        command={(min) => setOfKind('fluid', { min }, index, setFor)}
      />
      <Row label={FLUID.max.label}>
        <div className={`grid gap-1.5 ${fluid.max === null ? '' : 'grid-cols-2'}`}>
          <Segments
            value={fluid.max === null ? 'any' : 'most'}
            choices={[
              { value: 'any', label: fluid.max === null ? 'As many as fit' : 'All' },
              { value: 'most', label: 'Limit' },
            ]}
            onChoose={(value) => set(FLUID.max.label, { max: value === 'any' ? null : Math.max(1, now) })}
          />
          {fluid.max !== null && (
            <SetNumber
              field={FLUID.max}
              name="Maximum number of columns"
              value={fluid.max}
              command={(max) => setOfKind('fluid', { max }, index, setFor)}
            />
          )}
        </div>
      </Row>
      <Row label={FLUID.spansFrom.label} help={FLUID.spansFrom.help}>
        <div className={`grid gap-1.5 ${fluid.spansFrom === null ? '' : 'grid-cols-2'}`}>
          <Segments
            value={fluid.spansFrom === null ? 'fit' : 'from'}
            choices={[
              { value: 'fit', label: fluid.spansFrom === null ? 'Where they fit' : 'Fit' },
              { value: 'from', label: 'From' },
            ]}
            onChoose={(value) => set(FLUID.spansFrom.label, { spansFrom: value === 'fit' ? null : 720 })}
          />
          {fluid.spansFrom !== null && (
            <SetNumber
              field={FLUID.spansFrom}
              name="Spans apply from"
              value={fluid.spansFrom}
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
          px at this width, for {count(order.length, 'tile').toLowerCase()}.
        </p>
        <div className="grid grid-cols-[1fr_auto] items-center gap-1.5">
          <NumberField
            name="Columns wanted at this width"
            value={wanted}
            least={1}
            most={LIMITS.columns}
            unit={wanted === 1 ? 'column' : 'columns'}
            onSet={setWanted}
          />
          <Button disabled={least < 1} onClick={() => set(FLUID.min.label, { min: least })}>
            Set <span className="figures">{least}</span> px
          </Button>
        </div>
        <p className="text-soft" data-testid="minimum-range">
          Column width above <span className="figures">{Number(range.above.toFixed(2))}</span>, up to{' '}
          <span className="figures">{Number(range.upTo.toFixed(2))}</span> px.
        </p>
      </div>
      <FlowRows inherited={inherited} />
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
