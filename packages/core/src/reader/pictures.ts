import { LIMITS } from '../document/limits.js';
import { slugOf } from '../document/slug.js';
import type { PictureAsset } from '../document/content.js';
import type { PictureId } from '../document/ids.js';

/** A picture file that a page refers to. */
export type PictureFile = Omit<PictureAsset, 'id' | 'name' | 'alternativeText'>;

/** Finds the file that an address in a page leads to; null where there is none that may be taken. */
export type PictureReader = (address: string) => PictureFile | null;

/** As many characters as an alternative text may have. */
const MOST_WORDS = 2000;

/** The pictures that a page shows, each file once. */
export class PagePictures {
  readonly all: Record<PictureId, PictureAsset> = {};
  private readonly byHash = new Map<string, PictureId>();

  constructor(private readonly read: PictureReader) {}

  add(address: string, alternativeText: string): PictureId | null {
    const file = address === '' ? null : this.read(address);
    if (!file) return null;
    const known = this.byHash.get(file.hash);
    if (known !== undefined) {
      const before = this.all[known] as PictureAsset;
      if (before.alternativeText === '') this.all[known] = { ...before, alternativeText };
      return known;
    }
    const called = file.file
      .replace(/\.[^.]*$/, '')
      .replace(/[-_]+/g, ' ')
      .trim();
    const name = (called === '' ? 'Picture' : `${called.charAt(0).toUpperCase()}${called.slice(1)}`).slice(
      0,
      LIMITS.name,
    );
    const base = slugOf(name) || 'picture';
    let id = base;
    for (let count = 2; this.all[id]; count++) id = `${base}-${count}`;
    this.byHash.set(file.hash, id);
    this.all[id] = { ...file, id, name, alternativeText: alternativeText.slice(0, MOST_WORDS) };
    return id;
  }
}
