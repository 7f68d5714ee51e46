import { setSkeleton, SKELETONS, type SkeletonBand, type SkeletonForm } from '@noria/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { announce } from '../../ui/notices/noticesSlice';
import { freshId } from '../actions/freshId';
import { runHere } from '../here';
import { selectView } from '../selectors';

/** Ready-made forms of a page: each area becomes a group that takes its own arrangement. */
export function Skeletons() {
  const dispatch = useAppDispatch();
  const { order } = useAppSelector(selectView);
  const [open, setOpen] = useState(false);
  const take = (form: SkeletonForm) => {
    setOpen(false);
    dispatch(runHere(`Page: ${form.name}`, setSkeleton(form, freshId)));
    dispatch(
      announce(
        `The page has ${form.areas.length} areas, each a group. Press Enter to open the selected one.`,
      ),
    );
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button className="justify-self-start">Page skeletons…</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="end"
          sideOffset={10}
          collisionPadding={12}
          aria-label="Page skeletons"
          className="z-[150] grid w-[356px] gap-2.5 rounded-m bg-raised p-3 shadow-float"
        >
          <p className="text-sm text-soft">
            {order.length === 0
              ? 'Every area becomes a group that takes an arrangement of its own.'
              : `Every area becomes a group. The content takes the ${order.length === 1 ? 'tile' : `${order.length} tiles`} that are here, laid out as now.`}
          </p>
          {SKELETONS.map((form) => (
            <button
              key={form.id}
              type="button"
              className="grid grid-cols-[132px_1fr] items-center gap-3 rounded-s bg-field p-2 text-left hover:outline-2 hover:outline-copper"
              onClick={() => take(form)}
            >
              <span className="flex h-[52px] items-end gap-1.5" aria-hidden>
                {form.bands.map((band, k) => (
                  <Sketch key={k} band={band} width={[64, 40, 20][k] ?? 20} />
                ))}
              </span>
              <span className="grid gap-0.5">
                <b className="font-semibold">{form.name}</b>
                <span className="text-[11.5px] leading-snug text-soft">{form.says}</span>
              </span>
            </button>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The areas of one band, very small; the content is darker. */
function Sketch({ band, width }: { band: SkeletonBand; width: number }) {
  const names = [...new Set(band.areas.join(' ').split(' '))];
  const columns = band.columns.map((size) => (size.endsWith('px') ? '0.34fr' : size)).join(' ');
  return (
    <span
      className="grid h-full gap-[2px]"
      style={{
        width,
        gridTemplateAreas: band.areas.map((row) => `"${row}"`).join(' '),
        gridTemplateColumns: columns,
        gridTemplateRows: band.areas.map((row) => (row.includes('content') ? '2fr' : '1fr')).join(' '),
      }}
    >
      {names.map((name) => (
        <i
          key={name}
          className="rounded-[2px]"
          style={{ gridArea: name, background: `var(--water-${name === 'content' ? 5 : 3})` }}
        />
      ))}
    </span>
  );
}
