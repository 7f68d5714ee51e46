import { useImperativeHandle, useState, type Ref } from 'react';
import { boxStyle, type Box, type StageSpace } from './space';

/** The tile that is carried. */
export interface Moving {
  readonly box: Box;
  readonly dx: number;
  readonly dy: number;
  /** What letting go there would do, when it is more than moving. */
  readonly says: string | null;
}

export interface Ghost {
  readonly show: (moving: Moving | null) => void;
}

/** Where the pointer carries the tile. It keeps its place to itself, so that nothing else follows every px. */
export function MovingGhost({ ref, space }: { ref: Ref<Ghost>; space: StageSpace }) {
  const [moving, show] = useState<Moving | null>(null);
  useImperativeHandle(ref, () => ({ show }), []);
  if (!moving) return null;
  const { box, dx, dy, says } = moving;
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute z-[120] rounded-[12px] border-2 border-dashed border-copper bg-copper/10"
      style={{ ...boxStyle(space, box), transform: `translate(${dx}px, ${dy}px)` }}
    >
      {says && (
        <span className="absolute top-2 left-2 rounded-s bg-copper px-[7px] py-[3px] text-xs leading-none font-semibold whitespace-nowrap text-on-copper">
          {says}
        </span>
      )}
    </div>
  );
}
