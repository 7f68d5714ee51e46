import type { TileStart } from '@noria/core';
import type { ReactNode } from 'react';

/** What a tile begins as, in lines and areas: dark is said large, light is the rest. */
const DRAWN: Readonly<Record<TileStart, ReactNode>> = {
  text: (
    <>
      <path d="M4 10h15" strokeWidth="3" />
      <path d="M4 16h20M4 20h14" opacity="0.5" />
    </>
  ),
  picture: (
    <>
      <circle cx="9" cy="8" r="2.5" fill="currentColor" stroke="none" opacity="0.5" />
      <path d="m0 20 9-7 6 4 7-8 10 9v4a2 2 0 0 1-2 2H2a2 2 0 0 1-2-2z" fill="currentColor" stroke="none" />
    </>
  ),
  stat: (
    <>
      <path d="M5 15V6l-2 2M10 6h7l-4 9M21 6h5v9h-5z" strokeWidth="2.4" />
      <path d="M4 20h13" opacity="0.5" />
    </>
  ),
  quote: (
    <>
      <path d="M5 9V6h2M10 9V6h2" strokeWidth="2" />
      <path d="M5 13h21M5 16.5h15" strokeWidth="2" />
      <path d="M5 21h9" opacity="0.5" />
    </>
  ),
  icons: (
    <>
      <circle cx="7" cy="12" r="3.2" />
      <path d="m16 8.5 3.5 6.5h-7z" strokeLinejoin="round" />
      <rect x="22.5" y="9" width="6" height="6" rx="1" />
    </>
  ),
  action: (
    <>
      <rect x="4" y="7.5" width="24" height="9" rx="4.5" fill="currentColor" stroke="none" />
      <path d="M11 12h9m-3-2.5 3 2.5-3 2.5" stroke="var(--raised)" strokeWidth="1.5" />
    </>
  ),
  film: (
    <>
      <rect x="2.5" y="3.5" width="27" height="17" rx="2" opacity="0.5" />
      <path d="m13 8 7.5 4-7.5 4z" fill="currentColor" stroke="none" />
    </>
  ),
  group: (
    <>
      <rect x="3" y="4" width="12" height="7" rx="1" fill="currentColor" stroke="none" />
      <rect x="17" y="4" width="12" height="16" rx="1" fill="currentColor" stroke="none" opacity="0.5" />
      <rect x="3" y="13" width="12" height="7" rx="1" fill="currentColor" stroke="none" opacity="0.5" />
    </>
  ),
};

/** A small picture of what a tile can begin as. */
export const StartPicture = ({ what }: { what: TileStart }) => (
  <svg
    aria-hidden
    width="32"
    height="24"
    viewBox="0 0 32 24"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.5"
    strokeLinecap="round"
    className="flex-none rounded-[3px] bg-field text-soft"
  >
    {DRAWN[what]}
  </svg>
);
