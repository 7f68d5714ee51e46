import type { Layout } from '@noria/core';
import { boxStyle, type StageSpace } from './space';

/** Everything outside of the group that one is in, quieter. */
export function LevelVeil({ layout, space }: { layout: Layout; space: StageSpace }) {
  const { inlineSize, blockSize } = layout;
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0 overflow-hidden">
      <div
        className="absolute rounded-[10px] shadow-[0_0_0_4000px_color-mix(in_oklab,var(--ground)_72%,transparent)] outline-2 outline-offset-4 outline-copper outline-dashed"
        style={boxStyle(space, { x: 0, y: 0, inlineSize, blockSize })}
      />
    </div>
  );
}
