import {
  borderSides,
  hasBorder,
  isGradient,
  unnamed,
  type Border,
  type FourCorners,
  type FourSides,
  type Gradient,
} from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Choice } from '../../../ui/Choice';
import { Fold } from '../../../ui/Fold';
import { Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { lengthWords } from '../../../ui/words';
import { NamedColour } from '../../looks/NamedColour';
import { NamedMeasure } from '../../looks/NamedMeasure';
import { LOOK } from '../../fields/fields';
import { selectShared } from '../../selectors';
import { SetLength } from '../SetLength';
import { SetNumber } from '../SetNumber';
import { GradientRows } from './GradientRows';
import {
  BORDER_KINDS,
  colourToBegin,
  gradientKind,
  gradientToBegin,
  kindOfFill,
  plainFill,
  plainOf,
  type FillKind,
} from './paintKinds';
import type { Look } from './useLook';

const NO_FADE: FourSides = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
const SIDES: readonly { readonly side: keyof FourSides; readonly unit: string }[] = [
  { side: 'blockStart', unit: 'top' },
  { side: 'blockEnd', unit: 'bottom' },
  { side: 'inlineStart', unit: 'start' },
  { side: 'inlineEnd', unit: 'end' },
];
const CORNERS: readonly { readonly corner: keyof FourCorners; readonly unit: string }[] = [
  { corner: 'startStart', unit: 'start' },
  { corner: 'startEnd', unit: 'end' },
  { corner: 'endStart', unit: 'start' },
  { corner: 'endEnd', unit: 'end' },
];
/** Which corners stand in a row. */
const EDGES = ['Top', 'Bottom'];
const LINE: Border = { width: 1, paint: '#9db0aa' };
/** A line that goes on in another colour is seen as one. */
const LINE_TO: Gradient = {
  kind: 'linear',
  angle: 180,
  stops: [
    { colour: '#a64d2c', at: 0 },
    { colour: '#46557a', at: 1 },
  ],
};

/** Radius, border and edges that fade out. */
export function EdgeRows({ look }: { look: Look }) {
  const view = useAppSelector(selectShared);
  const { border, fade, radius } = look.look;
  const says = [
    radius !== undefined &&
      (typeof radius === 'object'
        ? 'corners apart'
        : `${lengthWords(unnamed(view.namedLooks, radius))} round`),
    hasBorder(border) && 'border',
    fade && 'fading',
  ].filter(Boolean);
  return (
    <Fold title="Border and radius" says={says.join(', ') || 'as the collection'}>
      <RadiusRows look={look} />
      <BorderRows look={look} />
      {pairs(SIDES).map((two, k) => (
        <Row
          key={k}
          label={k === 0 ? LOOK.fade.label : ''}
          help={LOOK.fade.help}
          {...(k === 0 && look.here('fade'))}
        >
          <div className="grid grid-cols-2 gap-1">
            {two.map(({ side, unit }) => (
              <SetNumber
                key={side}
                field={LOOK.fade}
                name={`Fade, ${unit}`}
                unit={unit}
                value={fade?.[side] ?? 0}
                command={(px) => {
                  const next = { ...(fade ?? NO_FADE), [side]: px };
                  return look.command({
                    fade: Object.values(next).some((each) => each > 0) ? next : undefined,
                  });
                }}
              />
            ))}
          </div>
        </Row>
      ))}
    </Fold>
  );
}

const widest = ({ blockStart, inlineEnd, blockEnd, inlineStart }: FourSides) =>
  Math.max(blockStart, inlineEnd, blockEnd, inlineStart);

const pairs = <Each,>(all: readonly Each[]): readonly (readonly Each[])[] => [all.slice(0, 2), all.slice(2)];

/** How round the corners are: as the collection has them, all alike, or each apart. */
function RadiusRows({ look }: { look: Look }) {
  const view = useAppSelector(selectShared);
  const { radius } = look.look;
  const inherited = view.look.radius;
  const even = typeof radius === 'object' ? radius.startStart : unnamed(view.namedLooks, radius ?? inherited);
  const apart: FourCorners =
    typeof radius === 'object' ? radius : { startStart: even, startEnd: even, endEnd: even, endStart: even };
  return (
    <>
      {typeof radius === 'object' ? (
        pairs(CORNERS).map((two, k) => (
          <Row key={k} label={EDGES[k] ?? ''}>
            <div className="grid grid-cols-2 gap-1">
              {two.map(({ corner, unit }) => (
                <SetLength
                  key={corner}
                  field={LOOK.radius}
                  name={`Radius, ${(EDGES[k] ?? '').toLowerCase()} ${unit}`}
                  unit={unit}
                  value={radius[corner]}
                  command={(px) => look.command({ radius: { ...radius, [corner]: px } })}
                />
              ))}
            </div>
          </Row>
        ))
      ) : (
        <Row label={LOOK.radius.label} {...look.here('radius')}>
          <NamedMeasure
            field={LOOK.radius}
            kind="radius"
            value={radius ?? inherited}
            command={(px) => look.command({ radius: px })}
            onSet={(px) => look.set(LOOK.radius.label, { radius: px })}
          />
        </Row>
      )}
      <Row label="Corners" {...(typeof radius === 'object' && look.here('radius'))}>
        <Segments
          value={radius === undefined ? 'inherited' : typeof radius === 'object' ? 'corners' : 'even'}
          choices={[
            { value: 'inherited', label: 'Inherit' },
            { value: 'even', label: 'All corners' },
            { value: 'corners', label: 'Each' },
          ]}
          onChoose={(how) =>
            look.set(LOOK.radius.label, {
              radius: how === 'inherited' ? undefined : how === 'even' ? even : apart,
            })
          }
        />
      </Row>
    </>
  );
}

/** The line around a tile: how wide, on all sides or on each, and with what it is drawn. */
function BorderRows({ look }: { look: Look }) {
  const { namedLooks } = useAppSelector(selectShared);
  const { border } = look.look;
  const set = (next: Border | undefined, key?: string) =>
    look.set(LOOK.border.label, { border: next }, key && `border ${key}`);
  const drawn = hasBorder(border) ? border : null;
  const plain = drawn && plainOf(drawn.paint);
  const choose = (kind: FillKind) => {
    const gradient = gradientKind(kind);
    if (gradient)
      set({
        width: drawn?.width ?? 2,
        paint: gradientToBegin(gradient, drawn?.paint ?? LINE_TO, namedLooks),
      });
    else if (kind === 'none') set(undefined);
    else set({ ...LINE, ...drawn, paint: drawn ? colourToBegin(drawn.paint) : LINE.paint });
  };
  const sides = borderSides(border);
  return (
    <>
      <Row label={LOOK.border.label} {...look.here('border')}>
        <div className={`grid gap-1 ${plain ? 'grid-cols-[1fr_76px]' : ''}`}>
          {drawn && plain && (
            <NamedColour
              name="Border colour"
              value={plain.colour}
              opacity={plain.opacity}
              onOpacity={(opacity, key) =>
                set({ ...drawn, paint: plainFill(plain.colour, opacity) as Border['paint'] }, key)
              }
              onSet={(colour, key) =>
                set({ ...drawn, paint: plainFill(colour, plain.opacity) as Border['paint'] }, key)
              }
            />
          )}
          <Choice value={drawn ? kindOfFill(drawn.paint) : 'none'} choices={BORDER_KINDS} onChoose={choose} />
        </div>
      </Row>
      {drawn && (
        <Row label="Width">
          <div className="grid grid-cols-[1fr_1fr] gap-1">
            {typeof drawn.width === 'object' ? (
              <span className="self-center text-sm text-faint">each side</span>
            ) : (
              <SetNumber
                field={LOOK.border}
                name="Border width"
                value={drawn.width}
                command={(width) => look.command({ border: { ...drawn, width } })}
              />
            )}
            <Segments
              name="Sides of the border"
              value={typeof drawn.width === 'object' ? 'each' : 'all'}
              choices={[
                { value: 'all', label: 'All' },
                { value: 'each', label: 'Each' },
              ]}
              onChoose={(how) => set({ ...drawn, width: how === 'each' ? sides : widest(sides) })}
            />
          </div>
        </Row>
      )}
      {drawn &&
        typeof drawn.width === 'object' &&
        pairs(SIDES).map((two, k) => (
          <Row key={k} label="">
            <div className="grid grid-cols-2 gap-1">
              {two.map(({ side, unit }) => (
                <SetNumber
                  key={side}
                  field={LOOK.border}
                  name={`Border width, ${unit}`}
                  unit={unit}
                  value={sides[side]}
                  command={(px) => look.command({ border: { ...drawn, width: { ...sides, [side]: px } } })}
                />
              ))}
            </div>
          </Row>
        ))}
      {drawn && isGradient(drawn.paint) && (
        <GradientRows value={drawn.paint} onSet={(paint, key) => set({ ...drawn, paint }, key)} />
      )}
    </>
  );
}
