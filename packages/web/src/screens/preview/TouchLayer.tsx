import { useDrag } from '@use-gesture/react';
import { useState, type RefObject } from 'react';
import { scrolled, touched } from './touch';

/** Half of how large a finger is drawn, px. */
const FINGER = 13;

interface TouchLayerProps {
  readonly frame: RefObject<HTMLIFrameElement | null>;
  /** How large the page is shown, 1 is whole. */
  readonly scale: number;
}

/**
 * A finger in the place of the pointer: nothing is pointed at before it is touched, a drag scrolls or
 * swipes, a tap presses.
 */
export function TouchLayer({ frame, scale }: TouchLayerProps) {
  const [finger, setFinger] = useState<{ x: number; y: number; isDown: boolean } | null>(null);
  /** Where something is in the page. */
  const inPage = (x: number, y: number) => {
    const box = frame.current?.getBoundingClientRect();
    return { x: (x - (box?.left ?? 0)) / scale, y: (y - (box?.top ?? 0)) / scale };
  };
  const page = () => frame.current?.contentDocument ?? null;
  const bind = useDrag(
    ({ xy: [x, y], delta: [dx, dy], down, tap, canceled, memo }) => {
      const document = page();
      const at = inPage(x, y);
      // What the finger came down on has it until it is lifted.
      const target = (memo as Element | undefined) ?? document?.elementFromPoint(at.x, at.y);
      if (!target) return;
      if (memo === undefined) touched(target, 'pointerdown', at);
      if (dx !== 0 || dy !== 0) scrolled(target, -dx / scale, -dy / scale);
      if (!down) touched(target, canceled ? 'pointercancel' : 'pointerup', at);
      if (!down && tap && !canceled) touched(target, 'click', at);
      return target;
    },
    { filterTaps: true, triggerAllEvents: true },
  );
  const move = ({ clientX, clientY, buttons, currentTarget }: React.PointerEvent) => {
    const box = currentTarget.getBoundingClientRect();
    setFinger({ x: clientX - box.left, y: clientY - box.top, isDown: buttons > 0 });
  };
  return (
    <div
      {...bind()}
      aria-hidden
      data-testid="touch"
      className="absolute inset-0 cursor-none touch-none overflow-hidden"
      // The page keeps its focus.
      onMouseDown={(event) => event.preventDefault()}
      onPointerMoveCapture={move}
      onPointerDownCapture={move}
      onPointerUpCapture={(event) => setFinger((was) => was && { ...was, isDown: event.buttons > 0 })}
      onPointerLeave={() => setFinger(null)}
      onWheel={({ clientX, clientY, deltaX, deltaY }) => {
        const at = inPage(clientX, clientY);
        const target = page()?.elementFromPoint(at.x, at.y);
        if (target) scrolled(target, deltaX / scale, deltaY / scale);
      }}
    >
      {finger && (
        <i
          className={`pointer-events-none absolute rounded-full border-2 border-copper ${finger.isDown ? 'bg-copper/50' : 'bg-copper/20'}`}
          style={{
            left: finger.x - FINGER,
            top: finger.y - FINGER,
            width: 2 * FINGER,
            height: 2 * FINGER,
          }}
        />
      )}
    </div>
  );
}
