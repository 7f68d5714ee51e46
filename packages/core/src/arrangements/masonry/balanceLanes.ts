import {
  laneImbalance,
  placeLanes,
  type LaneItem,
  type LanesOptions,
} from '../../engine/lanes/placeLanes.js';

export interface BalancedItem extends LaneItem {
  /** Size along the lanes, px. */
  readonly size: number;
}

export interface Balanced {
  /** Indices into the items, in the order in which they are best placed. */
  readonly order: readonly number[];
  readonly before: number;
  readonly after: number;
}

/** How many items are placed in trying orders, at the most, so that the time is bounded. */
const MOST_PLACED = 8_000_000;

/**
 * Evens out how lanes end by reordering, each item no further from its place in reading order than
 * `distance`. Only what is placed late decides how the lanes end, so swaps are tried from the end.
 *
 * @param distance how many places an item may move, 0 or more
 * @throws RangeError when the distance is no whole number, 0 or more
 */
export function balanceLanes(
  items: readonly BalancedItem[],
  options: LanesOptions,
  distance: number,
): Balanced {
  if (!Number.isInteger(distance) || distance < 0) {
    throw new RangeError(`A distance is a whole number of places, 0 or more; this is ${String(distance)}.`);
  }
  const order = items.map((_, k) => k);
  const measure = () => {
    const ordered = order.map((k) => items[k] as BalancedItem);
    return laneImbalance(placeLanes(ordered, (k) => (ordered[k] as BalancedItem).size, options).ends);
  };
  const before = measure();
  let best = before;
  let tries = Math.floor(MOST_PLACED / Math.max(1, items.length));
  const from = Math.max(0, items.length - 4 * options.lanes - 2 * distance);
  const mayStand = (item: number, place: number) => Math.abs(item - place) <= distance;
  for (let improved = true; improved && best > 0;) {
    improved = false;
    for (let i = items.length - 1; i > from && tries > 0; i--) {
      for (let j = i - 1; j >= Math.max(from, i - 2 * distance) && tries > 0; j--) {
        const [a, b] = [order[i] as number, order[j] as number];
        if (!mayStand(a, j) || !mayStand(b, i)) continue;
        order[i] = b;
        order[j] = a;
        tries--;
        const next = measure();
        if (next < best - 1e-9) {
          best = next;
          improved = true;
          break;
        }
        order[i] = a;
        order[j] = b;
      }
    }
  }
  return { order, before, after: best };
}
