import type { fromEvent } from 'file-selector';
import type { PathedFile } from '../pictures/unpackArchive';

/** What was dropped or pasted elsewhere, until the screen that opens it is there. */
let handed: readonly PathedFile[] | null = null;

export const handOver = (files: readonly PathedFile[]): void => void (handed = files);

/** What was handed over, once. */
export function takeHanded(): readonly PathedFile[] | null {
  const files = handed;
  handed = null;
  return files;
}

/** Files as they were chosen, or all that was dropped, those in folders with their paths. */
export const filesOf = (files: readonly File[]): PathedFile[] =>
  files.map((file) => ({ path: file.webkitRelativePath || file.name, file }));

let selector: { readonly fromEvent: typeof fromEvent } | null = null;

/** What finds the files in folders is fetched before somebody drops any: a drop has to be read at once. */
export const awaitDrops = (): Promise<unknown> =>
  import('file-selector').then(
    (script) => (selector = script),
    () => undefined,
  );

export async function filesDropped(event: DragEvent): Promise<PathedFile[]> {
  if (!selector) return filesOf([...(event.dataTransfer?.files ?? [])]);
  const found = await selector.fromEvent(event);
  return found.flatMap((each) =>
    each instanceof File ? [{ path: (each.path ?? each.name).replace(/^[./]+/, ''), file: each }] : [],
  );
}

const isMarkup = (text: string) => /<[a-z][^>]*>/i.test(text);

/** What was pasted: files, or the words of a page; null where it is neither. */
export function filesPasted({ clipboardData }: ClipboardEvent): PathedFile[] | null {
  const files = [...(clipboardData?.files ?? [])];
  if (files.length > 0) return filesOf(files);
  const text = clipboardData?.getData('text/plain') ?? '';
  return isMarkup(text) ? [pasted(text)] : null;
}

/** Words of a page as a file. */
export const pasted = (text: string): PathedFile => ({
  path: 'pasted.html',
  file: new File([text], 'pasted.html', { type: 'text/html' }),
});
