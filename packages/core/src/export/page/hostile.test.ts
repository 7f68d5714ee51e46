import { describe, expect, test } from '@jest/globals';
import { parse, walk } from 'css-tree';
import fc from 'fast-check';
import { parse as parseHtml, type DefaultTreeAdapterTypes } from 'parse5';
import { checkDocument } from '../../check/checkDocument.js';
import { isAddress, readAddress } from '../../engine/css/address.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample } from '../../testing/sample.js';
import { cardWith } from '../../testing/held.js';
import { writePage } from './writePage.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

type Node = DefaultTreeAdapterTypes.Node;

const SCRIPTS = [
  'javascript:alert(1)',
  'JavaScript:alert(1)',
  'java\tscript:alert(1)',
  'java\nscript:alert(1)',
  'java\r\nscript:alert(1)',
  ' javascript:alert(1)',
  '\u0001javascript:alert(1)',
  '\u0000javascript:alert(1)',
  'javascript\t:alert(1)',
  'data:text/html,<script>alert(1)</script>',
  'vbscript:msgbox(1)',
  'blob:https://example.org/1',
  'file:///etc/passwd',
  'filesystem:https://example.org/1',
  'ms-settings:x',
  'view-source:https://example.org',
  'x:y',
];

describe('an address that no link may have', () => {
  test.each(SCRIPTS)('%j is refused by the checker, and not written however it came in', (address) => {
    expect(isAddress(address)).toBe(false);
    // The witness: how this machine's own URL parser reads it.
    const { protocol } = new URL(address, 'https://page.example');
    expect(['https:', 'http:', 'mailto:', 'tel:']).not.toContain(protocol);
    const base = sample([[1, 1]]);
    const link = cardWith('action', 't1', { action: { address } });
    const document = { ...base, tiles: { t1: link } };
    expect(checkDocument(document).document).toBeNull();
    const covered = { ...base, tiles: { t1: { ...cardWith('text', 't1'), link: address } } };
    const spans = [{ text: 'x', link: address }];
    const rich = cardWith('text', 't1', { text: [{ kind: 'paragraph', spans }] });
    for (const each of [document, covered, { ...base, tiles: { t1: rich } }])
      expect(hrefsIn(each)).toEqual(['#']);
  });

  test.each([
    'https://huts.example/a?b=c#d',
    'HTTP://huts.example',
    'mailto:warden@huts.example',
    'tel:+41 33 1',
    '#beds',
    'a/b.html',
    './a',
    '../a',
    '/a',
    '?a=b',
    '//huts.example/a',
    'a:b/../c'.replace(':', '%3A'),
    '',
  ])('%j may be one', (address) => {
    expect(isAddress(address)).toBe(true);
  });

  test('any text that the checker takes leads where a browser takes it, by a scheme that may be', () => {
    const piece = fc.oneof(
      fc.constantFrom(
        'java',
        'script',
        ':',
        'https',
        '//',
        '\t',
        '\n',
        ' ',
        '\u0000',
        '\u001f',
        '#',
        '/',
        '.',
        '&#9;',
        '%09',
      ),
      fc.string({ maxLength: 3 }),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 6 }), (pieces) => {
        const text = pieces.join('');
        const read = readAddress(text);
        if (read === null || !URL.canParse(text, 'https://page.example')) return;
        expect(['https:', 'http:', 'mailto:', 'tel:']).toContain(
          new URL(text, 'https://page.example').protocol,
        );
        expect(new URL(read, 'https://page.example').href).toBe(new URL(text, 'https://page.example').href);
      }),
      { numRuns: 2000 },
    );
  });
});

const all = (node: Node): Node[] => [node, ...('childNodes' in node ? node.childNodes.flatMap(all) : [])];
const elementsIn = (html: string) =>
  all(parseHtml(html)).filter((node): node is DefaultTreeAdapterTypes.Element => 'attrs' in node);
const hrefsIn = (document: CollectionDocument) =>
  elementsIn(writePage(document, LETTERS).files['index.html'] ?? '').flatMap(({ tagName, attrs }) =>
    tagName === 'a' ? attrs.filter(({ name }) => name === 'href').map(({ value }) => value) : [],
  );

const HOSTILE = [
  '</style><script>alert(1)</script>',
  '</title></head><body onload=alert(1)>',
  '"><img src=x onerror=alert(1)>',
  "' onmouseover='alert(1)",
  '<!-- --><script>alert(1)</script>',
  ']]>',
  '&lt;script&gt;',
  '&#x3c;script&#x3e;',
  '}*{display:none}/*',
  '*/',
  '\\',
  '\u2028\u2029',
  '${alert(1)}',
  '</textarea>',
  'plain',
];
const TRACKS = [
  'minmax(1px,2px',
  'minmax(1px, 2px))',
  '1px/*',
  '1px/**/',
  '1px;}*{color:red}',
  '1px}',
  '1px</style><script>alert(1)</script>',
  '1px/*</style><script>alert(1)</script>*/',
  'url(https://example.org)',
  'var(--x)',
  'expression(alert(1))',
  '1PX',
  'MinMax(10px,1FR)',
  'calc(1px + 2px)',
  'calc(1px + 2px',
  '"a"',
  '1fr\n',
  '\\31px',
  '1fr',
];
const words = fc.oneof(
  fc.constantFrom(...HOSTILE),
  fc.string({ maxLength: 20 }).map((text) => text.replaceAll('\0', '')),
);
/** Mostly such as are read, so that most pages are written. */
const track = fc.oneof(
  {
    weight: 9,
    arbitrary: fc.constantFrom('1fr', '1PX', '1px/*', 'minmax(1px,2px', 'MinMax(10px,1FR)', 'calc(1px + 2px'),
  },
  { weight: 1, arbitrary: fc.constantFrom(...TRACKS) },
);
const hostile = fc.record({
  name: words.filter((text) => text.trim() !== ''),
  texts: fc.array(words, { minLength: 12, maxLength: 12 }),
  columns: fc.array(track, { minLength: 1, maxLength: 3 }),
  autoRows: track,
});

