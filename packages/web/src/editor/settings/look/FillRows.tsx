import {
  colourOf,
  coloursApart,
  contrastIn,
  takesTextColour,
  toOklch,
  type Fill,
  type Gradient,
  type GradientStop,
  type PictureFill,
} from '@noria/core';
import { Plus, X } from 'lucide-react';
import { useAppSelector } from '../../hooks';
import { Button, SignButton } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { fillShown } from '../../looks/fillShown';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { selectShared } from '../../selectors';
import { ChoosePicture } from '../content/ChoosePicture';
import { Contrast } from './Contrast';
import { FocalPoint } from '../../parts/FocalPoint';
import { PART } from '../../parts/fields';
import { ChoiceRow } from '../ChoiceRow';
import { TintFields } from './TintFields';
import type { Look } from './useLook';

type Kind = 'plain' | 'linear' | 'radial' | 'picture' | 'none';

const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'plain', label: 'Solid' },
  { value: 'linear', label: 'Linear' },
  { value: 'radial', label: 'Radial' },
  { value: 'picture', label: 'Picture' },
  { value: 'none', label: 'None' },
];

const kindOf = (fill: Fill): Kind =>
  fill === 'none' ? 'none' : typeof fill === 'string' ? 'plain' : fill.kind;

/** What lies behind the contents. */
export function FillRows({ look }: { look: Look }) {
  const document = useAppSelector(selectShared);
  const { fill } = look.look;
  const kind = kindOf(fill);
  const set = (next: Fill, key?: string) => look.set(LOOK.fill.label, { fill: next }, key);
  const hasWords = takesTextColour(look.tiles[0]);
  const says = hasWords && <Contrast ratio={contrastIn(document, look.tiles[0])} />;
  const { colour, stops } = useBegin(fill);
  const choose = (next: Kind) => {
    if (next === 'none') set('none');
    else if (next === 'plain') set(colour);
    else if (next === 'linear') set({ kind: 'linear', angle: 180, stops });
    else if (next === 'radial') set({ kind: 'radial', x: 0.5, y: 0, stops });
    else {
      const [first] = Object.keys(document.pictures);
      if (first)
        set({
          kind: 'picture',
          picture: first,
          focalPoint: { x: 0.5, y: 0.5 },
          tint: { colour: '#0b1714', opacity: 0.5 },
        });
    }
  };
  const eachItsOwn = () => {
    const background = colourOf(document.namedLooks, document.look.background);
    const own =
      typeof fill === 'string' && fill !== 'none' ? colourOf(document.namedLooks, fill) : background;
    const fills = coloursApart(own, look.tiles.length, toOklch(background).lightness < 0.5);
    return fills.map((each) => ({ fill: each }));
  };
  const kinds = KINDS.filter(({ value }) => value !== 'picture' || Object.keys(document.pictures).length > 0);
  return (
    <>
      <Row label={LOOK.fill.label} {...look.here('fill')}>
        <div className="grid grid-cols-[1fr_76px] gap-1">
          {typeof fill === 'string' && fill !== 'none' ? (
            <NamedColour name="Fill, colour" value={fill} onSet={set} says={says} />
          ) : (
            <span
              aria-hidden
              className="rounded-s border border-hair"
              style={{ background: fillShown(document, fill) }}
            />
          )}
          <Choice value={kind} choices={kinds} onChoose={choose} />
        </div>
      </Row>
      {look.tiles.length > 1 && (
        <Row label="">
          <Button
            className="justify-self-start"
            title="Gives each selected tile a fill of its own, of one strength and hues in even steps"
            onClick={() => look.setEach('A colour each', eachItsOwn())}
          >
            A colour each
          </Button>
        </Row>
      )}
      {typeof fill === 'object' && fill.kind !== 'picture' && <GradientRows value={fill} onSet={set} />}
      {typeof fill === 'object' && fill.kind === 'picture' && (
        <PictureRows fill={fill} look={look} onSet={set} />
      )}
    </>
  );
}

/** What another kind of fill begins with: something of the one that was. */
function useBegin(fill: Fill): { readonly colour: string; readonly stops: readonly GradientStop[] } {
  const { namedLooks } = useAppSelector(selectShared);
  if (typeof fill === 'object' && fill.kind !== 'picture')
    return { colour: fill.stops[0]?.colour ?? '#ffffff', stops: fill.stops };
  const colour = typeof fill === 'string' && fill !== 'none' ? fill : '#dfe8e2';
  const other = colourOf(namedLooks, colour) === '#17302d' ? '#46557a' : '#17302d';
  return {
    colour,
    stops: [
      { colour, at: 0 },
      { colour: other, at: 1 },
    ],
  };
}

