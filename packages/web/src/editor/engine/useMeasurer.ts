import type { TextMeasurer } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectFontsCame } from './fontsSlice';
import { measurer } from './measurer';

/** The measurer as it is now: another one as soon as more fonts are there. */
export function useMeasurer(): TextMeasurer {
  useAppSelector(selectFontsCame);
  return measurer();
}
