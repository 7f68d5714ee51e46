import { familyCss } from '../families.js';
import type { CollectionLook } from '../../document/types.js';

/** Declarations of large type, in the family of headings. */
export const largeCss = (
  look: CollectionLook,
  {
    weight,
    size,
    lineHeight,
    letterSpacing,
  }: {
    readonly weight: number;
    readonly size: string;
    readonly lineHeight: number;
    readonly letterSpacing: number;
  },
): string => `  font-family: ${familyCss(look.headingFamily)};
  font-size: ${size};
  font-weight: ${weight};
  line-height: ${lineHeight};
  letter-spacing: ${letterSpacing}em;`;
