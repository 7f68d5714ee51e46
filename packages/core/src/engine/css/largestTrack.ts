/** No size in a list of tracks is larger, px. */
export const LARGEST_TRACK = 10_000;
