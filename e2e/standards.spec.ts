import { execFile } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Ajv } from 'ajv';
import { HtmlValidate } from 'html-validate';
import stylelint from 'stylelint';
import { writeForm, type Form, type TextMeasurer } from '@noria/core';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
import { DEMOS, demo, expect, root, test } from './noria';

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

/** What stylelint has no name for yet: lanes are as new as this (CSS Grid 3). */
const NEW_PROPERTIES = ['flow-tolerance'];

/** What the standard rules of stylelint say of a sheet. */
async function lint(code: string): Promise<string[]> {
  const { results } = await stylelint.lint({
    code,
    config: {
      extends: ['stylelint-config-standard'],
      rules: {
        'property-no-unknown': [true, { ignoreProperties: NEW_PROPERTIES }],
      },
    },
  });
  return results.flatMap(({ warnings }) => warnings.map(({ line, text }) => `${line}: ${text}`));
}

const FORMS: readonly Form[] = ['page', 'fragment', 'grid', 'grid-by-order', 'element'];

for (const name of DEMOS) {
  for (const form of FORMS) {
    test(`the ${form} of “${name}” is as the standard rules of HTML and CSS want it`, async () => {
      const { files } = writeForm(form, await demo(name), measurer);
      for (const [path, text] of Object.entries(files)) {
        if (path.endsWith('.css')) expect([path, await lint(text)]).toEqual([path, []]);
        if (path.endsWith('.html')) {
          const kind = text.startsWith('<!doctype') ? 'html-validate:standard' : 'html-validate:recommended';
          const report = await new HtmlValidate({ extends: [kind] }).validateString(text);
          const said = report.results.flatMap(({ messages }) => messages.map(({ message }) => message));
          expect([path, said]).toEqual([path, []]);
        }
      }
    });
  }
}

test('the schema of a collection is that of its types, and every demo keeps to it', async () => {
  await promisify(execFile)('node', ['scripts/schema.mjs', '--check'], { cwd: root });
  const schema = JSON.parse(await readFile(join(root, 'docs', 'collection.schema.json'), 'utf8')) as object;
  const validate = new Ajv({ strict: false, allErrors: true }).compile(schema);
  for (const name of DEMOS) {
    expect(validate(await demo(name)), `${name}: ${JSON.stringify(validate.errors?.slice(0, 3))}`).toBe(true);
    // A schema that takes anything says nothing.
    expect(validate({ ...(await demo(name)), tiles: [] })).toBe(false);
    expect(validate({ ...(await demo(name)), colour: 'red' })).toBe(false);
  }
});
