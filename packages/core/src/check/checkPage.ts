import { LIMITS } from '../document/limits.js';
import { fields, oneOf, record, shown, text } from '../document/checks.js';
import { isPageAddress, LANDMARKS } from '../document/page.js';
import { id } from '../look/checks.js';
import type { Check } from '../document/checks.js';

const address: Check = (value, path, report) => {
  text(2000, 'An address')(value, path, report);
  if (typeof value !== 'string' || isPageAddress(value)) return;
  report({
    path,
    severity: 'error',
    message: `A page stands at an address such as “https://example.org/huts”; here it is ${shown(value)}.`,
  });
};

/** What a page says of itself. */
export const page: Check = fields(
  {
    title: text(LIMITS.name, 'A title', 1),
    description: text(LIMITS.words, 'A description', 1),
    address,
    picture: id,
    icon: id,
    heading: oneOf(['none'], 'The main heading'),
    landmarks: record(() => oneOf(LANDMARKS, 'A landmark'), LIMITS.tiles, 'The landmarks'),
  },
  'The page’s own data',
  ['title', 'description', 'address', 'picture', 'icon', 'heading', 'landmarks'],
);
