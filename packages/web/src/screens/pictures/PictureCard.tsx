import { addressFor, type LibraryPicture } from '../../api/pictures';

interface PictureCardProps {
  readonly picture: LibraryPicture;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

export const sizeOf = (bytes: number) =>
  bytes >= 1024 * 1024
    ? `${(bytes / 1024 / 1024).toFixed(1)} MB`
    : `${Math.max(1, Math.round(bytes / 1024))} kB`;

export function PictureCard({ picture, chosen, onChoose }: PictureCardProps) {
  const { name, inlineSize, blockSize, uses, colours, alternativeText } = picture;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className="group grid w-full gap-1.5 text-left"
      onClick={onChoose}
    >
      <span
        className={`block aspect-[4/3] overflow-hidden rounded-m ${chosen ? 'outline-3 outline-offset-2 outline-copper' : 'shadow-[0_0_0_1px_var(--hair)] group-hover:shadow-[0_0_0_2px_var(--copper)]'}`}
        style={{ background: colours[0] }}
      >
        <img
          src={addressFor(picture, 400)}
          alt={alternativeText}
          loading="lazy"
          className="size-full object-contain"
        />
      </span>
      <span className="truncate font-semibold">{name}</span>
      <span className="flex items-center justify-between gap-2 text-sm text-soft">
        <span className="figures text-faint">
          {inlineSize} × {blockSize}
        </span>
        <span>{uses === 0 ? 'unused' : uses === 1 ? 'one tile' : `${uses} tiles`}</span>
      </span>
      {alternativeText.trim() === '' && <span className="text-sm text-amiss">No alternative text</span>}
    </button>
  );
}
