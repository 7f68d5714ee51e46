import { expect, test } from '@jest/globals';
import { cardWith } from '../testing/held.js';
import { largeTimes } from './headings.js';
import { contentCss } from './contentCss.js';
import { emptyDocument } from '../edit/emptyDocument.js';

test('large type is as large as headings, but for a figure without one', () => {
  const stat = cardWith('stat', 't', { figure: '7' });
  const text = cardWith('text', 't', { heading: 'Huts' });
  expect(largeTimes(text)).toBe(1);
  expect(largeTimes(cardWith('quote', 't', { quote: 'Snow' }))).toBe(1);
  expect(largeTimes({ ...text, parts: [...text.parts, ...stat.parts] })).toBe(1);
  // As large as the style sheet makes it.
  const document = emptyDocument('Huts');
  const look = { ...document.look, headingSize: 20 };
  const [, size] =
    /:is\(\.stat, [^)]*\) > strong \{[^}]*font-size: ([\d.]+)px/.exec(
      contentCss({ look }, { apart: false, line: false }),
    ) ?? [];
  expect(largeTimes(stat) * 20).toBeCloseTo(Number(size));
});
