import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anySteps, commandOf, start } from '../../testing/anySteps.js';
import { applyPatch } from '../patch/applyPatch.js';
import { change } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';

const steps = anySteps(25);

describe('any sequence of commands', () => {
  test('leaves a document that the checker accepts, and undone in turn gives the first one back', () => {
    fc.assert(
      fc.property(steps, (all) => {
        let document = start;
        const undo = all.map((step, k) => {
          const made = change(document, commandOf(document, step, `n${k}`));
          expect(applyPatch(document, made.patch)).toEqual(made.document);
          expect({ step, problems: checkDocument(made.document).problems }).toEqual({ step, problems: [] });
          document = made.document;
          return made.inverse;
        });
        for (const inverse of undo.toReversed()) document = applyPatch(document, inverse);
        expect(document).toEqual(start);
      }),
      { numRuns: 400 },
    );
  });

  test('leaves a document that can be laid out at every width, every tile in its grid’s columns', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 240, max: 2560 }), (all, width) => {
        let document = start;
        all.forEach((step, k) => {
          ({ document } = change(document, commandOf(document, step, `n${k}`)));
        });
        const layout = layoutCollection(document, width, { measurer: LETTERS });
        const numbers = JSON.stringify(layout).match(/null/g);
        expect(numbers).toBeNull();
        for (const tile of layout.tiles)
          expect(tile.column + tile.columnSpan - 1).toBeLessThanOrEqual(layout.columns.length);
      }),
      { numRuns: 150 },
    );
  });
});
