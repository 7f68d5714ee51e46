import { memo, useEffect, useRef } from 'react';

interface TileHandProps {
  readonly id: string;
  readonly name: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly layer: number;
  readonly held: boolean;
  /** One tile takes the Tab key; the arrows lead from it to the others. */
  readonly takesTab: boolean;
}

/** What takes a selected tile: a button over it. What it does is done by the list that holds it. */
export const TileHand = memo(function TileHand({ id, name, layer, held, takesTab, ...box }: TileHandProps) {
  const button = useRef<HTMLButtonElement>(null);

  // The focus follows the hand when the keyboard leads it.
  useEffect(() => {
    const active = window.document.activeElement;
    if (held && active !== button.current && active?.matches('[data-tile-hand]')) button.current?.focus();
  }, [held]);

  return (
    <li className="contents">
      <button
        ref={button}
        type="button"
        data-tile-hand={id}
        data-home={held && takesTab ? 'tile' : undefined}
        aria-pressed={held}
        tabIndex={takesTab ? 0 : -1}
        aria-label={name}
        className={`absolute touch-none rounded-[10px] outline-offset-2 ${held ? '' : 'hover:outline-2 hover:outline-copper/55'}`}
        style={{ ...box, ...(layer !== 0 && { zIndex: layer }) }}
      />
    </li>
  );
});
