/**
 * Writes docs/collection.schema.json: what a `.noria.json` file holds, out of its types. With --check it
 * writes nothing, and fails where the file is not that of the types.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { format } from 'prettier';
import { createGenerator } from 'ts-json-schema-generator';

const FILE = 'docs/collection.schema.json';

const generator = createGenerator({
  path: 'packages/core/src/document/types.ts',
  tsconfig: 'packages/core/tsconfig.json',
  type: 'CollectionDocument',
  // The types are checked by the build.
  skipTypeCheck: true,
});
const schema = generator.createSchema('CollectionDocument');
// The generator takes the kind of a union for the union.
const { Part, PartName } = schema.definitions;
if (PartName?.$ref !== '#/definitions/Part') throw new Error('PartName is read as it is; take this out.');
const kinds = Part.anyOf.map(({ $ref }) => schema.definitions[$ref.split('/').at(-1)].properties.kind.const);
schema.definitions.PartName = { type: 'string', enum: kinds };

const text = await format(
  JSON.stringify({
    $schema: schema.$schema,
    title: 'A collection of Noria',
    description:
      'What a .noria.json file holds as Noria writes it. Files written by hand may leave out more; the checker says what is wrong in words.',
    ...schema,
  }),
  { parser: 'json', printWidth: 110 },
);

if (!process.argv.includes('--check')) await writeFile(FILE, text);
else if ((await readFile(FILE, 'utf8')) !== text) {
  console.error(`${FILE} is not that of the types. Run: npm run schema`);
  process.exitCode = 1;
}
