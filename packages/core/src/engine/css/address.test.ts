import { expect, test } from '@jest/globals';
import { isAddress, typedAddress } from './address.js';

test.each([
  [' https://huts.example/four ', 'https://huts.example/four'],
  ['www.huts.example', 'https://www.huts.example'],
  ['WWW.huts.example/four?night=2#beds', 'https://WWW.huts.example/four?night=2#beds'],
  ['warden@huts.example', 'mailto:warden@huts.example'],
  ['mailto:warden@huts.example', 'mailto:warden@huts.example'],
  ['#beds', '#beds'],
  ['four/beds.html', 'four/beds.html'],
  ['www.html', 'www.html'],
  ['', ''],
])('%j leads to %j', (typed, address) => {
  expect(typedAddress(typed)).toEqual({ address });
  expect(isAddress(address)).toBe(true);
});

test.each([
  ['javascript:alert(1)', '“javascript:” may open a program or run something.'],
  ['huts\u0007four', 'There is a character in it that nobody can see.'],
  ['x'.repeat(2001), 'An address has at most 2000 characters; this one has 2001.'],
])('%j is refused, and why', (typed, why) => {
  expect(typedAddress(typed).trouble).toContain(why);
});
