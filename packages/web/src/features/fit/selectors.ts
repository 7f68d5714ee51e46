import { createSelector } from '@reduxjs/toolkit';
import { openFindings, type Finding } from '@noria/core';
import type { RootState } from '../../store/store';

export const selectReport = ({ fit }: RootState) => fit.report;

const NONE: readonly Finding[] = [];

/** What was found and not accepted, the worst first. */
export const selectFindings = createSelector([selectReport], (report) =>
  report ? openFindings(report) : NONE,
);

/** What was found and accepted. */
export const selectAccepted = createSelector([selectReport], (report) =>
  report ? report.findings.filter(({ accepted }) => accepted) : NONE,
);
