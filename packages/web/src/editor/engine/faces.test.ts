/** @jest-environment jsdom */
import '../../testing/browser';
import { expect, jest, test } from '@jest/globals';
import { emptyDocument, type CollectionDocument } from '@noria/core';
import { faceName, facesOf, plainFaces } from './faces';
import { loadFaces, measurer } from './measurer';

const document_: CollectionDocument = {
  ...emptyDocument('Letters'),
  look: { ...emptyDocument('Letters').look, headingFamily: 'Fjell', bodyFamily: 'System serif' },
  families: {
    Fjell: {
      name: 'Fjell',
      faces: [
        {
          hash: 'a'.repeat(64),
          file: 'fjell.ttf',
          mediaType: 'font/ttf',
          style: 'italic',
          weight: [300, 700],
          axes: [],
          features: [],
        },
      ],
    },
  },
};

test('a family with settings has a face of its own, whose name is another', () => {
  expect(faceName('Fjell', { features: 'normal', axes: 'normal' })).toBe('Fjell');
  const names = [
    faceName('Fjell', { features: '"tnum"', axes: 'normal' }),
    faceName('Fjell', { features: '"tnum", "zero"', axes: 'normal' }),
    faceName('Fjell', { features: 'normal', axes: '"wdth" 80' }),
  ];
  expect(new Set(names).size).toBe(3);
  expect(names.every((name) => /^Fjell [A-Za-z0-9_.-]+( |$)/.test(name) || name.startsWith('Fjell '))).toBe(
    true,
  );
});

test('files that were added come from the library, what the device has from nowhere', () => {
  const faces = facesOf(document_);
  expect(faces).toEqual([
    {
      family: 'Fjell',
      address: expect.stringMatching(/\/fonts\/a{64}$/),
      descriptors: { style: 'italic', weight: '300 700', display: 'swap' },
    },
  ]);
  const shipped = plainFaces({}, ['Newsreader']);
  expect(shipped.map(({ address }) => address)).toContain('/fonts/newsreader-latin-opsz-italic.woff2');
});

test('each face is asked for once, and the measurer is another one when it is there', async () => {
  const asked: string[] = [];
  class Face {
    constructor(
      readonly family: string,
      readonly source: string,
    ) {
      asked.push(source);
    }
    load = () => Promise.resolve(this);
  }
  Object.assign(globalThis, { FontFace: Face });
  Object.assign(globalThis, {
    OffscreenCanvas: class {
      getContext = () => ({});
    },
  });
  const fonts = { add: jest.fn() } as unknown as FontFaceSet;
  const before = measurer();
  expect(await loadFaces(fonts, facesOf(document_))).toBe(true);
  expect(measurer()).not.toBe(before);
  const after = measurer();
  expect(await loadFaces(fonts, facesOf(document_))).toBe(false);
  expect(measurer()).toBe(after);
  expect(asked).toHaveLength(1);
});
