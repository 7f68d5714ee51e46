/** How far a badge lies from the edges of its tile, px. */
export const BADGE_INSET = 10;
