/** How a track size is written, for messages. */
export const TRACK_LIKE =
  'A track size is written like “72px”, “1fr”, “auto” or “minmax(200px, 1fr)”, at most 10000 px and not by the window’s height';

/** A name that CSS takes for an area, and that is none of its own words. */
export const AREA_NAME =
  /^(?!(?:auto|span|inherit|initial|unset|revert|none|default)$)[a-z][a-z0-9-]{0,63}$/i;

/** How a length is written, for messages. */
export const LENGTH_LIKE =
  'A length is px, or written like “1.5rem”, “2cqi” or “clamp(8px, 2vw, 24px)”; vh and em are not known here';
