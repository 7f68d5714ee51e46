import { FINDING_KINDS, LIMITS, SCREEN_BLOCK_SIZE, type FindingKind } from '@noria/core';
import { Command, Option } from 'commander';
import { dirname, join } from 'node:path';
import { layoutBatch } from './batch.js';
import { checkReport, parseKinds, parseWidth } from './check.js';
import { CliError } from './CliError.js';
import { exportPage } from './exportPage.js';
import { importPage } from './importPage.js';
import { layoutReport, parseWidths } from './layout.js';
import { pageReport } from './layoutPage.js';
import { readDocument } from './readDocument.js';

interface CheckOptions {
  readonly from: number;
  readonly to: number;
  readonly failOn: readonly FindingKind[];
  readonly format: 'text' | 'json';
  readonly screen: number;
}

interface LayoutOptions {
  readonly width?: number[];
  readonly batch?: true;
  readonly screen: number;
}

const SCREEN = [
  '--screen <px>',
  'height of the screen that grids and lengths may be a share of',
  parseWidth,
  SCREEN_BLOCK_SIZE,
] as const;

/** The commands of `noria`, writing what they answer with `print`. */
export function program(print: (text: string) => void): Command {
  const noria = new Command('noria').description(
    'Noria for a build pipeline: collections in, pages and layouts out.',
  );
  noria
    .command('layout')
    .description('where every tile lies, as JSON')
    .argument('[file]', 'a .noria.json file, or an HTML page with grids marked data-grid and tiles data-tile')
    .option('--width <list>', 'widths in px, with commas', parseWidths)
    .option(...SCREEN)
    .option('--batch', 'one case a line on standard input: {"page": "file.html", "widths": [360]}')
    .action(async (file: string | undefined, { width, batch, screen }: LayoutOptions) => {
      if (batch) return layoutBatch(process.stdin, print);
      if (file === undefined) throw new CliError('Name a file, or use --batch.');
      if (!width) throw new CliError('Say the widths: --width 360,768,1280');
      const report = /\.html?$/i.test(file)
        ? await pageReport(file, width, screen)
        : layoutReport(await readDocument(file), width, screen);
      print(JSON.stringify(report));
    });
  noria
    .command('check')
    .description('what is wrong at which widths; exit status 1 when a kind named with --fail-on is found')
    .argument('<file>', 'a .noria.json file')
    .option('--from <px>', 'the narrowest width', parseWidth, LIMITS.narrowest)
    .option('--to <px>', 'the widest width', parseWidth, LIMITS.widest)
    .option(...SCREEN)
    .option('--fail-on <kinds>', `kinds with commas, or “any”: ${FINDING_KINDS.join(', ')}`, parseKinds, [])
    .addOption(new Option('--format <format>', 'how it is written').choices(['text', 'json']).default('text'))
    .action(async (file: string, options: CheckOptions) => {
      const { text, fails } = checkReport(await readDocument(file), options);
      print(text);
      if (fails) process.exitCode = 1;
    });
  noria
    .command('import')
    .description('a collection from an HTML page with a grid; says by line what it could not take over')
    .argument('<file>', 'an HTML page')
    .requiredOption('--out <file>', 'the .noria.json file to write')
    .action(async (file: string, { out }: { out: string }) => {
      print(`${await importPage(file, out)} tiles in ${out}`);
    });
  noria
    .command('export')
    .description('the page: HTML, CSS, pictures, fonts')
    .argument('<file>', 'a .noria.json file, with its pictures in a folder “pictures” beside it')
    .requiredOption('--out <folder>', 'where the page goes')
    .action(async (file: string, { out }: { out: string }) => {
      const written = await exportPage(await readDocument(file), join(dirname(file), 'pictures'), out);
      print(`${written} files in ${out}`);
    });
  return noria;
}
