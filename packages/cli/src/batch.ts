import { createInterface } from 'node:readline';
import { pageReport } from './layoutPage.js';
import type { LayoutReport } from './layout.js';

interface Case {
  readonly page: string;
  readonly widths: readonly number[];
  /** Of the window, px. */
  readonly height?: number;
}

/**
 * Lays out one page a line: `{"page": "path", "widths": [360], "height": 900}` in, the height of the
 * window where it is another than 800 px;
 * `{"page", "results": {"360": {"tiles": […]}}}` or `{"page", "error"}` out. A case that fails does
 * not end the run.
 */
export async function layoutBatch(
  input: NodeJS.ReadableStream,
  print: (text: string) => void,
): Promise<void> {
  for await (const line of createInterface({ input })) {
    if (line.trim() === '') continue;
    let page = '';
    try {
      const asked = JSON.parse(line) as Partial<Case>;
      if (typeof asked.page === 'string') ({ page } = asked);
      const { widths: at, height } = checkCase(asked);
      const { widths } = await pageReport(page, at, height);
      print(JSON.stringify({ page, results: resultsOf(widths) }));
    } catch (error) {
      print(JSON.stringify({ page, error: error instanceof Error ? error.message : String(error) }));
    }
  }
}

const resultsOf = (widths: LayoutReport['widths']) =>
  Object.fromEntries(widths.map(({ width, ...result }) => [String(width), result]));

function checkCase({ page, widths, height }: Partial<Case>): Case {
  if (typeof page !== 'string')
    throw new Error('A case names its page: {"page": "file.html", "widths": [360]}.');
  if (
    !Array.isArray(widths) ||
    !widths.every((width) => typeof width === 'number' && Number.isFinite(width) && width > 0)
  ) {
    throw new Error('A case lists its widths in px: {"page": "file.html", "widths": [360]}.');
  }
  if (height !== undefined && !(typeof height === 'number' && Number.isFinite(height) && height > 0))
    throw new Error(
      'A case says the height of its window in px: {"page": "file.html", "widths": [360], "height": 900}.',
    );
  return { page, widths, ...(height !== undefined && { height }) };
}
