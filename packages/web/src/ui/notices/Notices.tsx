import { X } from 'lucide-react';
import { useDispatch, useSelector } from 'react-redux';
import { warn, type NoticesState } from './noticesSlice';

/** What has just happened: for a screen reader always, on the screen when it needs doing something. */
export function Notices() {
  const dispatch = useDispatch();
  const { announcement, warning } = useSelector((state: { readonly notices: NoticesState }) => state.notices);
  return (
    <>
      <div aria-live="polite" className="sr-only" data-testid="announcements">
        {announcement.words}
        {announcement.count % 2 === 1 ? '\u00a0' : ''}
      </div>
      {warning && (
        <div
          role="alert"
          className="fixed bottom-28 left-1/2 z-50 flex max-w-[560px] -translate-x-1/2 items-start gap-3 rounded-m bg-ink px-4 py-2.5 text-panel shadow-float"
        >
          <p>{warning}</p>
          <button
            type="button"
            aria-label="Close this message"
            className="mt-px rounded-s p-0.5"
            onClick={() => dispatch(warn(null))}
          >
            <X size={15} aria-hidden />
          </button>
        </div>
      )}
    </>
  );
}