/** A collection with words in every place for words. */
function speaking(
  texts: readonly string[],
  columns: readonly string[],
  autoRows: string,
  name: string,
): CollectionDocument {
  const base = sample([[1, 1]], 2);
  const [a = '', b = '', c = '', d = '', e = '', f = '', g = '', h = '', i = '', j = '', k = '', l = ''] =
    texts;
  const badge = { words: l, inline: 'end', block: 'start', fill: '#ffffff', textColour: '#000000' } as const;
  const tiles: Record<string, Tile> = {
    t1: {
      ...cardWith('text', 't1', { eyebrow: a, heading: `${b}.`, text: c }),
      badges: [badge],
      link: '#x',
    },
    t2: cardWith('quote', 't2', { quote: d, source: e }),
    t3: cardWith('stat', 't3', { figure: f, label: g }),
    t4: cardWith('action', 't4', { action: { words: h, address: '#y' } }),
    t5: cardWith('text', 't5', {
      heading: 'H',
      text: [{ kind: 'paragraph', spans: [{ text: i, strong: true }] }],
    }),
    t6: cardWith('icons', 't6', {
      icons: { icons: [{ icon: null, picture: null, label: j, address: '' }] },
    }),
    t7: cardWith('picture', 't7', { picture: { caption: k } }),
  };
  return {
    ...base,
    name,
    tiles,
    order: Object.keys(tiles),
    arrangement: { ...base.arrangement, columns, autoRows },
  };
}

/** Elements and the names of their attributes: what of a page no words may change. */
const shape = (html: string) =>
  elementsIn(html).map(({ tagName, attrs }) => `${tagName} ${attrs.map(({ name }) => name).join(' ')}`);

describe('whatever is typed', () => {
  test('the page has the elements and the rules that were meant, and the words as they were typed', () => {
    fc.assert(
      fc.property(hostile, ({ name, texts, columns, autoRows }) => {
        const input: unknown = JSON.parse(JSON.stringify(speaking(texts, columns, autoRows, name)));
        const { document, problems } = checkDocument(input);
        if (!document) {
          // Words are never refused here; only tracks may be.
          expect(problems.filter(({ path }) => !/columns|autoRows/.test(path))).toEqual([]);
          return;
        }
        const { files } = writePage(document, LETTERS);
        const [html = '', css = ''] = [files['index.html'], files['style.css']];

        const errors: string[] = [];
        const tree = parse(css, {
          onParseError: ({ message }) => void errors.push(message),
          parseCustomProperty: true,
        });
        expect(errors).toEqual([]);
        walk(tree, (node) => expect(node.type).not.toBe('Raw'));
        walk(tree, (node) => expect(node.type).not.toBe('Comment'));
        expect(css).not.toContain('</');

        // The same collection with other words: the same rules and elements.
        const plain = writePage(
          {
            ...document,
            ...wordless(
              speaking(
                texts.map((text) => (text.trim() === '' ? text : 'x')),
                columns,
                autoRows,
                'x',
              ),
            ),
          },
          LETTERS,
        ).files;
        expect(byTiles(css, html)).toBe(byTiles(plain['style.css'] ?? '', plain['index.html'] ?? ''));
        expect(shape(html)).toEqual(shape(plain['index.html'] ?? ''));

        const said = all(parseHtml(html))
          .flatMap((node) => ('value' in node ? [node.value] : []))
          .join('\n');
        const asRead = (text: string) => text.replace(/\r\n?/g, '\n').trim();
        for (const text of texts.slice(3, 8)) {
          for (const line of asRead(text).split('\n')) expect(said).toContain(line.trim());
        }
      }),
      { numRuns: 300 },
    );
  });

  test.each(TRACKS)('the track %j is written as it was read, or refused', (track) => {
    const { document } = checkDocument(speaking([], [track], '100px', 'x'));
    if (!document) return;
    const [written] = document.arrangement.columns;
    expect(written).toMatch(/^[a-z0-9 .,()%+*/-]+$/);
    expect(checkDocument(document).document?.arrangement.columns).toEqual([written]);
    expect(writePage(document, LETTERS).files['style.css']).toContain(written);
  });
});

/** A style sheet without what follows from words: tiles go by their ids, and fonts are left out. */
function byTiles(css: string, html: string): string {
  const tiles = [...html.matchAll(/class="(?:[^"]* )?([a-z][a-z0-9-]*)" data-tile="([^"]+)"/g)];
  expect(tiles.length).toBe(html.match(/data-tile="/g)?.length ?? 0);
  const ids = new Map(tiles.map(([, name = '', id = '']) => [name, id]));
  return css
    .replace(/@font-face \{[^}]*\}\n*/g, '')
    .replace(/\.([a-z][a-z0-9-]*)(?=[^{}]*\{)/g, (text, name: string) =>
      ids.has(name) ? `[data-tile="${ids.get(name)}"]` : text,
    );
}

const wordless = ({ tiles, name }: CollectionDocument) => ({ tiles, name });
