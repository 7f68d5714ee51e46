import type { AxisTracks } from './tracks.js';

/** What one item asks of the tracks it spans in this axis; outer sizes in px, worked out when asked. */
export interface AxisItem {
  /** Index of its first track, from 0. */
  readonly start: number;
  readonly span: number;
  /** Only the edge of a subgrid: it makes a track no smaller, and says nothing of how large it would be. */
  readonly isEdge?: true;
  readonly minContentContribution: () => number;
  readonly maxContentContribution: () => number;
  /**
   * The smallest outer size it can have (CSS Grid 2, section 12.5, "minimum contribution").
   * @param start index of its first track in `tracks`; another one than `start` for an item of a subgrid
   * @param extra px that subgrids around it add at its edges
   */
  readonly minimumContribution: (tracks: AxisTracks, start: number, extra: number) => number;
}
