/** Cells of a grid that lie together: the first column and row line, 1-based, and how many of each it spans. */
export interface GridArea {
  readonly column: number;
  readonly row: number;
  readonly columnSpan: number;
  readonly rowSpan: number;
}
