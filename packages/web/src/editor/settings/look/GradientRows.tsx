import { LIMITS, type Gradient, type GradientStop, type Radii } from '@noria/core';
import { Plus, X } from 'lucide-react';
import { SignButton } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { NamedColour } from '../../looks/NamedColour';

interface GradientRowsProps {
  readonly value: Gradient;
  readonly onSet: (value: Gradient, key?: string) => void;
}

/** A gradient by its numbers; that of a fill can be dragged on the tile as well. */
export function GradientRows({ value, onSet }: GradientRowsProps) {
  return (
    <>
      {value.kind !== 'radial' && (
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
      {value.kind !== 'linear' && (
        <Row label="Middle" help="Where it begins, from the tile’s top left; it may lie outside of the tile">
          <Shares
            name="Middle"
            value={value}
            least={-LIMITS.outside}
            most={1 + LIMITS.outside}
            onSet={(middle, key) => onSet({ ...value, ...middle }, `middle ${key}`)}
          />
        </Row>
      )}
      {value.kind === 'radial' && <RadiusRows value={value} onSet={onSet} />}
      <Row label="Stops">
        <div className="grid grid-cols-[26px_1fr_1fr_26px] gap-1 text-xs text-faint" aria-hidden>
          <span />
          <span className="whitespace-nowrap">position, %</span>
          <span className="whitespace-nowrap">opacity, %</span>
        </div>
      </Row>
      {value.stops.map((_, k) => (
        <StopRow key={k} value={value} index={k} onSet={onSet} />
      ))}
    </>
  );
}

const REACH: Radii = { x: 0.75, y: 0.75 };

type Radial = Extract<Gradient, { readonly kind: 'radial' }>;

interface RadiusRowsProps {
  readonly value: Radial;
  readonly onSet: (value: Gradient, key?: string) => void;
}

/** How far a radial gradient reaches: to the farthest corner, or by radii of its own that can be turned. */
function RadiusRows({ value, onSet }: RadiusRowsProps) {
  const { radii, angle = 0, ...circle } = value;
  const withAngle = (next: number) => (next === 0 ? {} : { angle: next });
  return (
    <>
      <Row label="Radii" help="How far it reaches from its middle">
        <Segments
          value={radii ? 'own' : 'corner'}
          choices={[
            { value: 'corner', label: 'To the corner' },
            { value: 'own', label: 'Own' },
          ]}
          onChoose={(how) => onSet(how === 'corner' ? circle : { ...value, radii: REACH })}
        />
      </Row>
      {radii && (
        <>
          <Row label="">
            <Shares
              name="Radius"
              value={radii}
              least={0.01}
              most={LIMITS.reach}
              onSet={(next, key) => onSet({ ...value, radii: next }, `radius ${key}`)}
            />
          </Row>
          <Row label="Turn" help="Turns the ellipse clockwise">
            <NumberField
              value={angle}
              least={-360}
              most={360}
              unit="°"
              onSet={(next) => onSet({ ...circle, radii, ...withAngle(next) }, 'turn')}
            />
          </Row>
        </>
      )}
    </>
  );
}

interface SharesProps {
  readonly name: string;
  readonly value: Radii;
  /** As shares of the tile. */
  readonly least: number;
  readonly most: number;
  readonly onSet: (value: Radii, key: 'x' | 'y') => void;
}

const ALONG = { x: '% across', y: '% down' } as const;

/** Two shares of the tile, in per cent. */
function Shares({ name, value: { x, y }, least, most, onSet }: SharesProps) {
  const value = { x, y };
  return (
    <div className="grid grid-cols-2 gap-1">
      {(['x', 'y'] as const).map((axis) => (
        <NumberField
          key={axis}
          name={`${name}, ${ALONG[axis]}`}
          value={Math.round(value[axis] * 100)}
          least={Math.round(least * 100)}
          most={Math.round(most * 100)}
          unit={ALONG[axis]}
          onSet={(share) => onSet({ ...value, [axis]: share / 100 }, axis)}
        />
      ))}
    </div>
  );
}

interface StopRowProps {
  readonly value: Gradient;
  readonly index: number;
  readonly onSet: (value: Gradient, key?: string) => void;
}

function StopRow({ value, index, onSet }: StopRowProps) {
  const stop = value.stops[index] as GradientStop;
  const isLast = index === value.stops.length - 1;
  const set = (part: Partial<GradientStop>, key: string) =>
    onSet(
      { ...value, stops: value.stops.map((each, at) => (at === index ? { ...each, ...part } : each)) },
      `${key} ${index}`,
    );
  const name = `Stop ${index + 1}`;
  return (
    <Row label="">
      <div className="grid grid-cols-[26px_1fr_1fr_26px] gap-1">
        <NamedColour
          small
          name={name}
          value={stop.colour}
          opacity={stop.opacity ?? 1}
          onOpacity={(opacity) => set({ opacity }, 'opacity')}
          onSet={(colour) => set({ colour }, 'stop')}
        />
        <NumberField
          name={`${name}, position`}
          value={Math.round(stop.at * 100)}
          least={0}
          most={100}
          onSet={(at) => set({ at: at / 100 }, 'at')}
        />
        <NumberField
          name={`${name}, opacity`}
          value={Math.round((stop.opacity ?? 1) * 100)}
          least={0}
          most={100}
          onSet={(opacity) => set({ opacity: opacity / 100 }, 'opacity')}
        />
        {value.stops.length > 2 ? (
          <SignButton
            name={`Remove stop ${index + 1}`}
            onClick={() => onSet({ ...value, stops: value.stops.filter((_, at) => at !== index) })}
          >
            <X size={13} aria-hidden />
          </SignButton>
        ) : isLast ? (
          <SignButton name="Add stop" onClick={() => onSet(withStop(value))}>
            <Plus size={14} aria-hidden />
          </SignButton>
        ) : (
          <span />
        )}
      </div>
      {isLast && value.stops.length > 2 && value.stops.length < LIMITS.stops && (
        <SignButton className="justify-self-end" name="Add stop" onClick={() => onSet(withStop(value))}>
          <Plus size={14} aria-hidden />
        </SignButton>
      )}
    </Row>
  );
}

/** A stop half way between the last two. */
function withStop(value: Gradient): Gradient {
  const [from, to] = value.stops.slice(-2) as [GradientStop, GradientStop];
  const { id: _, ...like } = to;
  const middle = { ...like, at: (from.at + to.at) / 2 };
  return { ...value, stops: [...value.stops.slice(0, -1), middle, to] };
}
