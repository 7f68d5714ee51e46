import { formatTrackSize } from '@noria/core';

/** A track size as CSS writes it; a plain number is px. Null: it is none. */
export const readTrackSize = (text: string): string | null =>
  formatTrackSize(/^\d+(\.\d+)?$/.test(text.trim()) ? `${text.trim()}px` : text);

/** Why a text is no track size, and what is; null: it is one. */
export const trackSizeProblem = (text: string): string | null =>
  readTrackSize(text) === null ? 'Write a size like 72px, 1fr, auto or minmax(200px, 1fr).' : null;
