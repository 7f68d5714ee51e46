import { useEffect } from 'react';
import { Button } from '../ui/Button';
import { Mark } from '../ui/Mark';

const AGAIN_MS = 2000;

/** Shown where the address names no workspace and the server can’t say which there are. */
export function Unreachable({ why, onAgain }: { why: unknown; onAgain: () => void }) {
  useEffect(() => {
    const timer = window.setTimeout(onAgain, AGAIN_MS);
    return () => window.clearTimeout(timer);
  });
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 p-8 text-center">
      <Mark size={40} />
      <h1 className="font-title text-lg font-semibold">Noria can’t be opened</h1>
      <p role="alert" className="max-w-[46ch] text-soft">
        {why instanceof Error ? why.message : String(why)} Trying again…
      </p>
      <Button look="solid" onClick={onAgain}>
        Try again now
      </Button>
    </main>
  );
}
