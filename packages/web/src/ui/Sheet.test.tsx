/** @jest-environment jsdom */
import '../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { Sheet } from './Sheet';

afterEach(cleanup);

/** A sheet that is opened from a field, by a key; the field goes while it is open where asked. */
function Around({ goes = false }: { readonly goes?: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button data-home="stage">Stage</button>
      {!(goes && open) && <input aria-label="Gap" onKeyDown={() => setOpen(true)} />}
      <Sheet title="Areas" open={open} onClose={() => setOpen(false)} className="">
        <p>What is in it</p>
      </Sheet>
    </>
  );
}

function openAndClose() {
  screen.getByLabelText('Gap').focus();
  fireEvent.keyDown(screen.getByLabelText('Gap'), { key: 'k' });
  expect(screen.getByRole('dialog').contains(document.activeElement)).toBe(true);
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
}

test('the focus goes back to where it came from', async () => {
  render(<Around />);
  openAndClose();
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Gap')));
});

test('the focus goes to what is worked on where that is gone', async () => {
  render(<Around goes />);
  openAndClose();
  // The field is there again, but it is another one.
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText('Stage')));
});
