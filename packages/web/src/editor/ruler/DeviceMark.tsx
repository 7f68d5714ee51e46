import { Laptop, Smartphone, Tablet } from 'lucide-react';
import { needleMoved } from '../editorSlice';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectNeedle } from '../selectors';
import { BASE, type DEVICES } from './axis';

type Device = (typeof DEVICES)[number];

const SIGNS: Readonly<Record<Device['name'], typeof Laptop>> = { Phone: Smartphone, Tablet, Laptop };

/** A width that stands for a kind of device; pressed, it is shown. */
export function DeviceMark({ name, width, x }: Device & { readonly x: number }) {
  const dispatch = useAppDispatch();
  const isNow = useAppSelector((state) => selectNeedle(state) === width);
  const Sign = SIGNS[name];
  return (
    <button
      type="button"
      aria-label={`${name}, ${width} px`}
      aria-pressed={isNow}
      title={`${name}: show ${width} px`}
      className={`absolute z-[11] grid size-6 -translate-x-1/2 place-items-center rounded-s hover:text-copper-ink ${isNow ? 'text-copper-ink' : 'text-water-ink'}`}
      style={{ left: x, top: BASE - 23 }}
      onClick={() => dispatch(needleMoved(width))}
      onDoubleClick={(event) => event.stopPropagation()}
    >
      <Sign size={13} strokeWidth={1.7} aria-hidden />
    </button>
  );
}
