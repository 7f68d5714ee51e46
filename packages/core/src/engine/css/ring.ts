import type { Declarations } from './rule.js';

/** The focus over a picture: two rings, light in dark, so that one is seen on any of them. */
export const RING: Declarations = {
  outline: '3px solid #fff',
  'outline-offset': '-6px',
  'box-shadow': 'inset 0 0 0 7px #14201f',
};

/** The same as lines of a rule. */
export const RING_CSS = Object.entries(RING)
  .map(([name, value]) => `  ${name}: ${value};`)
  .join('\n');
