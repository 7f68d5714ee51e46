import { colourOf, LIMITS, type Gradient, type LaidOutTile, type Tile } from '@noria/core';
import type { SVGAttributes } from 'react';
import { useLook, type Look } from '../settings/look/useLook';
import { useAppSelector } from '../hooks';
import { selectView } from '../selectors';
import {
  around,
  AWAY,
  beyond,
  degreesTo,
  drawnLine,
  EDGE,
  held,
  stopAt,
  towards,
  wholeTurn,
  type Line,
  type Point,
} from './gradientLine';
import { boxStyle, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface GradientHandProps {
  readonly tile: Tile;
  readonly gradient: Gradient;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** The stops of a gradient on the tile itself, where it begins, how far it reaches and which way. */
export function GradientHand({ tile, gradient, laidOut, space }: GradientHandProps) {
  const { width, height, ...at } = boxStyle(space, laidOut);
  const line = drawnLine(gradient, width, height);
  const { from, to } = line;
  const radius = Math.hypot(to.x - from.x, to.y - from.y);
  const across =
    gradient.kind === 'radial' && gradient.radii
      ? towards(from, (gradient.angle ?? 0) + 90, gradient.radii.y * height)
      : null;
  const shapes = (stroke: Pick<SVGAttributes<SVGElement>, 'stroke' | 'strokeOpacity' | 'strokeWidth'>) => (
    <>
      {gradient.kind === 'conic' && <circle cx={from.x} cy={from.y} r={radius} fill="none" {...stroke} />}
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} {...stroke} />
      {across && <line x1={from.x} y1={from.y} x2={across.x} y2={across.y} {...stroke} />}
    </>
  );
  const hand = { tile, gradient, line, width, height };
  return (
    <div
      className="pointer-events-none absolute z-[112]"
      style={{ left: at.left, top: at.top, width, height }}
    >
      <svg className="absolute inset-0 size-full overflow-visible" aria-hidden>
        {shapes({ stroke: '#000', strokeOpacity: 0.35, strokeWidth: 3 })}
        {shapes({ stroke: '#fff', strokeWidth: 1.5 })}
      </svg>
      {gradient.stops.map((_, k) => (
        <StopHand key={k} {...hand} index={k} />
      ))}
      {gradient.kind === 'linear' ? (
        <TurnHand {...hand} gradient={gradient} />
      ) : (
        <MiddleHand {...hand} gradient={gradient} />
      )}
      {gradient.kind === 'conic' && <TurnHand {...hand} gradient={gradient} />}
      {gradient.kind === 'radial' && (
        <>
          <ReachHand {...hand} gradient={gradient} axis="x" at={beyond(from, to)} />
          {across && <ReachHand {...hand} gradient={gradient} axis="y" at={across} />}
        </>
      )}
    </div>
  );
}

interface HandProps<G extends Gradient = Gradient> {
  readonly tile: Tile;
  readonly gradient: G;
  readonly line: Line;
  readonly width: number;
  readonly height: number;
}

function StopHand({ tile, gradient, index, line }: HandProps & { readonly index: number }) {
  const look = useLook([tile]);
  const { namedLooks } = useAppSelector(selectView);
  const stop = gradient.stops[index];
  const { from, to } = line;
  const bind = useGrab<Gradient>({
    begin: () => gradient,
    ask: ({ dx, dy }, start) => {
      const was = start.stops[index]?.at ?? 0;
      const [lx, ly] = [to.x - from.x, to.y - from.y];
      const lay = stopAt(start, line, was);
      const along =
        start.kind === 'conic'
          ? around(degreesTo(from, { x: lay.x + dx, y: lay.y + dy }) + 90 - start.angle, was)
          : was + (dx * lx + dy * ly) / Math.max(1, lx * lx + ly * ly);
      const at = held(along, 0, 1);
      const stops = start.stops.map((each, k) => (k === index ? { ...each, at } : each));
      return {
        key: String(at),
        name: 'Stop',
        command: () => look.command({ fill: { ...start, stops } }),
      };
    },
  });
  if (!stop) return null;
  const at = stopAt(gradient, line, stop.at);
  return (
    <i
      {...bind()}
      data-testid={`stop-${index + 1}`}
      title={`Stop ${index + 1}, ${Math.round(stop.at * 100)} %`}
      className="pointer-events-auto absolute size-4 -translate-1/2 before:absolute before:-inset-1.5 cursor-grab touch-none rounded-full border-2 border-white shadow-[0_0_0_1.5px_rgb(0_0_0/0.45)]"
      style={{ left: at.x, top: at.y, background: colourOf(namedLooks, stop.colour) }}
    />
  );
}

interface DragHandProps {
  readonly at: Point;
  readonly title: string;
  readonly testId: string;
  /** The gradient once the hand is at a point. */
  readonly made: (at: Point) => Gradient;
  readonly look: Look;
}

function DragHand({ at, title, testId, made, look }: DragHandProps) {
  const bind = useGrab<Point>({
    begin: () => at,
    ask: ({ dx, dy }, start) => {
      const fill = made({ x: start.x + dx, y: start.y + dy });
      return { key: JSON.stringify(fill), name: 'Gradient', command: () => look.command({ fill }) };
    },
  });
  return (
    <i
      {...bind()}
      data-testid={testId}
      title={title}
      className="pointer-events-auto absolute size-3 -translate-1/2 before:absolute before:-inset-2 cursor-grab touch-none rounded-[3px] border-2 border-white bg-copper shadow-[0_0_0_1px_rgb(0_0_0/0.4)]"
      style={{ left: at.x, top: at.y }}
    />
  );
}

/** Turns a linear gradient about the tile's middle, or a conic one about its own. */
function TurnHand({ tile, gradient, line, width, height }: HandProps<Extract<Gradient, { angle: number }>>) {
  const look = useLook([tile]);
  const middle = gradient.kind === 'conic' ? line.from : { x: width / 2, y: height / 2 };
  return (
    <DragHand
      look={look}
      at={beyond(line.from, line.to)}
      testId="gradient-turn"
      title="Drag to turn"
      made={(at) => ({ ...gradient, angle: wholeTurn(degreesTo(middle, at) + 90) })}
    />
  );
}

/** Moves the middle of a gradient, also out of its tile. */
function MiddleHand({
  tile,
  gradient,
  line: { from },
  width,
  height,
}: HandProps<Exclude<Gradient, { kind: 'linear' }>>) {
  const look = useLook([tile]);
  // It is moved from where there is room for it, and not from where the first stop lies.
  const up = from.y - AWAY > EDGE ? AWAY : -AWAY;
  const within = (share: number) => held(share, -LIMITS.outside, 1 + LIMITS.outside);
  return (
    <DragHand
      look={look}
      at={{ x: from.x, y: from.y - up }}
      testId="gradient-middle"
      title="Drag to move the middle"
      made={({ x, y }) => ({ ...gradient, x: within(x / width), y: within((y + up) / height) })}
    />
  );
}

interface ReachHandProps extends HandProps<Extract<Gradient, { kind: 'radial' }>> {
  readonly axis: 'x' | 'y';
  readonly at: Point;
}

/** How far a radial gradient reaches along one of its radii, and how they are turned. */
function ReachHand({ tile, gradient, line: { from }, width, height, axis, at }: ReachHandProps) {
  const look = useLook([tile]);
  const made = (to: Point): Gradient => {
    const far = Math.hypot(to.x - from.x, to.y - from.y) - (axis === 'x' ? AWAY : 0);
    const share = (px: number, size: number) => held(px / size, 0.01, LIMITS.reach);
    // A circle stays one until its other radius is set.
    const { radii = { x: 0, y: share(far, height) } } = gradient;
    const turn = wholeTurn(degreesTo(from, to) - (axis === 'y' ? 90 : 0));
    const { angle: _, ...plain } = gradient;
    return {
      ...plain,
      radii: axis === 'x' ? { ...radii, x: share(far, width) } : { ...radii, y: share(far, height) },
      ...(gradient.radii && turn !== 0 && { angle: turn }),
    };
  };
  return (
    <DragHand
      look={look}
      at={at}
      testId={`gradient-reach-${axis}`}
      title={gradient.radii ? 'Drag to set this radius, and to turn' : 'Drag to set how far it reaches'}
      made={made}
    />
  );
}
