import { checkDocument, type Problem } from '@noria/core';
import { describeCollection, type Described } from '../collections/describe.js';
import subsetFont from 'subset-font';
import { readFont, type ReadFont } from '../fonts/readFont.js';
import { safeSvg } from '../pictures/svg/safeSvg.js';

/** What a large document was found to be. */
export type Worked =
  | { readonly problems: readonly Problem[]; readonly described: Described; readonly text: string }
  | { readonly problems: readonly Problem[] };

/** Work that can take long, done in a thread of its own. What comes and goes is text, which is quick to hand over. */
export const tasks = {
  font: ({ bytes }: { readonly bytes: Uint8Array }): Promise<ReadFont> => readFont(bytes),

  fontSubset: ({ bytes, characters }: { readonly bytes: Uint8Array; readonly characters: string }) =>
    subsetFont(Buffer.from(bytes), characters, { targetFormat: 'woff2' }),

  safeSvg: ({ text }: { readonly text: string }) => safeSvg(text),

  document: ({ text }: { readonly text: string }): Promise<Worked> => {
    const { document, problems } = checkDocument(JSON.parse(text));
    return Promise.resolve(
      document
        ? { problems, described: describeCollection(document), text: JSON.stringify(document) }
        : { problems: problems.slice(0, 200) },
    );
  },
};

export type Tasks = typeof tasks;
