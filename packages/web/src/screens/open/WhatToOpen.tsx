import { useState } from 'react';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import type { PathedFile } from '../../editor/pictures/unpackArchive';
import { filesOf, pasted } from '../../editor/opening/handed';

const TAKEN = '.html,.htm,.css,.zip,.json,image/*,video/mp4,video/webm,.woff2,.ttf,.otf';

interface WhatToOpenProps {
  /** Why the last could not be opened. */
  readonly trouble: string | null;
  readonly onFiles: (files: readonly PathedFile[]) => void;
}

/** Asks for what is to be opened. */
export function WhatToOpen({ trouble, onFiles }: WhatToOpenProps) {
  const [html, setHtml] = useState('');
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
      <div className="mx-auto max-w-[720px]">
        <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Open a page</h1>
        <p className="mt-0.5 text-soft">
          Noria reads the grids of an HTML page, with its tiles, words, pictures and breakpoints. You see what
          becomes of them before anything is made.
        </p>
        {trouble !== null && (
          <p role="alert" className="mt-5 rounded-m border border-amiss px-4 py-2.5">
            {trouble}
          </p>
        )}
        <section className="mt-6 grid justify-items-center gap-3 rounded-m border border-dashed border-faint px-6 py-10 text-center">
          <p className="font-title text-lg font-semibold">
            Drop a page here, with its style sheets and pictures
          </p>
          <p className="text-soft">
            Files, a folder or a ZIP. A file that ends with .noria.json opens as it is.
          </p>
          <div className="flex gap-2">
            <FileButton
              look="solid"
              testId="files-to-open"
              accept={TAKEN}
              multiple
              onFiles={(files) => onFiles(filesOf(files))}
            >
              Choose files
            </FileButton>
            <FileButton testId="folder-to-open" accept="" folder onFiles={(files) => onFiles(filesOf(files))}>
              Choose a folder
            </FileButton>
          </div>
        </section>
        <form
          className="mt-6 grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (html.trim() !== '') onFiles([pasted(html)]);
          }}
        >
          <label htmlFor="html-to-open" className="font-semibold">
            Or paste HTML
          </label>
          <textarea
            id="html-to-open"
            value={html}
            onChange={({ target }) => setHtml(target.value)}
            rows={7}
            spellCheck={false}
            placeholder='<style>…</style> <section class="grid">…</section>'
            className="figures rounded-s bg-field px-3 py-2 text-ink placeholder:text-faint"
          />
          <div>
            <Button type="submit" disabled={html.trim() === ''}>
              Read HTML
            </Button>
          </div>
        </form>
      </div>
    </main>
  );
}
