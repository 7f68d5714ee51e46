import { setEqualCells } from '@noria/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Segments } from '../../../ui/Segments';
import { runHere } from '../../here';
import { selectBand, selectSetFor } from '../../selectors';

/** So many equal square cells across, with a large tile on top or none. */
export function EqualCells() {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const [open, setOpen] = useState(false);
  const [columns, setColumns] = useState(Math.max(1, arrangement.columns.length));
  const [gap, setGap] = useState(0);
  const [hero, setHero] = useState(true);
  const [rows, setRows] = useState(2);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button title="Equal square cells for all tiles">Equal…</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={8}
          aria-label="Equal cells"
          className="z-[150] grid w-[236px] gap-2 rounded-m bg-raised p-3 shadow-float"
        >
          <b className="font-title font-semibold">Equal cells</b>
          <NumberField
            name="Cells across"
            value={columns}
            least={1}
            most={24}
            unit="across"
            onSet={setColumns}
          />
          <NumberField name="Gap" value={gap} least={0} most={80} unit="px gap" onSet={setGap} />
          <Segments
            name="First tile"
            value={hero ? 'hero' : 'equal'}
            choices={[
              { value: 'hero', label: 'Large first tile' },
              { value: 'equal', label: 'All equal' },
            ]}
            onChoose={(value) => setHero(value === 'hero')}
          />
          {hero && (
            <NumberField
              name="Rows of the first tile"
              value={rows}
              least={1}
              most={24}
              unit="rows high"
              onSet={setRows}
            />
          )}
          <Button
            look="copper"
            onClick={() => {
              setOpen(false);
              dispatch(
                runHere('Equal cells', setEqualCells({ columns, gap, hero: hero ? rows : 0 }, index, setFor)),
              );
            }}
          >
            Make cells equal
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
