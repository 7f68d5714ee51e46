import { WordsField } from './WordsField';

interface PictureTextProps {
  readonly name: string;
  readonly src: string;
  readonly value: string;
  readonly onType: (words: string) => void;
}

/** Characters that an alternative text has at most. */
const MOST = 2000;

/** A picture with its alternative text beside it, to write one after the other. */
export const PictureText = ({ name, src, value, onType }: PictureTextProps) => (
  <li className="grid grid-cols-[96px_minmax(0,1fr)] gap-3">
    <img src={src} alt="" loading="lazy" className="h-[72px] w-24 rounded-s bg-field object-cover" />
    <div className="grid content-start gap-1">
      <span className="truncate text-sm font-semibold">{name}</span>
      <WordsField
        name={`Alternative text of ${name}`}
        lines={3}
        hint="What it shows, for those who don’t see it"
        value={value}
        onType={(words) => onType(words.slice(0, MOST))}
      />
    </div>
  </li>
);
