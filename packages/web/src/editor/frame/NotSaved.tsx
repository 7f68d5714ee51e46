import { useState } from 'react';

/** That changes are not saved; why, when it is pressed. It needs nothing of a server that is away. */
export function NotSaved({ why }: { readonly why: string }) {
  const [open, setOpen] = useState(false);
  return (
    <span className="relative">
      <button
        type="button"
        aria-label="Not saved why"
        aria-expanded={open}
        className="flex items-center gap-1.5 rounded-s font-semibold text-amiss"
        onClick={() => setOpen(!open)}
        onBlur={() => setOpen(false)}
        onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
      >
        <span role="status" aria-label="Saving state">
          Not saved
        </span>
        <span className="font-normal underline">why</span>
      </button>
      {open && (
        <span className="absolute top-full right-0 z-[150] mt-2 w-[320px] rounded-m bg-raised p-3 text-ink shadow-float">
          {why}
        </span>
      )}
    </span>
  );
}
