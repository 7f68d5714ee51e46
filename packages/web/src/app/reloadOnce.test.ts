/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { isUpdated } from './reloadOnce';

const page = (script: string) =>
  `<!doctype html><head><script type="module" crossorigin src="${script}"></script></head>`;

test('a page that begins with another script was updated; one that begins with the same was not', () => {
  document.head.innerHTML = '<script type="module" src="/assets/index-old.js"></script>';
  expect(isUpdated(page('/assets/index-new.js'))).toBe(true);
  expect(isUpdated(page('/assets/index-old.js'))).toBe(false);
  document.head.innerHTML = '';
  expect(isUpdated(page('/assets/index-new.js'))).toBe(false);
});
