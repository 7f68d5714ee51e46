import { readCollection } from '@noria/core';
import { basename, dirname, join, resolve } from 'node:path';
import { CliError } from './CliError.js';
import { readText, STANDARD, writeText } from './files.js';
import { PagePictureFiles } from './pagePictures.js';
import { readLocal } from './layoutPage.js';

interface ReadPageFile extends Pick<ReturnType<typeof readCollection>, 'document' | 'reports'> {
  readonly pictures: PagePictureFiles;
}

/**
 * Reads an HTML page with the style sheets and pictures beside it.
 * @param file `-`: standard input
 * @param height of the window that it is read in, px
 * @throws CliError when the page can't be read
 */
export async function readPageFile(file: string, height: number): Promise<ReadPageFile> {
  const html = await readText(file);
  const [name, folder] = file === STANDARD ? ['Page', '.'] : [basename(file), dirname(resolve(file))];
  const pictures = new PagePictureFiles(folder);
  const read = () =>
    readCollection(html, name.replace(/\.html?$/i, ''), {
      readSheet: (href) => readLocal(folder, href),
      readPicture: pictures.read,
      screen: height,
    });
  // What pictures it has is known once it was read.
  read();
  await pictures.load();
  return { ...read(), pictures };
}

/**
 * Reads an HTML page into a collection file, and the pictures beside it into a folder `pictures` beside that; what
 * could not be taken over goes to standard error, by line.
 * @param file `-`: standard input
 * @param out `-`: it is handed to `print`
 * @param height of the window that it is read in, px
 * @returns how many tiles there are
 * @throws CliError when the page can't be read or holds no grid
 */
export async function importPage(
  file: string,
  out: string,
  height: number,
  print: (text: string) => void,
): Promise<number> {
  const { document, reports, pictures } = await readPageFile(file, height);
  for (const { line, sheet, message } of reports) console.error(`${sheet ?? file}:${line}: ${message}`);
  if (!document) throw new CliError(`There is no grid in ${file}: no element with “display: grid”.`);
  const text = JSON.stringify(document, null, 2);
  if (out === STANDARD) print(text);
  else {
    await writeText(out, `${text}\n`);
    await pictures.copyTo(join(dirname(resolve(out)), 'pictures'));
  }
  return document.order.length;
}
