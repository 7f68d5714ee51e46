import { applyPatch } from '../../edit/patch/applyPatch.js';
import { candidates } from './candidates/index.js';
import { change, type Command } from '../../edit/patch/change.js';
import { checkFit, openFindings, type CheckOptions } from './checkFit.js';
import { widthsIn } from './ranges.js';
import type { Finding, FitReport, Fix } from './types.js';
import type { JsonPatch } from '../../edit/patch/types.js';
import type { CollectionDocument } from '../../document/types.js';

const MOST_FIXES = 4;

/**
 * What puts a finding right, each tried out before it is offered: it is gone at every width, or at
 * most of them; what does it without anything new comes first.
 * @param report what was found in the document
 * @throws whatever the measurer throws
 */
export function fixesFor(
  document: CollectionDocument,
  report: FitReport,
  finding: Finding,
  options: CheckOptions,
): Fix[] {
  const tried: { fix: Fix; left: number; rank: number }[] = [];
  const seen = new Set<string>();
  for (const { does, command, isTame } of candidates(document, finding, options)) {
    const outcome = tryCommand(document, report, finding, command, options);
    if (!outcome || seen.has(JSON.stringify(outcome.patch))) continue;
    seen.add(JSON.stringify(outcome.patch));
    const isWhole = outcome.left === 0 && outcome.added === 0;
    tried.push({
      fix: { does, patch: outcome.patch, safe: isTame && isWhole },
      left: outcome.left + outcome.added,
      rank: isWhole ? (isTame ? 0 : 1) : 2,
    });
  }
  return tried
    .toSorted((a, b) => a.rank - b.rank || (a.rank === 2 ? a.left - b.left : 0))
    .slice(0, MOST_FIXES)
    .map(({ fix }) => fix);
}

/**
 * Puts right all that is safe: fix after fix that makes a finding go away at every width and brings
 * nothing new.
 * @returns one patch that does it all, and how many findings are gone
 * @throws whatever the measurer throws
 */
export function fixAllSafe(
  document: CollectionDocument,
  options: CheckOptions,
): { readonly patch: JsonPatch; readonly fixed: number } {
  const patch: JsonPatch[number][] = [];
  let made = document;
  let report = checkFit(made, options);
  const before = openFindings(report).length;
  const given = new Set<string>();
  for (;;) {
    const next = openFindings(report).find(({ id }) => !given.has(id));
    if (!next) break;
    const [fix] = fixesFor(made, report, next, options);
    if (!fix?.safe) {
      given.add(next.id);
      continue;
    }
    patch.push(...fix.patch);
    made = applyPatch(made, fix.patch);
    report = checkFit(made, options);
  }
  return { patch, fixed: before - openFindings(report).length };
}

function tryCommand(
  document: CollectionDocument,
  report: FitReport,
  finding: Finding,
  command: Command,
  options: CheckOptions,
): { patch: JsonPatch; left: number; added: number } | null {
  const made = change(document, command);
  if (made.patch.length === 0) return null;
  const after = checkFit(made.document, options);
  const widthsOf = (all: readonly Finding[]) => new Map(all.map(({ id, ranges }) => [id, widthsIn(ranges)]));
  const [before, now] = [widthsOf(openFindings(report)), widthsOf(openFindings(after))];
  const was = before.get(finding.id) ?? widthsIn(finding.ranges);
  const left = now.get(finding.id) ?? 0;
  if (left >= was) return null;
  let added = 0;
  for (const [id, widths] of now)
    added += id === finding.id ? 0 : Math.max(0, widths - (before.get(id) ?? 0));
  // What brings more than it takes away is no help.
  if (left + added >= was) return null;
  return { patch: made.patch, left, added };
}
