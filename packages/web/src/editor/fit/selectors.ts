import { createSelector } from '@reduxjs/toolkit';
import { openFindings, type Finding } from '@noria/core';
import { selectWhole } from '../selectors';
import type { RootState } from '../state';

export const selectReport = ({ fit }: RootState) => fit.report;

const NONE: readonly Finding[] = [];

/** The report on the document as it is, while something is tried too. */
export const selectSettled = ({ fit }: RootState) => fit.settled;

/** Whether cells are empty because tiles are still to come: nobody asked yet, and the first row is not full. */
export const selectIsBegun = createSelector(
  [({ fit }: RootState) => fit.asked, selectWhole],
  (asked, { coverage, tiles }) =>
    !asked &&
    coverage.holes.some(({ row }) => row === 1) &&
    tiles.every(({ row, columnSpan }) => row === 1 || columnSpan === 0),
);

/** What is found in what is shown, the worst first: with what a gesture under way would make of it. */
export const selectFindings = createSelector([selectReport, selectIsBegun], (report, isBegun) => {
  const found = report ? openFindings(report) : NONE;
  return isBegun ? found.filter(({ kind }) => kind !== 'hole' && kind !== 'stray') : found;
});

/** What is found in the document as it is and not ignored: a list that stays while a fix is tried. */
export const selectSettledFindings = createSelector([selectSettled], (report) =>
  report ? openFindings(report) : NONE,
);

/** What was found and ignored. */
export const selectIgnored = createSelector([selectSettled], (report) =>
  report ? report.findings.filter(({ ignored }) => ignored) : NONE,
);
