/** A stretch of the page’s height, px of the layout. */
export interface Seen {
  readonly from: number;
  readonly to: number;
}

/** Whether any part of something from the top of the page lies in the stretch. */
export const isSeen = (seen: Seen | null, y: number, blockSize: number) =>
  seen === null || (y < seen.to && y + blockSize > seen.from);
