import { fromOklch, toOklch, type LightnessChromaHue } from '@noria/core';
import { Pipette } from 'lucide-react';
import { Popover, Slider } from 'radix-ui';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { beginGesture } from './gesture';
import { SignButton } from './Button';
import { NumberField } from './NumberField';
import { TextField } from './TextField';
import { isTyped } from './typing';

interface ColourFieldProps {
  readonly name: string;
  /** `#rrggbb` */
  readonly value: string;
  /** 0 to 1, where it may let through what is behind; left out: it does not. */
  readonly opacity?: number | undefined;
  readonly onOpacity?: ((opacity: number) => void) | undefined;
  /** What stands on the field; left out: the value. */
  readonly label?: string;
  readonly onSet: (value: string) => void;
  /** A slider is taken hold of; what `onTakeBack` restores is what is there now. */
  readonly onBegin?: () => void;
  /** Left out: the colour that there was is set. */
  readonly onTakeBack?: () => void;
  /** What is said of the colour while it is picked, such as its contrast. */
  readonly says?: ReactNode;
  /** Colours to press, before the sliders. */
  readonly swatches?: ReactNode;
  /** Other ways to choose, below the sliders. */
  readonly children?: ReactNode;
  /** Only a round swatch, where there is no room for words. */
  readonly small?: boolean;
}

/** A colour: picked by its lightness, chroma and hue, which stay apart as the eye has them (OKLCH). */
export function ColourField({ label, says, swatches, children, small, ...picked }: ColourFieldProps) {
  const { name, value } = picked;
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${name}, ${label ?? value}${isSheer(picked.opacity) ? `, opacity ${percent(picked.opacity)}` : ''}`}
        className={
          small
            ? 'grid size-[26px] flex-none place-items-center rounded-s bg-field'
            : 'flex h-[26px] w-full min-w-0 items-center gap-2 rounded-s bg-field px-2 text-left'
        }
      >
        <Swatch value={value} opacity={picked.opacity} className="size-3.5 flex-none rounded-full" />
        {!small && (
          <span className={label ? 'truncate' : 'figures truncate'}>
            {label ?? value}
            {isSheer(picked.opacity) && <span className="figures"> {percent(picked.opacity)}</span>}
          </span>
        )}
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
          className="z-[150] grid max-h-(--radix-popover-content-available-height) w-[276px] gap-3 overflow-y-auto rounded-m bg-raised p-3.5 shadow-float"
        >
          <Picker {...picked}>{swatches}</Picker>
          {says && <div className="text-sm text-soft">{says}</div>}
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const isSheer = (opacity: number | undefined): opacity is number => opacity !== undefined && opacity < 1;
const percent = (opacity: number) => `${Math.round(opacity * 100)} %`;

/** Squares behind a colour that lets through what is behind it. */
const CHECKS = 'repeating-conic-gradient(rgb(128 128 128 / 0.35) 0 25%, transparent 0 50%) 0 0 / 8px 8px';

function Swatch({
  value,
  opacity = 1,
  className,
}: {
  value: string;
  opacity: number | undefined;
  className: string;
}) {
  const colour = `color-mix(in srgb, ${value} ${opacity * 100}%, transparent)`;
  return (
    <span
      className={`border border-hair ${className}`}
      style={{ background: opacity < 1 ? `linear-gradient(${colour}, ${colour}), ${CHECKS}` : value }}
      aria-hidden
    />
  );
}

const MOST_CHROMA = 0.3;
/** A hue is seen in its strip although the colour has little of it. */
const HUE_SHOWN = 0.08;

type PickerProps = Omit<ColourFieldProps, 'label' | 'says' | 'swatches' | 'small'>;

function Picker({ name, value, opacity, onOpacity, onSet, onBegin, onTakeBack, children }: PickerProps) {
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
  const across = (part: keyof LightnessChromaHue, most: number, from = lch) =>
    Array.from({ length: 13 }, (_, k) => fromOklch({ ...from, [part]: (most * k) / 12 })).join(', ');
  return (
    <div className="grid gap-2.5">
      <div className="grid grid-cols-[1fr_96px_auto] items-stretch gap-2">
        <Swatch value={value} opacity={opacity} className="rounded-s" />
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
        <FromScreen onSet={onSet} />
      </div>
      {children}
      <Axis
        name="Lightness"
        value={lch.lightness * 100}
        most={100}
        step={0.5}
        unit="%"
        decimals={1}
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
        decimals={3}
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
        decimals={0}
        track={across('hue', 360, { ...lch, chroma: Math.max(HUE_SHOWN, lch.chroma) })}
        onSet={(hue) => set({ hue })}
        {...drag}
      />
      {opacity !== undefined && onOpacity && (
        <Axis
          name="Opacity"
          value={opacity * 100}
          most={100}
          step={1}
          unit="%"
          decimals={0}
          track={`transparent, ${value}`}
          onSet={(next) => onOpacity(next / 100)}
          onBegin={drag.onBegin}
          onTakeBack={() => onOpacity(opacity)}
        />
      )}
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
  /** Of its number, where it is typed. */
  readonly decimals: number;
  /** The colours along it. */
  readonly track: string;
  readonly onSet: (value: number) => void;
  readonly onBegin: () => void;
  readonly onTakeBack: () => void;
}

function Axis({ name, value, most, step, unit, decimals, track, onSet, onBegin, onTakeBack }: AxisProps) {
  const shown = Number(value.toFixed(decimals));
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
    <div className="grid grid-cols-[62px_1fr_58px] items-center gap-2 text-sm text-soft">
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
          style={{ background: `linear-gradient(to right, ${track}), ${CHECKS}` }}
        />
        <Slider.Thumb
          aria-label={name}
          aria-valuetext={`${shown}${unit}`}
          className="block size-4 rounded-full border-2 border-raised bg-ink shadow-float"
        />
      </Slider.Root>
      <NumberField
        name={`${name}, number`}
        value={shown}
        least={0}
        most={most}
        by={step}
        whole={decimals === 0}
        unit={unit}
        onSet={onSet}
      />
    </div>
  );
}

interface ScreenPicker {
  open(): Promise<{ readonly sRGBHex: string }>;
}

/** Where the browser has one, a colour is taken from anywhere on the screen. */
function FromScreen({ onSet }: { onSet: (value: string) => void }) {
  const Picks = (window as { readonly EyeDropper?: new () => ScreenPicker }).EyeDropper;
  if (!Picks) return null;
  return (
    <SignButton
      className="h-[30px]!"
      name="Pick a colour from the screen"
      onClick={() =>
        void new Picks().open().then(
          ({ sRGBHex }) => onSet(full(sRGBHex)),
          // Escape ends it without a colour.
          () => undefined,
        )
      }
    >
      <Pipette size={14} aria-hidden />
    </SignButton>
  );
}
