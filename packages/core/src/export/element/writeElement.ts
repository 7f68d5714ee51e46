import { escapeHtml } from '../../engine/css/escape.js';
import { indented } from '../../engine/css/rule.js';
import { attributesHtml } from '../../engine/html/node.js';
import { ENLARGE_IN_ROOT, ENLARGED_HTML } from '../page/enlargeParts.js';
import { fontAssets, type Face } from '../page/fonts.js';
import { fragmentId } from '../fragment/writeFragment.js';
import { parted } from '../fragment/scoped.js';
import { readSheet, sheetText, type SheetItem } from '../sheet/sheet.js';
import { scrolling } from '../../parts/tileHtml.js';
import { spelt } from '../sheet/spelling.js';
import { written } from '../page/written.js';
import type { CollectionDocument } from '../../document/types.js';
import type { Page } from '../page/writePage.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** Stands for the address of the folder that the script is in, until it is written. */
const BASE = 'noria-base:/';

/** The element takes nothing from the page around, and what is in it measures the box that it has there. */
const AROUND = `:host { all: initial !important; display: block !important }
:host::before, :host::after { content: none !important }
.around { all: initial; display: block; direction: ltr }`;

/**
 * Writes a collection as a custom element: a module that defines it, with nothing else to load but pictures and fonts.
 * What is in it is its own (a shadow root), so that no rule of the page comes in and none goes out.
 * @returns `<name>.js`, and `<name>.html`, a page that shows how it is used
 * @throws whatever the measurer throws
 */
export function writeElement(collection: CollectionDocument, measurer: TextMeasurer): Page {
  const { queries: _, ...measuring } = collection;
  const { document, css, faces, tiles, enlarges, assets } = written(measuring, {
    measurer,
    without: ['main'],
    base: BASE,
  });
  const name = elementName(collection);
  const html = `<div class="around">
  <div class="collection" data-grid="collection"${attributesHtml(scrolling(document, null))}>
${tiles.map((tile) => `    ${tile}`).join('\n')}
  </div>
${enlarges ? ENLARGED_HTML : ''}</div>`;
  return {
    files: {
      [`${name}.js`]: moduleText({
        name,
        title: collection.name,
        css: elementCss(css),
        html,
        faces,
        enlarges,
      }),
      [`${name}.html`]: exampleHtml(name, document.language),
    },
    assets: [...assets.values(), ...fontAssets(document, html)],
  };
}

/** What the element is called: custom elements have a hyphen in their names. */
export function elementName(collection: Pick<CollectionDocument, 'name'>): string {
  const id = fragmentId(collection);
  return id.includes('-') ? id : `${id}-grid`;
}

function elementCss(css: string): string {
  const { own, items } = parted(css);
  const around = readSheet(AROUND).map((item, k): SheetItem =>
    item.kind === 'rule' && k === 2 ? { ...item, declarations: [...item.declarations, ...own] } : item,
  );
  return sheetText([...spelt(around), ...items]);
}

interface Module {
  readonly name: string;
  readonly title: string;
  readonly css: string;
  readonly html: string;
  readonly faces: readonly Face[];
  readonly enlarges: boolean;
}

const moduleText = ({
  name,
  title,
  css,
  html,
  faces,
  enlarges,
}: Module) => `// “${oneLine(title)}” as <${name}></${name}>. Pictures and fonts lie beside this file.
const base = new URL('.', import.meta.url).href;

const fonts = [
${faces.map((face) => `  ${faceText(face)},\n`).join('')}];

const css = ${templateOf(css)};

const html = ${templateOf(html)};

let sheet;

customElements.get('${name}') ??
  customElements.define(
    '${name}',
    class extends HTMLElement {
      connectedCallback() {
        if (this.shadowRoot) return;
        if (!sheet) {
          sheet = new CSSStyleSheet();
          sheet.replaceSync(css);
          // Fonts are the page's: an element can't have its own.
          for (const [family, file, how] of fonts) {
            document.fonts.add(new FontFace(family, \`url("\${base}\${file}")\`, how));
          }
        }
        const root = this.attachShadow({ mode: 'open' });
        root.adoptedStyleSheets = [sheet];
        root.innerHTML = html;
${enlarges ? '        enlarge(root);\n' : ''}      }
    },
  );
${enlarges ? `\nfunction enlarge(root) {\n${indented(ENLARGE_IN_ROOT)}}\n` : ''}`;

const oneLine = (text: string) => text.replace(/\s+/g, ' ');

const faceText = ({ family, path, style, weight, unicodeRange }: Face) =>
  JSON.stringify([family, path, { style, weight, display: 'swap', ...(unicodeRange && { unicodeRange }) }]);

/** A text as a template, with the folder where it is asked for. */
const templateOf = (text: string) =>
  `\`${text
    .replace(/[\\`]|\$(?=\{)/g, '\\$&')
    .replaceAll(BASE, '${base}')
    // Nothing in it ends a script that it may be written into.
    .replace(/<\/(?=script)/gi, '<\\/')}\``;

const exampleHtml = (name: string, language: string) => `<!doctype html>
<html lang="${escapeHtml(language)}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${name}</title>
  <script type="module" src="${name}.js"></script>
</head>
<body>
  <${name}></${name}>
</body>
</html>
`;
