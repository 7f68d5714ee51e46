import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyCollection } from '../../testing/anyCollection.js';
import { applyPatch } from '../../edit/patch/applyPatch.js';
import { checkDocument } from '../../check/checkDocument.js';
import { checkFit } from './checkFit.js';
import { fixAllSafe, fixesFor } from './fixes.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import type { CollectionDocument } from '../../document/types.js';
import type { Finding } from './types.js';

const options = { measurer: LETTERS, from: 500, to: 620 };
const widths = (finding: Finding | undefined) =>
  (finding?.ranges ?? []).reduce((sum, { from, to }) => sum + to - from + 1, 0);
const errors = (document: CollectionDocument) =>
  checkDocument(JSON.parse(JSON.stringify(document))).problems.filter(({ severity }) => severity === 'error');

describe('whatever is found in any collection', () => {
  test('is said in words, at widths that were looked at, and each fix keeps what it promises', () => {
    fc.assert(
      fc.property(anyCollection, fc.nat(6), (document, which) => {
        const report = checkFit(document, options);
        for (const { title, reason, ranges } of report.findings) {
          expect(`${title} ${reason}`).not.toMatch(/undefined|NaN|Infinity|null/);
          for (const { from, to } of ranges)
            expect([from >= 500, to <= 620, from <= to]).toEqual([true, true, true]);
        }
        const finding = report.findings[which % Math.max(1, report.findings.length)];
        if (!finding) return;
        for (const { does, patch, safe } of fixesFor(document, report, finding, options)) {
          const after = applyPatch(document, patch);
          expect([does, errors(after)]).toEqual([does, []]);
          const findings = checkFit(after, options).findings;
          const left = findings.find(({ id }) => id === finding.id);
          expect([does, widths(left) < widths(finding)]).toEqual([does, true]);
          if (safe) expect([does, left]).toEqual([does, undefined]);
        }
      }),
      { numRuns: 25 },
    );
  }, 300_000);

  test('is less once all that is safe is put right, and the collection is sound', () => {
    fc.assert(
      fc.property(anyCollection, (document) => {
        const before = checkFit(document, options).findings;
        const { patch, fixed } = fixAllSafe(document, options);
        const after = applyPatch(document, patch);
        expect(errors(after)).toEqual([]);
        const left = checkFit(after, options).findings;
        if (fixed === 0) expect(after).toEqual(document);
        else expect(left.length).toBeLessThan(before.length);
      }),
      { numRuns: 15 },
    );
  }, 300_000);
});
