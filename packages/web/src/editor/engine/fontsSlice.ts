import { createSlice } from '@reduxjs/toolkit';

/** How often fonts came that words are measured in: what is laid out with the measurer goes by it. */
export const fontsSlice = createSlice({
  name: 'fonts',
  initialState: 0,
  reducers: { fontsCame: (times) => times + 1 },
});

export const { fontsCame } = fontsSlice.actions;
export const selectFontsCame = ({ fonts }: { readonly fonts: number }): number => fonts;
