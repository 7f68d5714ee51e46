import { Mark } from './Mark';

/** What is there until a view is. */
export const Opening = () => (
  <main className="grid h-full place-content-center justify-items-center gap-3 p-8">
    <Mark size={40} />
    <p className="text-soft">Opening…</p>
  </main>
);
