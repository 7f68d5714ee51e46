import { formatTrackSize } from '@noria/core';
import { useState } from 'react';

interface TrackFieldProps {
  readonly name: string;
  readonly value: string;
  readonly onSet: (size: string) => void;
}

/** A track size as CSS writes it. */
export function TrackField({ name, value, onSet }: TrackFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const read =
    typed === null
      ? value
      : formatTrackSize(/^\d+(\.\d+)?$/.test(typed.trim()) ? `${typed.trim()}px` : typed);
  const amiss = typed !== null && typed.trim() !== '' && read === null;
  const settle = () => {
    setTyped(null);
    if (read !== null && read !== value) onSet(read);
  };
  return (
    <input
      aria-label={name}
      aria-invalid={amiss}
      title={
        amiss
          ? 'Write a size like 72px, 1fr, auto or minmax(200px, 1fr)'
          : 'Size of every row after those: 160px, auto, 1fr …'
      }
      className={`figures h-[26px] w-full min-w-0 rounded-s bg-field px-2 ${amiss ? 'outline-2 outline-amiss' : ''}`}
      value={typed ?? value}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
