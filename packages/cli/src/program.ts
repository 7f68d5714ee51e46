import {
  FINDING_KINDS,
  FORM_NAMES,
  LIMITS,
  SCREEN_BLOCK_SIZE,
  type FindingKind,
  type Form,
} from '@noria/core';
import { Command, Option } from 'commander';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { layoutBatch } from './batch.js';
import { checkReport, parseKinds, parseWidth } from './check.js';
import { CliError, said, STATUS } from './CliError.js';
import { diffLines } from './diff.js';
import { exportPage } from './exportPage.js';
import { readText, STANDARD } from './files.js';
import { importPage } from './importPage.js';
import { layoutReport, parseWidths } from './layout.js';
import { pageReport, textReport } from './layoutPage.js';
import { readDocument } from './readDocument.js';
import { watching } from './watch.js';

interface CheckOptions {
  readonly from: number;
  readonly to: number;
  readonly failOn: readonly FindingKind[];
  readonly format: 'text' | 'json';
  readonly height: number;
}

interface LayoutOptions {
  readonly width?: number[];
  readonly batch?: true;
  readonly height: number;
}

const HEIGHT = [
  '--height <px>',
  'height of the window that grids and lengths may be a share of',
  parseWidth,
  SCREEN_BLOCK_SIZE,
] as const;

const FORM_HELP = `page: a whole page
fragment: a part of another page, with a style sheet that holds in it alone
grid: where tiles lie and no more, for markup that exists, found by classes; grid-by-order: by their order
element: a custom element, as a module without anything else to load
csv, json: what the tiles say, as a table or as data
tokens: named looks as design tokens
`;

const COLLECTION = 'a .noria.json file; - is standard input';

const examples = (...lines: readonly string[]) =>
  `\nExamples:\n${lines.map((line) => `  ${line}`).join('\n')}`;

const STATUSES = `
Exit status:
  ${STATUS.done}  done
  ${STATUS.found}  “check” found what --fail-on names, “diff” a change
  ${STATUS.failed}  it could not be done; why is said on standard error`;

/** Whether a text is a page and not a collection. */
const isPage = (text: string) => text.trimStart().startsWith('<');

const { version } = createRequire(import.meta.url)('../package.json') as { readonly version: string };

