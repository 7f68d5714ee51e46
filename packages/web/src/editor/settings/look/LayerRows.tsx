import { BLENDS, isGradient, isPictureFill, LIMITS, type Blend, type FillLayer } from '@noria/core';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { Button, SignButton } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { count } from '../../../ui/words';
import { useAppSelector } from '../../hooks';
import { LOOK } from '../../fields/fields';
import { NamedColour } from '../../looks/NamedColour';
import { selectShared } from '../../selectors';
import { GradientRows } from './GradientRows';
import { PictureFillRows } from './MediaFillRows';
import {
  colourToBegin,
  gradientKind,
  gradientToBegin,
  kindOfFill,
  LAYER_KINDS,
  plainFill,
  plainOf,
  type FillKind,
} from './paintKinds';
import type { Look } from './useLook';

/** As CSS calls them, with a large letter. */
const MIXES = BLENDS.map((value) => ({
  value,
  label: value.replace(/^./, (letter) => letter.toUpperCase()).replace('-', ' '),
}));

const PICTURE = 'picture';
const AS_IT_IS = { focalPoint: { x: 0.5, y: 0.5 }, tint: { colour: '#000000', opacity: 0 } };

/** What a layer begins as: a breath of light from the top. */
const BEGIN: FillLayer = {
  fill: {
    kind: 'linear',
    angle: 180,
    stops: [
      { colour: '#ffffff', at: 0, opacity: 0.25 },
      { colour: '#ffffff', at: 0.6, opacity: 0 },
    ],
  },
};

/** The layers between the fill and the contents, the uppermost first. */
export function LayerRows({ look }: { look: Look }) {
  const { over = [] } = look.look;
  const set = (layers: readonly FillLayer[], key?: string) =>
    look.set(LOOK.over.label, { over: layers.length > 0 ? layers : undefined }, key);
  return (
    <Fold title={LOOK.over.label} says={over.length > 0 ? count(over.length, 'layer', 'layers') : 'none'}>
      {over.map((layer, k) => (
        <OneLayer key={layer.id ?? k} layers={over} index={k} look={look} onSet={set} />
      ))}
      <Row label="" {...look.here('over')}>
        <Button
          className="justify-self-start"
          disabled={over.length >= LIMITS.layers}
          title="Adds a layer between the fill and the contents, over the others"
          onClick={() => set([BEGIN, ...over])}
        >
          Add layer
        </Button>
      </Row>
    </Fold>
  );
}

interface OneLayerProps {
  readonly layers: readonly FillLayer[];
  readonly index: number;
  readonly look: Look;
  readonly onSet: (layers: readonly FillLayer[], key?: string) => void;
}

function OneLayer({ layers, index, look, onSet }: OneLayerProps) {
  const { namedLooks, pictures } = useAppSelector(selectShared);
  const layer = layers[index] as FillLayer;
  const name = `Layer ${index + 1}`;
  const { fill } = layer;
  const plain = plainOf(fill);
  const withFill = (next: FillLayer['fill']) =>
    layers.map((each, k) => (k === index ? { ...each, fill: next } : each));
  const setFill = (next: FillLayer['fill'], key?: string) => onSet(withFill(next), key && `${name} ${key}`);
  const choose = (kind: FillKind) => {
    const gradient = gradientKind(kind);
    const [picture] = Object.keys(pictures);
    if (gradient) setFill(gradientToBegin(gradient, fill, namedLooks));
    else if (kind === 'plain') setFill({ kind, colour: colourToBegin(fill), opacity: 0.5 });
    else if (picture !== undefined) setFill({ kind: PICTURE, picture, ...AS_IT_IS });
  };
  const swap = (other: number) =>
    onSet(layers.map((each, k) => (k === index ? (layers[other] as FillLayer) : k === other ? layer : each)));
  const kinds = LAYER_KINDS.filter(
    ({ value }) => value !== PICTURE || Object.keys(pictures).length > 0 || isPictureFill(fill),
  );
  return (
    <div role="group" aria-label={name} className="grid gap-0.5 border-b border-hair pb-1.5">
      <Row label={name}>
        <div className="grid grid-cols-[1fr_auto_auto_auto] items-center">
          <Choice name={`${name}, kind`} value={kindOfFill(fill)} choices={kinds} onChoose={choose} />
          <SignButton
            className="size-6!"
            name={`${name}: bring forward`}
            disabled={index === 0}
            onClick={() => swap(index - 1)}
          >
            <ArrowUp size={13} aria-hidden />
          </SignButton>
          <SignButton
            className="size-6!"
            name={`${name}: send backward`}
            disabled={index === layers.length - 1}
            onClick={() => swap(index + 1)}
          >
            <ArrowDown size={13} aria-hidden />
          </SignButton>
          <SignButton
            className="size-6!"
            name={`Remove layer ${index + 1}`}
            onClick={() => onSet(layers.filter((_, k) => k !== index))}
          >
            <X size={13} aria-hidden />
          </SignButton>
        </div>
      </Row>
      <Row label="Blend" help="How it is mixed with what is under it in the tile">
        <Choice
          value={layer.blend ?? 'normal'}
          choices={MIXES}
          onChoose={(blend: Blend) => {
            const { blend: _, ...plainly } = layer;
            const next = blend === 'normal' ? plainly : { ...layer, blend };
            onSet(layers.map((each, k) => (k === index ? next : each)));
          }}
        />
      </Row>
      {plain && (
        <Row label="Colour">
          <NamedColour
            name={`${name}, colour`}
            value={plain.colour}
            opacity={plain.opacity}
            onOpacity={(opacity, key) => setFill(plainFill(plain.colour, opacity), key)}
            onSet={(colour, key) => setFill(plainFill(colour, plain.opacity), key)}
          />
        </Row>
      )}
      {isGradient(fill) && <GradientRows value={fill} onSet={setFill} />}
      {isPictureFill(fill) && (
        <PictureFillRows
          fill={fill}
          look={look}
          onSet={setFill}
          lookWith={(next) => ({ over: withFill(next) })}
        />
      )}
    </div>
  );
}
