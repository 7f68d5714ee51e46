/** The first of so many numbers from 0 for which something holds that holds from there on; the count where none. */
export function firstFrom(count: number, holds: (k: number) => boolean): number {
  let [low, high] = [0, count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}
