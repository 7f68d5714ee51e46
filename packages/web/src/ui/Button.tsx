import type { ComponentProps } from 'react';

const LOOKS = {
  quiet: 'border-hair text-soft hover:border-faint hover:text-ink',
  copper: 'border-copper text-copper-ink hover:bg-copper-wash',
  solid: 'border-ink bg-ink text-panel hover:opacity-90',
} as const;

export function Button({
  look = 'quiet',
  className = '',
  ...rest
}: ComponentProps<'button'> & { look?: keyof typeof LOOKS }) {
  return (
    <button
      type="button"
      className={`inline-flex h-7 items-center gap-1.5 rounded-s border px-2.5 text-sm font-semibold whitespace-nowrap disabled:opacity-40 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}

interface SignButtonProps extends ComponentProps<'button'> {
  readonly name: string;
  /** The keys that do the same, as they are written on screen. */
  readonly keys?: string | null;
}

/** A button that is only a sign; its name is said, and shown on pointing. */
export function SignButton({ name, keys = null, className = '', ...rest }: SignButtonProps) {
  return (
    <button
      type="button"
      aria-label={name}
      title={keys === null ? name : `${name} (${keys})`}
      className={`grid size-7 place-items-center rounded-s text-soft hover:bg-field hover:text-ink disabled:opacity-35 disabled:hover:bg-transparent ${className}`}
      {...rest}
    />
  );
}
