/** The edge that tiles do not reach over, px of the page. */
export interface Edge {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Radii of its corners in CSS. */
  readonly round: string;
}