/** The commands of `noria`, writing what they answer with `print`; what goes on ends when it is `stopped`. */
export function program(
  print: (text: string) => void,
  stopped = new Promise<void>(() => undefined),
): Command {
  const noria = new Command('noria')
    .description('Noria for a build pipeline: collections in, pages and layouts out.')
    .version(version, '--version', 'which version this is')
    .addHelpText(
      'after',
      examples(
        'noria layout huts.noria.json --width 360,768,1280',
        'noria check huts.noria.json --fail-on any',
        'noria import page.html --out huts.noria.json',
        'noria export huts.noria.json --out site',
      ) + STATUSES,
    )
    .exitOverride();
  noria
    .command('layout')
    .description('where every tile lies, as JSON')
    .argument(
      '[file]',
      'a .noria.json file, or an HTML page with grids marked data-grid and tiles data-tile; - is standard input',
    )
    .option('--width <list>', 'widths in px, with commas', parseWidths)
    .option(...HEIGHT)
    .option(
      '--batch',
      'one case a line on standard input: {"page": "file.html", "widths": [360], "height": 900}; the height may be left out',
    )
    .addHelpText(
      'after',
      examples(
        'noria layout huts.noria.json --width 360,768,1280',
        'noria layout page.html --width 640 --height 900',
        'noria layout --batch < cases.jsonl > layouts.jsonl',
      ),
    )
    .action(async (file: string | undefined, { width, batch, height }: LayoutOptions) => {
      if (batch) return layoutBatch(process.stdin, print);
      if (file === undefined) throw new CliError('Name a file, or use --batch.');
      if (!width) throw new CliError('Say the widths: --width 360,768,1280');
      const reportOf = async () => {
        if (/\.html?$/i.test(file)) return pageReport(file, width, height);
        if (file !== STANDARD) return layoutReport(await readDocument(file), width, height);
        const text = await readText(file);
        return isPage(text)
          ? textReport(text, file, width, height)
          : layoutReport(await readDocument(file, text), width, height);
      };
      print(JSON.stringify(await reportOf()));
    });
  noria
    .command('check')
    .description(
      `what is wrong at which widths; exit status ${STATUS.found} when a kind named with --fail-on is found`,
    )
    .argument('<file>', COLLECTION)
    .option('--from <px>', 'the narrowest width', parseWidth, LIMITS.narrowest)
    .option('--to <px>', 'the widest width', parseWidth, LIMITS.widest)
    .option(...HEIGHT)
    .option('--fail-on <kinds>', `kinds with commas, or “any”: ${FINDING_KINDS.join(', ')}`, parseKinds, [])
    .addOption(new Option('--format <format>', 'how it is written').choices(['text', 'json']).default('text'))
    .addHelpText(
      'after',
      examples(
        'noria check huts.noria.json',
        'noria check huts.noria.json --from 320 --to 1440 --fail-on hole,clipped --format json',
      ),
    )
    .action(async (file: string, options: CheckOptions) => {
      const { text, fails } = await checkReport(await readDocument(file), options);
      print(text);
      if (fails) process.exitCode = STATUS.found;
    });
  noria
    .command('import')
    .description('a collection from an HTML page with a grid; says by line what it could not take over')
    .argument('<file>', 'an HTML page; - is standard input')
    .requiredOption('--out <file>', 'the .noria.json file to write; - is standard output')
    .option(...HEIGHT)
    .addHelpText(
      'after',
      examples(
        'noria import page.html --out huts.noria.json',
        'noria import - --out - < page.html | noria check -',
      ),
    )
    .action(async (file: string, { out, height }: { out: string; height: number }) => {
      const count = await importPage(file, out, height, print);
      if (out !== STANDARD) print(`${count} ${count === 1 ? 'tile' : 'tiles'} in ${out}`);
    });
  noria
    .command('export')
    .description('the page, or another form of it: HTML, CSS, pictures, fonts, data')
    .argument(
      '<file>',
      'a .noria.json file, with its pictures in a folder “pictures” beside it; - is standard input',
    )
    .requiredOption('--out <folder>', 'where the page goes; it is made where it lacks')
    .addOption(new Option('--form <form>', FORM_HELP).choices([...FORM_NAMES]).default('page'))
    .addHelpText(
      'after',
      examples(
        'noria export huts.noria.json --out site',
        'noria export huts.noria.json --form fragment --out parts',
        'noria export huts.noria.json --form element --out elements',
        'noria export huts.noria.json --out site --watch',
      ),
    )
    .option('--watch', 'again after every change of the file, until Ctrl+C')
    .action(async (file: string, { out, form, watch }: { out: string; form: Form; watch?: true }) => {
      if (out === STANDARD) throw new CliError('What is exported is a folder of files. Name one: --out site');
      if (watch && file === STANDARD) throw new CliError('Standard input can’t be watched. Name a file.');
      const folder = file === STANDARD ? '.' : dirname(file);
      const write = async () => {
        const written = await exportPage(await readDocument(file), join(folder, 'pictures'), out, form);
        print(`${written} files in ${out}`);
      };
      if (!watch) return write();
      // What can't be read while somebody writes on it is said, and tried again.
      const tell = (error: unknown) => {
        console.error(said(error));
      };
      await watching(file, () => write().catch(tell), stopped);
    });
  noria
    .command('diff')
    .description(
      `what changed between two collections, or between a page and what its collection is now, in words; exit status ${STATUS.found} where anything did`,
    )
    .argument('<before>', 'a .noria.json file, or the page that was exported: its file or its folder')
    .argument('<after>', COLLECTION)
    .option(...HEIGHT)
    .addHelpText(
      'after',
      examples('noria diff old.noria.json huts.noria.json', 'noria diff site huts.noria.json'),
    )
    .action(async (before: string, after: string, { height }: { height: number }) => {
      const lines = await diffLines(before, after, height);
      for (const line of lines) print(line);
      if (lines.length > 0) process.exitCode = STATUS.found;
    });
  return noria;
}
