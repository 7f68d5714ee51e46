/** A track as laid out: where it starts, from the grid's border box, and its size; px. */
export interface Track {
  readonly start: number;
  readonly size: number;
}