interface GradientRowsProps {
  readonly value: Gradient;
  readonly onSet: (value: Gradient, key?: string) => void;
}

/** A gradient by its numbers; its stops can be dragged on the tile as well. */
export function GradientRows({ value, onSet }: GradientRowsProps) {
  const setStop = (k: number, stop: Partial<GradientStop>, key: string) =>
    onSet({ ...value, stops: value.stops.map((each, at) => (at === k ? { ...each, ...stop } : each)) }, key);
  return (
    <>
      {value.kind === 'linear' && (
        <Row label="Angle">
          <NumberField
            value={value.angle}
            least={-360}
            most={360}
            unit="°"
            onSet={(angle) => onSet({ ...value, angle }, 'angle')}
          />
        </Row>
      )}
      <Row label="Stops">
        <div className="grid grid-cols-[26px_1fr_1fr_26px] gap-1 text-xs text-faint" aria-hidden>
          <span />
          <span className="whitespace-nowrap">position, %</span>
          <span className="whitespace-nowrap">opacity, %</span>
        </div>
      </Row>
      {value.stops.map((stop, k) => (
        <Row key={k} label="">
          <div className="grid grid-cols-[26px_1fr_1fr_26px] gap-1">
            <NamedColour
              small
              name={`Stop ${k + 1}`}
              value={stop.colour}
              onSet={(colour) => setStop(k, { colour }, `stop ${k}`)}
            />
            <NumberField
              name={`Stop ${k + 1}, position`}
              value={Math.round(stop.at * 100)}
              least={0}
              most={100}
              onSet={(at) => setStop(k, { at: at / 100 }, `at ${k}`)}
            />
            <NumberField
              name={`Stop ${k + 1}, opacity`}
              value={Math.round((stop.opacity ?? 1) * 100)}
              least={0}
              most={100}
              onSet={(opacity) => setStop(k, { opacity: opacity / 100 }, `opacity ${k}`)}
            />
            {value.stops.length > 2 ? (
              <SignButton
                name={`Remove stop ${k + 1}`}
                onClick={() => onSet({ ...value, stops: value.stops.filter((_, at) => at !== k) })}
              >
                <X size={13} aria-hidden />
              </SignButton>
            ) : k === value.stops.length - 1 ? (
              <SignButton name="Add stop" onClick={() => onSet(withStop(value))}>
                <Plus size={14} aria-hidden />
              </SignButton>
            ) : (
              <span />
            )}
          </div>
        </Row>
      ))}
    </>
  );
}

/** A stop half way between the first two. */
function withStop(value: Gradient): Gradient {
  const [first, second] = value.stops as [GradientStop, GradientStop];
  const middle = { ...second, at: (first.at + second.at) / 2 };
  return { ...value, stops: [first, middle, ...value.stops.slice(1)] };
}

interface PictureRowsProps {
  readonly fill: PictureFill;
  readonly look: Look;
  readonly onSet: (value: Fill, key?: string) => void;
}

/** A picture behind the contents: as one in a tile is. */
function PictureRows({ fill, look, onSet }: PictureRowsProps) {
  const { pictures } = useAppSelector(selectShared);
  const picture = pictures[fill.picture];
  const { fit: _, ...covering } = fill;
  return (
    <>
      <Row label="Picture">
        <ChoosePicture
          name="Background picture"
          value={fill.picture}
          onChoose={(chosen) => onSet({ ...fill, picture: chosen })}
        />
      </Row>
      {picture && (
        <FocalPoint
          value={fill.focalPoint}
          picture={picture}
          command={(focalPoint) => look.command({ fill: { ...fill, focalPoint } })}
          step={look.tiles.map(({ id }) => id).join()}
        />
      )}
      <ChoiceRow
        field={PART.fit}
        value={fill.fit ?? 'cover'}
        onChoose={(fit) => onSet(fit === 'cover' ? covering : { ...fill, fit })}
      />
      <TintFields tint={fill.tint} onSet={(tint, key) => onSet({ ...fill, tint }, key)} />
    </>
  );
}
