import { describe, expect, test } from '@jest/globals';
import { changedAs } from './changedAs.js';
import { sample } from '../../testing/sample.js';
import type { Fill, Gradient, PictureFill, TileLook } from '../../document/types.js';

const LOOK = Object.values(sample([[1, 1]]).tiles)[0]?.look as TileLook;
const MIDDLE = { x: 0.5, y: 0.5 };
const DARK = { colour: '#0b1714', opacity: 0.5 };
const of = (fill: Fill): TileLook => ({ ...LOOK, fill });
const lake: PictureFill = { kind: 'picture', picture: 'lake', focalPoint: MIDDLE, tint: DARK };
const path: PictureFill = { ...lake, picture: 'path', zoom: 2, tint: { ...DARK, opacity: 0.2 } };
const film: Fill = { kind: 'film', film: 'snow', poster: null, focalPoint: MIDDLE, tint: DARK };
const red = { colour: '#ff0000', opacity: 0.5 };
const linear = (angle: number, ...colours: string[]): Gradient => ({
  kind: 'linear',
  angle,
  stops: colours.map((colour, k) => ({ colour, at: k })),
});

describe('a value that is set for several looks', () => {
  test.each<[string, own: Fill, before: Fill, after: Fill, expected: Fill]>([
    [
      'a tint leaves each its picture',
      path,
      lake,
      { ...lake, tint: red },
      { ...path, tint: { colour: '#ff0000', opacity: 0.2 } },
    ],
    ['a tint is a film’s too', film, lake, { ...lake, tint: red }, { ...film, tint: red }],
    ['a picture is shown by all', path, lake, { ...lake, picture: 'hut' }, { ...path, picture: 'hut' }],
    [
      'a picture takes the place of a film',
      film,
      lake,
      { ...lake, picture: 'hut' },
      { ...lake, picture: 'hut' },
    ],
    [
      'what is taken away goes',
      path,
      { ...lake, zoom: 3 },
      lake,
      { kind: 'picture', picture: 'path', focalPoint: MIDDLE, tint: path.tint },
    ],
    [
      'an angle leaves each its colours',
      linear(10, '#111111', '#222222'),
      linear(20, '#333333', '#444444'),
      linear(90, '#333333', '#444444'),
      linear(90, '#111111', '#222222'),
    ],
    ['another kind is taken as a whole', lake, linear(20, '#333333', '#444444'), '#123456', '#123456'],
    ['and by what is of another kind', '#654321', lake, { ...lake, tint: red }, { ...lake, tint: red }],
    [
      'a gradient as a tint too',
      path,
      lake,
      { ...lake, tint: linear(0, '#111111', '#222222') },
      { ...path, tint: linear(0, '#111111', '#222222') },
    ],
  ])('%s', (_, own, before, after, expected) => {
    expect(changedAs(of(own), of(before), { fill: after }).fill).toEqual(expected);
    // On the one that it is set on it is what it is.
    expect(changedAs(of(before), of(before), { fill: after }).fill).toEqual(after);
  });

  test('is taken away from all', () => {
    const border = { width: 2, paint: '#111111' };
    expect(changedAs({ ...LOOK, border }, { ...LOOK, border }, { border: undefined })).toEqual({
      border: undefined,
    });
    expect(
      changedAs(
        { ...LOOK, border: { ...border, paint: '#222222' } },
        { ...LOOK, border },
        { border: { ...border, width: 4 } },
      ),
    ).toEqual({ border: { width: 4, paint: '#222222' } });
  });
});
