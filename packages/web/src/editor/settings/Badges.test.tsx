/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { Section } from '../../ui/Rows';
import { useAppSelector } from '../hooks';
import { Badges } from './Badges';

afterEach(cleanup);

function Shown() {
  const tile = useAppSelector((state) => state.document.document?.tiles.t1);
  return tile ? <Badges tile={tile} /> : null;
}

test('a badge that is added takes what is typed next as its words', () => {
  const { store, document: made } = composeStore(stats([[1, 1]]));
  render(
    <Provider store={store}>
      <Section title="Content">
        <Shown />
      </Section>
    </Provider>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Add badge' }));
  const field = screen.getByLabelText<HTMLInputElement>('Words of badge 1');
  expect(document.activeElement).toBe(field);
  expect(field.value.slice(field.selectionStart ?? 0, field.selectionEnd ?? 0)).toBe('New');
  fireEvent.click(screen.getByRole('button', { name: 'Add badge' }));
  expect(document.activeElement).toBe(screen.getByLabelText('Words of badge 2'));
  expect(made().tiles.t1?.badges).toHaveLength(2);
});
