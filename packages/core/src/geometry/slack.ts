/** Sizes that differ by no more than this are taken as the same, px: what rounding leaves, and nobody sees. */
export const SLACK = 0.5;
