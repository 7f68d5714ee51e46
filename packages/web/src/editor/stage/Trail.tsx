import { nameIn } from '@noria/core';
import { Fragment } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShown } from '../document/selectors';
import { entered } from '../editorSlice';
import { selectTrail } from '../selectors';

/** Where one is: the collection, and the groups that were entered. */
export function Trail() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const trail = useAppSelector(selectTrail);
  if (trail.length === 0) return null;
  const steps = [
    { id: null, name: document.name },
    ...trail.map((id) => ({ id, name: nameIn(document, id) })),
  ];
  return (
    <nav
      aria-label="Groups around"
      className="sticky top-[38px] left-0 z-[134] flex h-8 w-full items-center gap-1.5 border-b border-hair bg-panel px-4"
    >
      {steps.map((step, k) => (
        <Fragment key={step.id ?? ''}>
          {k > 0 && (
            <span className="text-faint" aria-hidden>
              /
            </span>
          )}
          {k === steps.length - 1 ? (
            <b aria-current="location" className="font-semibold">
              {step.name}
            </b>
          ) : (
            <button
              type="button"
              className="rounded-s px-1 text-soft hover:text-ink"
              onClick={() => dispatch(entered(step.id))}
            >
              {step.name}
            </button>
          )}
        </Fragment>
      ))}
      <span className="ml-auto text-sm text-faint">Escape leads out</span>
    </nav>
  );
}
