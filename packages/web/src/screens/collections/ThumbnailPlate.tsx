import { createPortal } from 'react-dom';
import { SHOWN_AT, type Thumbnail } from '../../editor/engine/thumbnail';
import { slotStyle } from '../../editor/stage/slotStyle';
import { useShadowRoot } from '../../ui/useShadowRoot';
import { useSize } from '../../ui/useSize';

const PLATE =
  'aspect-[16/10] overflow-hidden rounded-m shadow-[0_0_0_1px_var(--hair)] group-focus-within:shadow-[0_0_0_2px_var(--copper)] group-hover:shadow-[0_0_0_2px_var(--copper)]';

interface ThumbnailPlateProps {
  /** Null: it is being drawn. */
  readonly thumbnail: Thumbnail | null;
  readonly isEmpty: boolean;
}

/** A collection as it looks, in small. */
export function ThumbnailPlate({ thumbnail, isEmpty }: ThumbnailPlateProps) {
  const [ref, size] = useSize();
  if (thumbnail && 'unreadable' in thumbnail)
    return (
      <p className="grid aspect-[16/10] place-content-center rounded-m bg-field p-6 text-center text-sm text-soft">
        {thumbnail.unreadable}
      </p>
    );
  return (
    <div className={PLATE} style={thumbnail ? { background: thumbnail.background } : undefined}>
      <div ref={ref} />
      {size && thumbnail && !isEmpty && <Drawing {...thumbnail} scale={size.width / SHOWN_AT} />}
      {isEmpty && <p className="grid h-full place-items-center text-soft">No tiles yet</p>}
    </div>
  );
}

interface DrawingProps extends Exclude<Thumbnail, { readonly unreadable: string }> {
  readonly scale: number;
}

/** Its tiles where they lie. Their HTML comes from core, which has escaped every word in it. */
function Drawing({ css, background, blockSize, tiles, scale }: DrawingProps) {
  const [host, root] = useShadowRoot();
  return (
    <div
      ref={host}
      inert
      aria-hidden
      data-stage-page
      style={{
        width: SHOWN_AT,
        height: blockSize,
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        background: background,
      }}
    >
      {root &&
        createPortal(
          <>
            <style>{css}</style>
            {tiles.map((tile) => (
              <div
                key={tile.id}
                className="slot"
                data-slot={tile.id}
                style={slotStyle(tile)}
                dangerouslySetInnerHTML={{ __html: tile.html }}
              />
            ))}
          </>,
          root,
        )}
    </div>
  );
}
