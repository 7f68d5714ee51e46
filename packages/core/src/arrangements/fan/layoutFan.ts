export interface FanOptions {
  /** How many cards lie over each other, 1 or more. */
  readonly count: number;
  /** Side by side (`inline`) or below one another (`block`). */
  readonly axis: 'inline' | 'block';
  /** Inner size of the fan along its axis, px; on the block axis Infinity when it may be as high as it needs. */
  readonly size: number;
  /** Size of one card along and across the axis, px, above 0. */
  readonly cardSize: number;
  readonly cardCrossSize: number;
  /** The most that a covered card shows of its edge, px. */
  readonly mostStrip: number;
  /** The card that is open, so that nothing lies over it; null: none. */
  readonly open: number | null;
}

export interface FanCard {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Later cards lie over earlier ones. */
  readonly layer: number;
}

export interface FanLayout {
  readonly cards: readonly FanCard[];
  /** What each covered card shows of its leading edge, px. */
  readonly strip: number;
  /** Size that the cards take along the axis, px. */
  readonly size: number;
}

/**
 * A fan: cards of one size, each a strip further along than the one before and lying over it. The
 * strip is as much as there is room for, (size − card) ÷ (count − 1), but no more than `mostStrip`.
 * When one is open, those after it make way by the part of it that they covered.
 *
 * @throws RangeError when a count or size makes no sense
 */
export function layoutFan({
  count,
  axis,
  size,
  cardSize,
  cardCrossSize,
  mostStrip,
  open,
}: FanOptions): FanLayout {
  if (!Number.isInteger(count) || count < 1)
    throw new RangeError(`A fan has one card or more; this is ${String(count)}.`);
  for (const [name, value] of Object.entries({ size, cardSize, cardCrossSize })) {
    if (!(value > 0)) throw new RangeError(`${name} is a number of px above 0; this is ${String(value)}.`);
  }
  if (open !== null && !(Number.isInteger(open) && open >= 0 && open < count)) {
    throw new RangeError(`The open card is one of 0 to ${count - 1}; this is ${open}.`);
  }
  const along = Math.min(cardSize, size);
  const strip = count === 1 ? 0 : Math.max(0, Math.min(mostStrip, (size - along) / (count - 1)));
  const cards = Array.from({ length: count }, (_, k): FanCard => {
    const away = open !== null && k > open ? along - strip : 0;
    const at = k * strip + away;
    return axis === 'inline'
      ? { x: at, y: 0, inlineSize: along, blockSize: cardCrossSize, layer: k }
      : { x: 0, y: at, inlineSize: cardCrossSize, blockSize: along, layer: k };
  });
  return { cards, strip, size: (count - 1) * strip + along };
}
