import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { followsPage, formatTrackSize, trackAt, trackCss } from './trackSize.js';
import {
  asksForShare,
  formatLength,
  lengthAt,
  lengthCss,
  multipleCss,
  typedLength,
  withShares,
} from './writtenLength.js';

describe('a length as it is written', () => {
  test.each([
    [24, 1000, 24],
    ['24px', 1000, 24],
    ['1.5rem', 1000, 24],
    ['2cqi', 1000, 20],
    ['2vw', 1000, 20],
    ['10%', 1000, 100],
    ['clamp(8px, 2cqi, 24px)', 300, 8],
    ['clamp(8px, 2cqi, 24px)', 1000, 20],
    ['clamp(8px, 2cqi, 24px)', 2000, 24],
    ['calc(100% - 2 * 1rem)', 1000, 968],
    ['min(1100px, 90%)', 1000, 900],
    ['calc(1cqi - 100px)', 1000, 0],
  ])('%j on a page of %d px is %d px', (length, page, px) => {
    expect(lengthAt(length, page)).toBeCloseTo(px);
  });

  test('a share is of its basis, where that is another than the page', () => {
    expect(lengthAt('calc(50% + 1cqi)', 1000, 200)).toBeCloseTo(110);
    expect([asksForShare('5%'), asksForShare('min(5%, 9px)'), asksForShare('5cqi'), asksForShare(5)]).toEqual(
      [true, true, false, false],
    );
  });

  test.each(['2em', '10vh', '3svw', '1ch', 'auto', '', '12', 'url(x)', 'var(--a)', '1px 2px'])(
    '%j is none',
    (text) => {
      expect(formatLength(text)).toBeNull();
      expect(lengthAt(text, 1000)).toBe(0);
    },
  );

  test('one of very many characters is not read', () => {
    expect(formatLength(`calc(${'1px + '.repeat(300)}1px)`)).toBeNull();
  });

  test('is typed as a sum, with or without calc()', () => {
    expect([
      typedLength('1rem + 4px'),
      typedLength('100% / 32'),
      typedLength('2cqi'),
      typedLength('1200 / 3'),
    ]).toEqual(['calc(1rem + 4px)', 'calc(100% / 32)', '2cqi', null]);
  });

  test('has one spelling, and is written for the page by its own width', () => {
    expect(formatLength('CLAMP( 8PX,2vw , 24px )')).toBe('clamp(8px, 2vw, 24px)');
    expect(lengthCss('clamp(8px,2vw,24px)')).toBe('clamp(8px, 2cqi, 24px)');
    expect([
      lengthCss(8),
      lengthCss('} body { color: red'),
      multipleCss(3, '2vw'),
      multipleCss(3, 8),
    ]).toEqual(['8px', '0', 'calc(3 * 2cqi)', '24px']);
  });

  test('in a calculation it is never less than nothing, and its shares are of what is said', () => {
    expect(multipleCss(2, 'calc(1% - 1px)')).toBe('calc(2 * max(0px, calc(1% - 1px)))');
    expect(withShares('min(2%, 1rem)', '(100cqi - 8px)')).toBe('min(calc(2 * (100cqi - 8px) / 100), 1rem)');
    expect([withShares('2cqi', '100cqi'), withShares(4, '100cqi')]).toEqual(['2cqi', 4]);
  });

  test('between its bounds it is a straight line of the page', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.integer({ min: 240, max: 2560 }),
        (share, px, page) => {
          const text = `calc(${share.toFixed(3)}cqi + ${px.toFixed(3)}px)`;
          expect(lengthAt(text, page)).toBeCloseTo(
            (Number(share.toFixed(3)) * page) / 100 + Number(px.toFixed(3)),
          );
        },
      ),
    );
  });
});

describe('a track that follows the page', () => {
  test('is in px at a width, the rest of it as it was', () => {
    expect(trackAt('minmax(10cqi, 1fr)', 800)).toBe('minmax(80px, 1fr)');
    expect(trackAt('clamp(4rem, 12.5VW, 20%)', 400)).toBe('clamp(4rem, 50px, 20%)');
    expect(trackAt('1fr', 400)).toBe('1fr');
    expect([followsPage('12vw'), followsPage('12px'), followsPage('minmax(1px, 2cqi)')]).toEqual([
      true,
      false,
      true,
    ]);
  });

  test('is read, and bounded at the widest page', () => {
    expect(formatTrackSize('20cqi')).toBe('20cqi');
    expect(trackCss('20vw')).toBe('20cqi');
    expect([formatTrackSize('101cqi'), formatTrackSize('20vh'), formatTrackSize('3dvw')]).toEqual([
      null,
      null,
      null,
    ]);
  });
});
