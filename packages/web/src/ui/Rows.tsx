import { createContext, use, useId, useMemo, type ReactNode } from 'react';

const EVERYWHERE = 'This can’t be set for one band: it holds at all widths.';

interface SectionProps {
  readonly title: string;
  /** Whether all of it holds at all widths although this band is what is set otherwise. */
  readonly atAllWidths?: boolean;
  readonly children: ReactNode;
}

/** A part of the settings by its name, with its rows. */
export function Section({ title, atAllWidths = false, children }: SectionProps) {
  return (
    <section className="relative grid gap-0.5">
      <h3 className="mb-1.5 flex items-center gap-2 text-sm font-semibold after:h-px after:flex-1 after:bg-hair">
        {title}
      </h3>
      {atAllWidths && (
        <span
          className="absolute top-0 right-0 bg-panel pl-2 text-xs leading-5 text-faint"
          title={EVERYWHERE}
        >
          all widths
        </span>
      )}
      {children}
    </section>
  );
}

/** Sections below one another; where there is room, in two columns. */
export const Columns = ({ children }: { children: ReactNode }) => (
  <div className="grid gap-x-8 gap-y-[15px] min-[1760px]:grid-cols-2">{children}</div>
);

/** Sections that stay below one another. */
export const Column = ({ children }: { children: ReactNode }) => (
  <div className="grid min-w-0 content-start gap-[15px]">{children}</div>
);

/** Whether what rows set holds at all widths although this band is what is set otherwise. */
const Everywhere = createContext(false);

/** Rows whose values hold at all widths, and say so where one might think of this band alone. */
export const AtAllWidths = ({ when, children }: { when: boolean; children: ReactNode }) => (
  <Everywhere value={when}>{children}</Everywhere>
);

/** The label of the row that a control stands in. */
const RowLabel = createContext<{ readonly control: string; readonly label: string } | null>(null);

/**
 * What a control is called: by a name of its own, or by the label of its row, which leads to it when it
 * is pressed. At most one control of a row has no name of its own.
 */
export function useName(name: string | undefined): {
  readonly id?: string;
  readonly 'aria-label'?: string;
  readonly 'aria-labelledby'?: string;
} {
  const row = use(RowLabel);
  if (name !== undefined) return { 'aria-label': name };
  return row ? { id: row.control, 'aria-labelledby': row.label } : {};
}

/** What stands beside the label of one row, which is found by that. */
export const RowTools = createContext<{ readonly label: string; readonly tools: ReactNode } | null>(null);

export interface RowProps {
  readonly label: string;
  /** What it does, where the label alone does not tell. */
  readonly help?: string;
  /** This band sets the value itself; pressing the drop inherits it again. */
  readonly setHere?: boolean;
  /** What pressing the drop does, where it is something else. */
  readonly reset?: string;
  readonly onInherit?: () => void;
  readonly children: ReactNode;
}

export function Row({ label, help, setHere = false, reset, onInherit, children }: RowProps) {
  const id = useId();
  const isEverywhere = use(Everywhere);
  const beside = use(RowTools);
  const named = useMemo(() => ({ control: `${id}control`, label: `${id}label` }), [id]);
  return (
    <div className="relative grid min-h-7 grid-cols-[84px_minmax(0,1fr)] items-center gap-2">
      {setHere && (
        <button
          type="button"
          aria-label={`${label}: ${reset ? 'reset' : 'inherit from the wider band again'}`}
          title={reset ?? 'Set in this band. Press to inherit it from the wider band again.'}
          className="drop absolute top-1/2 -left-4 -translate-y-1/2 py-1 pr-2 pl-1.5"
          onClick={onInherit}
        />
      )}
      {label === '' ? (
        <span />
      ) : (
        <span className="min-w-0 leading-tight">
          <label
            id={named.label}
            htmlFor={named.control}
            title={help}
            className="text-sm text-soft"
            // A group of words is no field that a label leads to by itself.
            onClick={() => document.getElementById(named.control)?.focus()}
          >
            {label}
          </label>
          {isEverywhere && (
            <span className="block text-[10px] whitespace-nowrap text-faint" title={EVERYWHERE}>
              all widths
            </span>
          )}
        </span>
      )}
      {beside?.label === label && (
        <span className="absolute top-1/2 left-[62px] -translate-y-1/2">{beside.tools}</span>
      )}
      <RowLabel value={label === '' ? null : named}>{children}</RowLabel>
    </div>
  );
}
