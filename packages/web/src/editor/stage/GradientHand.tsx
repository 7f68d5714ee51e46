import { colourOf, type Gradient, type LaidOutTile, type Tile } from '@noria/core';
import { useLook } from '../settings/look/useLook';
import { useAppSelector } from '../hooks';
import { selectView } from '../selectors';
import { boxStyle, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface GradientHandProps {
  readonly tile: Tile;
  readonly gradient: Gradient;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** The line that a gradient runs along in a box, px of the box (CSS Images 3, section 3.1.1). */
function gradientLine(gradient: Gradient, width: number, height: number): { from: Point; to: Point } {
  if (gradient.kind === 'radial') {
    const from = { x: gradient.x * width, y: gradient.y * height };
    const corners = [0, width].flatMap((x) => [0, height].map((y) => ({ x, y })));
    const far = corners.reduce((a, b) =>
      Math.hypot(b.x - from.x, b.y - from.y) > Math.hypot(a.x - from.x, a.y - from.y) ? b : a,
    );
    return { from, to: far };
  }
  const turn = (gradient.angle * Math.PI) / 180;
  const length = Math.abs(width * Math.sin(turn)) + Math.abs(height * Math.cos(turn));
  const [dx, dy] = [(Math.sin(turn) * length) / 2, (-Math.cos(turn) * length) / 2];
  return {
    from: { x: width / 2 - dx, y: height / 2 - dy },
    to: { x: width / 2 + dx, y: height / 2 + dy },
  };
}

/** From the edge of the tile, and from the end of the line to the hand that turns it, px. */
const EDGE = 8;
const AWAY = 18;
/** The shortest that a line is drawn, from the middle, px. */
const SHORTEST = 12;

/** As much of a gradient’s line as is drawn: none of it, nor the hand at its end, lies over another tile. */
export function drawnLine(gradient: Gradient, width: number, height: number): { from: Point; to: Point } {
  const line = gradientLine(gradient, width, height);
  if (gradient.kind === 'radial') return line;
  const { from, to } = line;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length === 0) return line;
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const inside = Math.min(
    ux === 0 ? Infinity : (width / 2 - EDGE) / Math.abs(ux),
    uy === 0 ? Infinity : (height / 2 - EDGE) / Math.abs(uy),
  );
  const half = Math.min(length / 2, Math.max(SHORTEST, inside - AWAY));
  return {
    from: { x: width / 2 - ux * half, y: height / 2 - uy * half },
    to: { x: width / 2 + ux * half, y: height / 2 + uy * half },
  };
}

/** The stops of a gradient on the tile itself: dragged along its line; its end turns it, its middle moves it. */
export function GradientHand({ tile, gradient, laidOut, space }: GradientHandProps) {
  const box = boxStyle(space, laidOut);
  const { from, to } = drawnLine(gradient, box.width, box.height);
  return (
    <div
      className="pointer-events-none absolute z-[112]"
      style={{ left: box.left, top: box.top, width: box.width, height: box.height }}
    >
      <svg className="absolute inset-0 size-full overflow-visible" aria-hidden>
        <line
          x1={from.x}
          y1={from.y}
          x2={to.x}
          y2={to.y}
          stroke="#000"
          strokeOpacity={0.35}
          strokeWidth={3}
        />
        <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#fff" strokeWidth={1.5} />
      </svg>
      {gradient.stops.map((_, k) => (
        <StopHand key={k} tile={tile} gradient={gradient} index={k} line={{ from, to }} />
      ))}
      <TurnHand tile={tile} gradient={gradient} line={{ from, to }} width={box.width} height={box.height} />
    </div>
  );
}

interface StopHandProps {
  readonly tile: Tile;
  readonly gradient: Gradient;
  readonly index: number;
  readonly line: { readonly from: Point; readonly to: Point };
}

function StopHand({ tile, gradient, index, line: { from, to } }: StopHandProps) {
  const look = useLook([tile]);
  const { namedLooks } = useAppSelector(selectView);
  const stop = gradient.stops[index];
  const bind = useGrab<Gradient>({
    begin: () => gradient,
    ask: ({ dx, dy }, start) => {
      const [lx, ly] = [to.x - from.x, to.y - from.y];
      const by = (dx * lx + dy * ly) / Math.max(1, lx * lx + ly * ly);
      const at = Number(Math.min(1, Math.max(0, (start.stops[index]?.at ?? 0) + by)).toFixed(3));
      const stops = start.stops.map((each, k) => (k === index ? { ...each, at } : each));
      return {
        key: String(at),
        name: 'Stop',
        command: () => look.command({ fill: { ...start, stops } }),
      };
    },
  });
  if (!stop) return null;
  return (
    <i
      {...bind()}
      data-testid={`stop-${index + 1}`}
      title={`Stop ${index + 1}, ${Math.round(stop.at * 100)} %`}
      className="pointer-events-auto absolute size-4 -translate-1/2 before:absolute before:-inset-1.5 cursor-grab touch-none rounded-full border-2 border-white shadow-[0_0_0_1.5px_rgb(0_0_0/0.45)]"
      style={{
        left: from.x + (to.x - from.x) * stop.at,
        top: from.y + (to.y - from.y) * stop.at,
        background: colourOf(namedLooks, stop.colour),
      }}
    />
  );
}

interface TurnHandProps {
  readonly tile: Tile;
  readonly gradient: Gradient;
  readonly line: { readonly from: Point; readonly to: Point };
  readonly width: number;
  readonly height: number;
}

/** Turns a linear gradient about the tile's middle, or moves the middle of a radial one. */
function TurnHand({ tile, gradient, line, width, height }: TurnHandProps) {
  const look = useLook([tile]);
  // The middle of a radial one is moved from where there is room for it.
  const up = line.from.y - AWAY > EDGE ? AWAY : -AWAY;
  const length = Math.max(1, Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y));
  const at =
    gradient.kind === 'radial'
      ? { x: line.from.x, y: line.from.y - up }
      : {
          x: line.to.x + ((line.to.x - line.from.x) / length) * AWAY,
          y: line.to.y + ((line.to.y - line.from.y) / length) * AWAY,
        };
  const bind = useGrab<Point>({
    begin: () => at,
    ask: ({ dx, dy }, start) => {
      const [x, y] = [start.x + dx, start.y + dy];
      const held = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(3));
      const fill: Gradient =
        gradient.kind === 'radial'
          ? { ...gradient, x: held(x / width), y: held((y + up) / height) }
          : {
              ...gradient,
              angle: Math.round((Math.atan2(x - width / 2, height / 2 - y) * 180) / Math.PI + 360) % 360,
            };
      return { key: JSON.stringify(fill), name: 'Gradient', command: () => look.command({ fill }) };
    },
  });
  return (
    <i
      {...bind()}
      data-testid="gradient-turn"
      title={gradient.kind === 'radial' ? 'Drag to move the middle' : 'Drag to turn'}
      className="pointer-events-auto absolute size-3 -translate-1/2 before:absolute before:-inset-2 cursor-grab touch-none rounded-[3px] border-2 border-white bg-copper shadow-[0_0_0_1px_rgb(0_0_0/0.4)]"
      style={{ left: at.x, top: at.y }}
    />
  );
}
