import {
  compareDocuments,
  fragmentId,
  readCollection,
  writeForm,
  type ChangeInWords,
  type CollectionDocument,
} from '@noria/core';
import { stat } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import { CliError } from './CliError.js';
import { readText, STANDARD } from './files.js';
import { PagePictureFiles } from './pagePictures.js';
import { readDocument } from './readDocument.js';
import { readLocal } from './layoutPage.js';

/** Whether it is a page or a folder with one, and not a collection. */
async function isPage(path: string): Promise<boolean> {
  if (path === STANDARD) return false;
  if (/\.html?$/i.test(path)) return true;
  const found = await stat(path).catch(() => null);
  return found?.isDirectory() ?? false;
}

/**
 * What changed from one collection to another, or from the page that stands somewhere to the one that a
 * collection would be exported as now, a change a line.
 * @param before a `.noria.json` file, an HTML page, or the folder of one
 * @param after a `.noria.json` file
 * @throws CliError when one of them can't be read, or holds no grid
 */
export async function diffLines(before: string, after: string, height: number): Promise<string[]> {
  if (await isPage(after)) {
    if (await isPage(before))
      throw new CliError('One of the two has to be a collection, a .noria.json file.');
    // It is asked what the page lacks, whichever is named first.
    return diffLines(after, before, height);
  }
  const { document, measurer } = await readDocument(after);
  if (!(await isPage(before)))
    return linesOf(compareDocuments((await readDocument(before)).document, document));
  const file = await pageFile(before, document);
  const form = basename(file) === 'index.html' ? 'page' : 'fragment';
  const { files } = writeForm(form, document, measurer);
  const [path, html] = Object.entries(files).find(([name]) => name.endsWith('.html')) as [string, string];
  const pictures = new PagePictureFiles(dirname(resolve(file)));
  const read = (text: string, readSheet: (href: string) => string | null) =>
    readCollection(withSheet(text, path), document.name, {
      readSheet,
      readPicture: pictures.read,
      screen: height,
    }).document;
  const there = await readText(file);
  const onDisk = () => read(there, (href) => readLocal(dirname(resolve(file)), href));
  const written = () => read(html, (href) => files[href] ?? null);
  // What pictures they have is known once they were read.
  [onDisk, written].forEach((each) => each());
  await pictures.load();
  const [was, is] = [onDisk(), written()];
  if (!was || !is) throw new CliError(`There is no grid in ${file}.`);
  return linesOf(compareDocuments(was, is));
}

/** A part of a page names no style sheet: its own lies beside it. */
const withSheet = (html: string, path: string): string =>
  /^\s*<!doctype/i.test(html)
    ? html
    : `<link rel="stylesheet" href="${path.replace(/\.html$/, '.css')}">\n${html}`;

/** The page in a folder: a whole one, or a part by the name of the collection. */
async function pageFile(path: string, document: CollectionDocument): Promise<string> {
  if (/\.html?$/i.test(path)) return path;
  for (const form of ['page', 'fragment'] as const) {
    const name = form === 'page' ? 'index.html' : partName(document);
    const found = await stat(join(path, name)).catch(() => null);
    if (found) return join(path, name);
  }
  throw new CliError(`There is neither index.html nor ${partName(document)} in ${path}.`);
}

const partName = (document: CollectionDocument) => `${fragmentId(document)}.html`;

const linesOf = (changes: readonly ChangeInWords[]) => changes.map(({ of, says }) => `${of}: ${says}`);
