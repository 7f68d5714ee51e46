import { expect, test } from '@jest/globals';
import { withViewBox } from './withViewBox.js';

const NS = 'xmlns="http://www.w3.org/2000/svg"';

test.each([
  [
    `<svg ${NS} width="40" height="20"><g/></svg>`,
    `<svg viewBox="0 0 40 20" ${NS} width="40" height="20"><g/></svg>`,
  ],
  [
    `<svg ${NS} height=" 2.5px" width="4px"/>`,
    `<svg viewBox="0 0 4 2.5" ${NS} height=" 2.5px" width="4px"/>`,
  ],
])('a drawing that says how large it is shows all of that: %s', (svg, seen) => {
  expect(withViewBox(svg)).toBe(seen);
});

test.each([
  `<svg ${NS} viewBox="0 0 1 1" width="40" height="20"/>`,
  `<svg ${NS} width="40mm" height="20mm"/>`,
  `<svg ${NS} width="100%" height="20"/>`,
  `<svg ${NS} stroke-width="3" height="20"/>`,
  'no drawing',
])('others stay as they are: %s', (svg) => {
  expect(withViewBox(svg)).toBe(svg);
});
