import { fromOklch, toOklch, type LightnessChromaHue } from '@noria/core';
import { Popover, Slider } from 'radix-ui';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { beginGesture } from './gesture';
import { TextField } from './TextField';
import { isTyped } from './typing';

interface ColourFieldProps {
  readonly name: string;
  /** `#rrggbb` */
  readonly value: string;
  /** What stands on the field; left out: the value. */
  readonly label?: string;
  readonly onSet: (value: string) => void;
  /** A slider is taken hold of; what `onTakeBack` restores is what is there now. */
  readonly onBegin?: () => void;
  /** Left out: the colour that there was is set. */
  readonly onTakeBack?: () => void;
  /** What is said of the colour while it is picked, such as its contrast. */
  readonly says?: ReactNode;
  /** Other ways to choose, below the sliders. */
  readonly children?: ReactNode;
  /** Only a round swatch, where there is no room for words. */
  readonly small?: boolean;
}

/** A colour: picked by its lightness, chroma and hue, which stay apart as the eye has them (OKLCH). */
export function ColourField({ label, says, children, small, ...picked }: ColourFieldProps) {
  const { name, value } = picked;
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${name}, ${label ?? value}`}
        className={
          small
            ? 'grid size-[26px] flex-none place-items-center rounded-s bg-field'
            : 'flex h-[26px] w-full min-w-0 items-center gap-2 rounded-s bg-field px-2 text-left'
        }
      >
        <span className="size-3.5 flex-none rounded-full border border-hair" style={{ background: value }} />
        {!small && <span className={label ? 'truncate' : 'figures truncate'}>{label ?? value}</span>}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={12}
          aria-label={name}
          // What is typed is taken back first.
          onEscapeKeyDown={(event) => isTyped(document.activeElement) && event.preventDefault()}
          className="z-[150] grid w-[264px] gap-3 rounded-m bg-raised p-3.5 shadow-float"
        >
          <Picker {...picked} />
          {says && <div className="text-sm text-soft">{says}</div>}
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const MOST_CHROMA = 0.3;

type PickerProps = Omit<ColourFieldProps, 'label' | 'says' | 'children' | 'small'>;

function Picker({ name, value, onSet, onBegin, onTakeBack }: PickerProps) {
  // A grey has no hue and a colour at the rim of sRGB no more chroma: what was asked for is kept beside.
  const [asked, setAsked] = useState({ lch: toOklch(value), hex: value });
  const lch = asked.hex === value ? asked.lch : toOklch(value);
  const before = useRef(value);
  const drag = {
    onBegin: () => {
      before.current = value;
      onBegin?.();
    },
    onTakeBack: onTakeBack ?? (() => onSet(before.current)),
  };
  const set = (part: Partial<LightnessChromaHue>) => {
    const next = { ...lch, ...part };
    const hex = fromOklch(next);
    setAsked({ lch: next, hex });
    onSet(hex);
  };
  const across = (part: keyof LightnessChromaHue, most: number) =>
    Array.from({ length: 13 }, (_, k) => fromOklch({ ...lch, [part]: (most * k) / 12 })).join(', ');
  return (
    <div className="grid gap-2.5">
      <div className="grid grid-cols-[1fr_96px] items-stretch gap-2">
        <span className="rounded-s border border-hair" style={{ background: value }} aria-hidden />
        <TextField
          name={`${name} in hexadecimal`}
          value={value}
          problem={(text) => (HEX.test(text.trim()) ? null : 'Write it like #1e6b5c, or #abc.')}
          onSet={(text) => {
            const hex = full(text.trim());
            if (hex !== value) onSet(hex);
          }}
          className="figures h-[30px]!"
        />
      </div>
      <Axis
        name="Lightness"
        value={lch.lightness * 100}
        most={100}
        step={0.5}
        unit="%"
        track={across('lightness', 1)}
        onSet={(lightness) => set({ lightness: lightness / 100 })}
        {...drag}
      />
      <Axis
        name="Chroma"
        value={lch.chroma}
        most={MOST_CHROMA}
        step={0.002}
        unit=""
        track={across('chroma', MOST_CHROMA)}
        onSet={(chroma) => set({ chroma })}
        {...drag}
      />
      <Axis
        name="Hue"
        value={lch.hue}
        most={360}
        step={1}
        unit="°"
        track={across('hue', 360)}
        onSet={(hue) => set({ hue })}
        {...drag}
      />
    </div>
  );
}

const HEX = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i;

/** `#abc` as `#aabbcc`, with or without its sign. */
const full = (text: string) => {
  const digits = text.replace('#', '').toLowerCase();
  return `#${digits.length === 3 ? digits.replace(/./g, '$&$&') : digits}`;
};

interface AxisProps {
  readonly name: string;
  readonly value: number;
  readonly most: number;
  readonly step: number;
  readonly unit: string;
  /** The colours along it. */
  readonly track: string;
  readonly onSet: (value: number) => void;
  readonly onBegin: () => void;
  readonly onTakeBack: () => void;
}

function Axis({ name, value, most, step, unit, track, onSet, onBegin, onTakeBack }: AxisProps) {
  const shown = `${Number(value.toFixed(step < 0.1 ? 3 : 0))}${unit}`;
  const held = useRef<{ readonly takeBack: () => void; readonly end: () => void } | null>(null);
  // What was taken back stays so until the pointer is let go.
  const isTakenBack = useRef(false);
  const begin = () => {
    onBegin();
    isTakenBack.current = false;
    const takeBack = () => {
      held.current = null;
      isTakenBack.current = true;
      onTakeBack();
    };
    held.current = { takeBack, end: beginGesture(takeBack) };
    window.addEventListener(
      'pointerup',
      () => {
        held.current?.end();
        held.current = null;
        window.setTimeout(() => (isTakenBack.current = false));
      },
      { once: true },
    );
  };
  useEffect(
    () => () => {
      const { takeBack, end } = held.current ?? {};
      takeBack?.();
      end?.();
    },
    [],
  );
  return (
    <div className="grid grid-cols-[62px_1fr_42px] items-center gap-2 text-sm text-soft">
      <span aria-hidden>{name}</span>
      <Slider.Root
        value={[Math.min(most, value)]}
        max={most}
        step={step}
        onPointerDown={begin}
        onValueChange={([next]) => next !== undefined && !isTakenBack.current && onSet(next)}
        className="relative flex h-5 touch-none items-center"
      >
        <Slider.Track
          className="h-2.5 w-full rounded-full border border-hair"
          style={{ background: `linear-gradient(to right, ${track})` }}
        />
        <Slider.Thumb
          aria-label={name}
          aria-valuetext={shown}
          className="block size-4 rounded-full border-2 border-raised bg-ink shadow-float"
        />
      </Slider.Root>
      <span className="figures text-right" aria-hidden>
        {shown}
      </span>
    </div>
  );
}
