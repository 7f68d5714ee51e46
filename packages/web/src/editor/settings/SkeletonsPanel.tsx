import { setSkeleton, SKELETONS, type SkeletonBand, type SkeletonForm } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { announce } from '../../ui/notices/noticesSlice';
import { shown } from '../editorSlice';
import { freshId } from '../actions/freshId';
import { runHere } from '../here';
import { selectView } from '../selectors';

/** Ready-made forms of a page: each area becomes a group that takes its own arrangement. */
export function SkeletonsPanel() {
  const dispatch = useAppDispatch();
  const { order } = useAppSelector(selectView);
  const take = (form: SkeletonForm) => {
    dispatch(shown(null));
    dispatch(runHere(`Page: ${form.name}`, setSkeleton(form, freshId)));
    dispatch(
      announce(
        `The page has ${form.areas.length} areas, each a group. Press Enter to open the selected one.`,
      ),
    );
  };
  return (
    <Panel name="Page skeletons" title="Page skeletons" onClose={() => dispatch(shown(null))}>
      <p className="text-sm text-soft">
        {order.length === 0
          ? 'Every area becomes a group that takes an arrangement of its own.'
          : `Every area becomes a group. The content takes the ${order.length === 1 ? 'tile' : `${order.length} tiles`} that are here, laid out as now.`}
      </p>
      <div className="grid gap-2 min-[1760px]:grid-cols-2">
        {SKELETONS.map((form) => (
          <button
            key={form.id}
            type="button"
            className="grid content-start gap-2 rounded-s bg-field p-2.5 text-left hover:outline-2 hover:outline-copper"
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
      </div>
    </Panel>
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
