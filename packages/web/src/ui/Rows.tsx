import type { ReactNode } from 'react';

/** A part of the settings by its name, with its rows. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="grid gap-0.5">
      <h3 className="mb-1.5 flex items-center gap-2 text-sm font-semibold after:h-px after:flex-1 after:bg-hair">
        {title}
      </h3>
      {children}
    </section>
  );
}

interface RowProps {
  readonly label: string;
  /** This band sets the value itself; pressing the drop carries it again. */
  readonly setHere?: boolean;
  readonly onCarry?: () => void;
  readonly children: ReactNode;
}

export function Row({ label, setHere = false, onCarry, children }: RowProps) {
  return (
    <div className="relative grid min-h-7 grid-cols-[84px_minmax(0,1fr)] items-center gap-2">
      {setHere && (
        <button
          type="button"
          aria-label={`${label} is set in this band. Carry it from the wider band again.`}
          title="Set in this band. Press to carry it from the wider band again."
          className="drop absolute top-1/2 -left-4 -translate-y-1/2 py-1 pr-2 pl-1.5"
          onClick={onCarry}
        />
      )}
      <span className="text-sm text-soft">{label}</span>
      {children}
    </div>
  );
}
