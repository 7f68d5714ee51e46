/** @jest-environment jsdom */
import '../../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { RichTextField } from './RichTextField';

afterEach(cleanup);

test('keeps spaces by its own classes, not by a style sheet that goes with the editor before it', () => {
  const field = (name: string) => <RichTextField key={name} name={name} value="" onType={() => undefined} />;
  const { rerender } = render(field('First'));
  rerender(field('Second'));
  expect(screen.getByRole('textbox', { name: 'Second' }).className).toContain('whitespace-break-spaces');
  expect(document.querySelector('style[data-tiptap-style]')).toBeNull();
});
