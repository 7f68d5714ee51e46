import { Command } from 'commander';
import { dirname, join } from 'node:path';
import { exportPage } from './exportPage.js';
import { layoutReport, parseWidths } from './layout.js';
import { readDocument } from './readDocument.js';

/** The commands of `noria`, writing what they answer with `print`. */
export function program(print: (text: string) => void): Command {
  const noria = new Command('noria').description(
    'Noria for a build pipeline: collections in, pages and layouts out.',
  );
  noria
    .command('layout')
    .description('where every tile lies, as JSON')
    .argument('<file>', 'a .noria.json file')
    .requiredOption('--width <list>', 'widths in px, with commas', parseWidths)
    .action(async (file: string, { width }: { width: number[] }) => {
      print(JSON.stringify(layoutReport(await readDocument(file), width)));
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
