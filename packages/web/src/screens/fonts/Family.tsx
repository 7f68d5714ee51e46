import { familyCss, type FamilyName } from '@noria/core';
import { Button } from '../../ui/Button';
import { count } from '../../ui/words';
import type { LibraryFont } from '../../api/ownFonts';

interface FamilyProps {
  readonly name: FamilyName;
  /** What there is of it, where it ships. */
  readonly says?: string;
  readonly files?: readonly LibraryFont[];
  readonly onDelete?: (font: LibraryFont) => void;
}

const SAMPLE = 'Seven huts, stove lit, 2 710 metres up';

/** A family in its own letters, and its files where it was added. */
export function Family({ name, says, files = [], onDelete }: FamilyProps) {
  return (
    <section aria-label={name} className="grid gap-2 border-t border-hair py-3.5">
      <div className="grid grid-cols-[220px_minmax(0,1fr)_auto] items-baseline gap-4">
        <h3 className="truncate font-semibold">{name}</h3>
        <p aria-hidden className="truncate text-[24px] leading-tight" style={{ fontFamily: familyCss(name) }}>
          {SAMPLE}
        </p>
        {says && <span className="text-sm text-soft">{says}</span>}
      </div>
      {files.length > 0 && (
        <ul className="grid gap-2">
          {files.map((font) => (
            <li
              key={font.hash}
              className="grid grid-cols-[220px_minmax(0,1fr)_auto] items-center gap-4 text-sm text-soft"
            >
              <span className="truncate" title={font.name}>
                {font.name}
              </span>
              <span className="truncate">
                {weightWords(font)}, {Math.max(1, Math.round(font.byteSize / 1024))} kB,{' '}
                {font.uses === 0 ? 'not used' : `used in ${count(font.uses, 'collection').toLowerCase()}`}
              </span>
              <Button aria-label={`Delete ${font.name}`} onClick={() => onDelete?.(font)}>
                Delete
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** “400”, “100 to 900, italic, with width”. */
function weightWords({ facts: { weight, style, axes } }: LibraryFont): string {
  const [from, to] = weight;
  const weights = from === to ? String(from) : `${from} to ${to}`;
  const others = axes.length > 0 ? `, axes ${axes.map(({ tag }) => tag).join(', ')}` : '';
  return `${weights}${style === 'italic' ? ', italic' : ''}${others}`;
}
