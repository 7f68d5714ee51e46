import type { FontFace as Face, OwnFamily } from '@noria/core';
import { fonts } from './fonts';
import { fileId } from './ids';
import { request } from './problem';

/** A font of the library, as the server tells of it. */
export interface LibraryFont {
  readonly hash: string;
  /** The name of its file. */
  readonly name: string;
  readonly family: string;
  readonly mediaType: Face['mediaType'];
  readonly byteSize: number;
  readonly facts: Pick<Face, 'style' | 'weight' | 'axes' | 'features'>;
  /** How many collections use it. */
  readonly uses: number;
}

const ENDINGS: Readonly<Record<Face['mediaType'], string>> = {
  'font/woff2': 'woff2',
  'font/ttf': 'ttf',
  'font/otf': 'otf',
};

/**
 * Stores a font file in the library.
 * @throws ServerProblem or ServerAway; Error when this browser can't show it. Their messages say what to do
 */
export async function uploadFont(file: File): Promise<LibraryFont> {
  await new FontFace('probe', await file.arrayBuffer()).load().catch(() => {
    throw new Error(
      `“${file.name}” can’t be shown by this browser, and was not stored. Choose a WOFF2, TTF or OTF font.`,
    );
  });
  const form = new FormData();
  form.append('font', file);
  const stored = (await (await request(fonts(), { method: 'POST', body: form })).json()) as LibraryFont;
  return { ...stored, uses: 0 };
}

export async function removeFont(hash: string, evenUsed = false): Promise<void> {
  await request(`${fonts()}/${hash}${evenUsed ? '?evenUsed=true' : ''}`, { method: 'DELETE' });
}

/** All fonts of the library, the newest first. */
export async function libraryFonts(): Promise<LibraryFont[]> {
  const all: LibraryFont[] = [];
  for (let after = ''; ;) {
    const page = (await (await request(`${fonts()}?limit=100${after}`)).json()) as {
      readonly entries: readonly LibraryFont[];
      readonly next: string | null;
    };
    all.push(...page.entries);
    if (page.next === null) return all;
    after = `&after=${encodeURIComponent(page.next)}`;
  }
}

/** Font files as families, by their names. */
export function familiesFrom(all: readonly LibraryFont[]): OwnFamily[] {
  const names = [...new Set(all.map(({ family }) => family))].sort((a, b) => a.localeCompare(b));
  return names.map((name) => ({
    name,
    faces: all
      .filter(({ family }) => family === name)
      .map(({ hash, name: file, mediaType, facts }): Face => {
        const id = fileId(file.replace(/\.\w+$/, ''), 'font', hash);
        return { hash, file: `${id}.${ENDINGS[mediaType]}`, mediaType, ...facts };
      })
      .sort((a, b) => a.weight[0] - b.weight[0] || a.style.localeCompare(b.style)),
  }));
}

/** Families as a collection keeps them. */
export const byName = (families: readonly OwnFamily[]): Readonly<Record<string, OwnFamily>> =>
  Object.fromEntries(families.map((family) => [family.name, family]));
