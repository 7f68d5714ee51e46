/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { emptyDocument, STARTERS, starterAssets } from '@noria/core';
import { cleanup, render } from '@testing-library/react';
import { Provider } from 'react-redux';
import { makeStore } from '../../app/store';
import { RecipePreview } from './RecipePreview';

afterEach(cleanup);

/** Letters of 8 px: how words break is not asked here. */
Object.assign(globalThis, {
  OffscreenCanvas: class {
    getContext() {
      return {
        measureText: (words: string) => ({
          width: words.length * 8,
          fontBoundingBoxAscent: 11,
          fontBoundingBoxDescent: 3,
        }),
      };
    }
  },
});

test('a recipe of another collection lies on the background of this one, by its named colours', () => {
  const document = emptyDocument('Here');
  const [recipe] = STARTERS;
  if (!recipe) throw new Error('There are starters.');
  const { container } = render(
    <Provider store={makeStore()}>
      <RecipePreview
        recipe={recipe}
        variant={null}
        assets={{ ...starterAssets, namedLooks: {} }}
        around={{
          look: { ...document.look, background: '{chalk}' },
          namedLooks: { chalk: { id: 'chalk', name: 'Chalk', kind: 'colour', value: '#f1eadd' } },
        }}
        samples={[]}
        width={200}
        height={100}
      />
    </Provider>,
  );
  const page = container.querySelector<HTMLElement>('[data-stage-page]');
  expect(page?.style.background).toBe('rgb(241, 234, 221)');
});
