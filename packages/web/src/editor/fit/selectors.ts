import { createSelector } from '@reduxjs/toolkit';
import { openFindings, type Finding } from '@noria/core';
import type { RootState } from '../state';

export const selectReport = ({ fit }: RootState) => fit.report;

const NONE: readonly Finding[] = [];

/** The report on the document as it is, while something is tried too. */
export const selectSettled = ({ fit }: RootState) => fit.settled;

/** What is found in what is shown, the worst first: with what a gesture under way would make of it. */
export const selectFindings = createSelector([selectReport], (report) =>
  report ? openFindings(report) : NONE,
);

/** What is found in the document as it is and not ignored: a list that stays while a fix is tried. */
export const selectSettledFindings = createSelector([selectSettled], (report) =>
  report ? openFindings(report) : NONE,
);

/** What was found and ignored. */
export const selectIgnored = createSelector([selectSettled], (report) =>
  report ? report.findings.filter(({ ignored }) => ignored) : NONE,
);
