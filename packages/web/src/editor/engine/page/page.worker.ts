import { writePage, type CollectionDocument, type Page } from '@noria/core';
import { expose } from 'comlink';
import { loadFonts, measurer } from '../measurer';
import { keeper } from '../sharing';

const fonts = loadFonts((self as unknown as { fonts: FontFaceSet }).fonts);
const received = keeper<CollectionDocument>();

const writer = {
  async write(document: CollectionDocument): Promise<Page> {
    await fonts;
    return writePage(received(document), measurer);
  },
};

export type Writer = typeof writer;

expose(writer);
