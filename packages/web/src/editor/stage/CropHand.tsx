import {
  borderSides,
  isMedia,
  LIMITS,
  pictureBehind,
  pictureOf,
  setPart,
  positionInView,
  scaleIn,
  type LaidOutTile,
  type PictureAsset,
  type PictureShown,
  type Command,
  type Tile,
  tileName,
} from '@noria/core';
import { useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { croppingChosen } from '../editorSlice';
import { runHere } from '../here';
import { useLook } from '../settings/look/useLook';
import { selectView } from '../selectors';
import { boxStyle, type StageSpace } from './space';
import { useGrab } from './useGrab';

interface CropHandProps {
  readonly tile: Tile;
  readonly laidOut: LaidOutTile;
  readonly space: StageSpace;
}

/** Moves and scales the picture of a tile: the part that is all of it, or else what fills it. */
export function CropHand({ tile, laidOut, space }: CropHandProps) {
  const { pictures } = useAppSelector(selectView);
  const look = useLook([tile]);
  const { fill, border } = look.look;
  const part = pictureOf(tile);
  const around = { tile, space };
  if (part) {
    const picture = pictures[part.picture ?? ''];
    return picture ? (
      <Hand
        {...around}
        is={part}
        picture={picture}
        box={laidOut}
        command={(values) => setPart([tile.id], part.id, values)}
      />
    ) : null;
  }
  const picture = pictures[pictureBehind(fill) ?? ''];
  if (!picture || !isMedia(fill)) return null;
  const edges = borderSides(border);
  return (
    <Hand
      {...around}
      is={fill}
      picture={picture}
      box={{
        x: laidOut.x + edges.inlineStart,
        y: laidOut.y + edges.blockStart,
        inlineSize: laidOut.inlineSize - edges.inlineStart - edges.inlineEnd,
        blockSize: laidOut.blockSize - edges.blockStart - edges.blockEnd,
      }}
      command={(values) => look.command({ fill: changed(fill, values) })}
    />
  );
}

/** A fill that lies otherwise in its tile. */
const changed = <F extends object>(fill: F, values: Change): F =>
  Object.fromEntries(Object.entries({ ...fill, ...values }).filter(([, value]) => value !== undefined)) as F;

/** What is undefined is as it comes by itself. */
type Change = { readonly [K in keyof PictureShown]?: PictureShown[K] | undefined };

interface HandProps {
  readonly tile: Tile;
  /** How the picture is shown now. */
  readonly is: PictureShown;
  readonly picture: PictureAsset;
  /** Where it is shown, px of the page. */
  readonly box: Pick<LaidOutTile, 'x' | 'y' | 'inlineSize' | 'blockSize'>;
  readonly command: (values: Change) => Command;
  readonly space: StageSpace;
}

const ZOOM_A_NOTCH = 1.0015;
const rounded = (value: number) => Number(value.toFixed(4));

/** By drag and wheel, by arrows and + and −. The focal point stays in view. */
function Hand({ tile, is, picture, box: slot, command, space }: HandProps) {
  const dispatch = useAppDispatch();
  const hand = useRef<HTMLDivElement>(null);
  const { position = is.focalPoint, zoom = 1 } = is;
  const moved = (from: PictureShown, dx: number, dy: number) => {
    const { position: at = from.focalPoint } = from;
    const scale = scaleIn(picture, slot, from);
    const share = (by: number, drawn: number, room: number) => (drawn - room > 0.5 ? by / (drawn - room) : 0);
    const asked = {
      x: Math.min(1, Math.max(0, at.x - share(dx, picture.inlineSize * scale, slot.inlineSize))),
      y: Math.min(1, Math.max(0, at.y - share(dy, picture.blockSize * scale, slot.blockSize))),
    };
    const { x, y } = positionInView(picture, slot, from, asked);
    return { x: rounded(x), y: rounded(y) };
  };
  const bind = useGrab<PictureShown>({
    begin: () => is,
    ask: ({ dx, dy }, from) => {
      const next = moved(from, dx / space.scale, dy / space.scale);
      return {
        key: `${next.x} ${next.y}`,
        name: 'Move the picture',
        command: () => command({ position: next }),
      };
    },
    onTap: (event) => {
      const box = hand.current?.getBoundingClientRect();
      if (!box || !event.altKey) return;
      // With Alt, a press says where the subject is.
      const scale = scaleIn(picture, slot, is) * space.scale;
      const at = (point: number, start: number, size: number, px: number, share: number) => {
        const drawn = px * scale;
        return Math.min(1, Math.max(0, (point - start + (drawn - size) * share) / drawn));
      };
      const focalPoint = {
        x: rounded(at(event.clientX, box.left, box.width, picture.inlineSize, position.x)),
        y: rounded(at(event.clientY, box.top, box.height, picture.blockSize, position.y)),
      };
      dispatch(runHere('Focal point', command({ focalPoint })));
    },
  });
  const scaleBy = (factor: number) => {
    const next = rounded(Math.min(LIMITS.zoom, Math.max(1, zoom * factor)));
    if (next === zoom) return;
    const values = { zoom: next === 1 ? undefined : next };
    dispatch(runHere('Zoom', command(values), `${tile.id} zoom`));
  };
  const latest = useRef(scaleBy);
  useEffect(() => {
    latest.current = scaleBy;
  });
  useEffect(() => {
    const element = hand.current;
    if (!element) return undefined;
    element.focus();
    // React listens to wheels passively, and the page must not scroll here.
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      latest.current(ZOOM_A_NOTCH ** -event.deltaY);
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, []);
  const box = boxStyle(space, slot);
  const name = useAppSelector((state) => tileName(tile, selectView(state)));
  return (
    <div
      ref={hand}
      {...bind()}
      role="application"
      tabIndex={0}
      aria-label={`Picture of ${name} in its slot: arrows move it, plus and minus scale it, Escape ends`}
      data-testid="crop-hand"
      className="absolute z-[115] cursor-move touch-none border-2 border-dashed border-copper outline-none"
      style={{ left: box.left, top: box.top, width: box.width, height: box.height }}
      onKeyDown={(event) => {
        const step = event.shiftKey ? 20 : 4;
        const by = {
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
          ArrowUp: [0, -step],
          ArrowDown: [0, step],
        }[event.key];
        if (by) {
          const next = moved(is, by[0] as number, by[1] as number);
          dispatch(runHere('Move the picture', command({ position: next }), `${tile.id} position`));
        } else if (event.key === '+' || event.key === '=') scaleBy(1.1);
        else if (event.key === '-') scaleBy(1 / 1.1);
        else if (event.key === 'Escape' || event.key === 'Enter') dispatch(croppingChosen(false));
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      <span className="absolute bottom-1.5 left-1.5 rounded-s bg-raised px-1.5 py-0.5 text-xs shadow-float">
        Drag to move, wheel to zoom, Alt + press to set the focal point ·{' '}
        <span className="figures">{Math.round(zoom * 100)} %</span>
      </span>
    </div>
  );
}
