/** The screen height that is meant where nobody says another, px. */
export const SCREEN_BLOCK_SIZE = 800;
