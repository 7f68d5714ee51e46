import { expect, test } from '@jest/globals';
import { formatLength } from '../../engine/css/writtenLength.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { columnGapOf, linearCss } from './css.js';

const { arrangement } = emptyDocument('Huts');
const sides = (inline: number) => ({ blockStart: 8, inlineEnd: inline, blockEnd: 8, inlineStart: 8 });

test.each([0, 12])(
  'a gap that is a share is said by what is inside the padding, of %i px at one side',
  (side) => {
    const gap = columnGapOf({
      ...arrangement,
      columnGap: 'calc(2% - 1px)',
      maxInlineSize: '90%',
      padding: sides(side),
    });
    // A calculation takes no zero without a unit beside lengths (CSS Values 4, section 10.8).
    expect(gap).toBe(`calc(calc(2 * (min(100cqi, calc(90 * 100cqi / 100)) - 8px - ${side}px) / 100) - 1px)`);
    expect(formatLength(String(gap))).not.toBeNull();
    expect(linearCss(1, 40, [[2, gap]])).toContain('cqi');
  },
);
