import { boxStyle, type StageSpace } from './space';
import type { Moving } from './useMove';

/** Where the pointer carries the tile, and what letting go there would do. */
export function MovingGhost({ moving: { box, dx, dy, says }, space }: { moving: Moving; space: StageSpace }) {
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
