import {
  checkFit,
  FINDING_KINDS,
  LIMITS,
  openFindings,
  rangeWords,
  widthsAmiss,
  type FindingKind,
  type FitReport,
} from '@noria/core';
import { join } from 'node:path';
import { CliError } from './CliError.js';
import { detailsIn } from './details.js';
import type { ReadCollection } from './readDocument.js';

export interface CheckCommand {
  readonly from: number;
  readonly to: number;
  readonly failOn: readonly FindingKind[];
  readonly format: 'text' | 'json';
  /** Height of the window, px. */
  readonly height: number;
}

/** What the fit check found, as text or JSON, and whether some of it is what the run fails on. */
export async function checkReport(
  { document, measurer, folder }: ReadCollection,
  { from, to, failOn, format, height }: CheckCommand,
): Promise<{ readonly text: string; readonly fails: boolean }> {
  if (to < from) throw new CliError(`Widths go from a smaller to a larger one; here from ${from} to ${to}.`);
  const details = await detailsIn(join(folder, 'pictures'), document);
  const report = checkFit(document, { measurer, details, from, to, screenBlockSize: height });
  const found = openFindings(report);
  return {
    text: format === 'json' ? asJson(report) : asText(document.name, report),
    fails: found.some(({ kind }) => failOn.includes(kind)),
  };
}

function asJson(report: FitReport): string {
  const { from, to, findings } = report;
  return JSON.stringify({
    from,
    to,
    widthsAmiss: widthsAmiss(report),
    findings: findings.map(
      ({ kind, severity, tiles, level, ranges, title, reason, worst, figures, ignored }) => ({
        kind,
        severity,
        tiles,
        level,
        ranges,
        title,
        reason,
        worst,
        figures,
        ignored,
      }),
    ),
  });
}

const SIGNS = { breaks: '▲', wrong: '◆', better: '●' } as const;

function asText(name: string, report: FitReport): string {
  const { from, to } = report;
  const found = openFindings(report);
  const widths = `${to - from + 1} widths from ${from} to ${to} px`;
  if (found.length === 0) return `${name}: nothing found at ${widths}.`;
  const lines = found.map(
    ({ severity, kind, title, reason, ranges }) =>
      `${SIGNS[severity]} ${kind}: ${title}, at ${rangeWords(ranges)} px. ${reason}`,
  );
  const count = found.length === 1 ? 'one finding' : `${found.length} findings`;
  return [`${name}: ${count} at ${widthsAmiss(report)} of ${widths}.`, ...lines].join('\n');
}

/** @throws CliError when the text is no whole number of px */
export function parseWidth(text: string): number {
  const width = Number(text);
  if (Number.isInteger(width) && width >= 1 && width <= 20_000) return width;
  throw new CliError(`“${text}” is no width. Write whole px, such as ${LIMITS.narrowest}.`);
}

/** @throws CliError when a name is no kind of finding */
export function parseKinds(list: string): FindingKind[] {
  if (list.trim() === 'any') return [...FINDING_KINDS];
  return list.split(',').map((entry) => {
    const kind = FINDING_KINDS.find((each) => each === entry.trim());
    if (kind) return kind;
    throw new CliError(
      `“${entry.trim()}” is no kind of finding. Write some of: ${FINDING_KINDS.join(', ')}; or “any”.`,
    );
  });
}
