import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { paragraph } from '../text/paragraph.js';
import { INITIAL_STYLE, type BoxStyle } from '../box/style.js';
import { cascade, type Cascaded, type CascadeEnvironment } from './cascade.js';
import { computeStyle, type ComputedStyle } from './computeStyle.js';
import { INITIAL_INHERITED, type InheritedStyle } from './inheritedStyle.js';
import type { Box, InlineContent } from '../box/box.js';
import type { TextMeasurer, TextRun } from '../text/types.js';
import type { Units } from '../css/parseLength.js';
import type { SourcePage } from './readPage.js';

export interface BoxesOptions {
  readonly units: Omit<Units, 'em' | 'rem'>;
  readonly environment: CascadeEnvironment;
  readonly measurer: TextMeasurer;
  /** Natural size of a picture by its address, px; null when it can't be known. */
  readonly pictureSize: (
    address: string,
  ) => { readonly inlineSize: number; readonly blockSize: number } | null;
  /** How the browser that the page is meant for fills lanes; left out: as most do. */
  readonly lanesGoOnAfter?: BoxStyle['lanesGoOnAfter'];
}

/** Boxes of a page, with the element of each. */
export interface PageBoxes {
  readonly root: Box;
  readonly elementOf: ReadonlyMap<Box, Element>;
  readonly containers: ReadonlyMap<Element, ComputedStyle>;
}

interface Context {
  readonly inherited: InheritedStyle;
  readonly parentBox: BoxStyle | null;
  readonly custom: ReadonlyMap<string, string>;
}

/** Words or boxes that came out of an element's children, in order. */
type Part = { readonly run: TextRun } | { readonly box: Box };

/** Makes the boxes of a page in one environment (CSS Display 4). */
export function toBoxes(page: SourcePage, options: BoxesOptions): PageBoxes {
  const elementOf = new Map<Box, Element>();
  const containers = new Map<Element, ComputedStyle>();
  let rem = 16;

  const makeBox = (element: Element, style: ComputedStyle, custom: ReadonlyMap<string, string>): Box => {
    const { attribs } = element;
    const natural = naturalSize(element, options.pictureSize);
    const context: Context = { inherited: style.inherited, parentBox: style.box, custom };
    const parts = natural ? [] : element.children.flatMap((child) => partsOf(child, context));
    const content = contentOf(parts, style);
    const box: Box = {
      id: attribs['data-tile'] ?? null,
      isGridRoot: 'data-grid' in attribs,
      style: natural ? replacedStyle(style.box, natural, attribs) : style.box,
      natural: natural && style.box.aspectRatio === null ? natural : natural,
      ...content,
    };
    elementOf.set(box, element);
    if (style.container) containers.set(element, style);
    return box;
  };

  const { lanesGoOnAfter = INITIAL_STYLE.lanesGoOnAfter } = options;
  const styleOf = (cascaded: Cascaded, inherited: InheritedStyle, parent: BoxStyle | null): ComputedStyle => {
    const style = computeStyle(cascaded, inherited, parent, { ...options.units, rem });
    return { ...style, box: { ...style.box, lanesGoOnAfter } };
  };

  const partsOf = (node: ChildNode, context: Context): Part[] => {
    if (isText(node)) return [{ run: runOf(node.data, context.inherited) }];
    if (!isTag(node)) return [];
    const cascaded = cascade(page, node, context.custom, options.environment);
    const style = styleOf(cascaded, context.inherited, context.parentBox);
    if (style.outer === 'none') return [];
    if (node.name === 'br') return [{ run: runOf('\u2028', context.inherited) }];
    const blockified =
      context.parentBox !== null && ['grid', 'lanes', 'flex'].includes(context.parentBox.display);
    const isWords =
      style.outer === 'inline' &&
      !blockified &&
      style.box.position !== 'absolute' &&
      !isReplacedName(node.name);
    if (isWords || style.outer === 'contents') {
      const inner: Context = {
        inherited: style.inherited,
        // The box around stays the parent of what is in an element that makes none.
        parentBox: context.parentBox,
        custom: cascaded.custom,
      };
      return node.children.flatMap((child) => partsOf(child, inner));
    }
    return [{ box: makeBox(node, style, cascaded.custom) }];
  };

  const contentOf = (
    parts: readonly Part[],
    style: ComputedStyle,
  ): { children: Box[]; text: InlineContent | null } => {
    const isFlow = style.box.display === 'block';
    const hasBoxes = parts.some((part) => 'box' in part);
    const wrapped: Box[] = [];
    let runs: TextRun[] = [];
    const close = () => {
      const text = textOf(runs, style);
      runs = [];
      if (text) {
        const anonymous = { ...INITIAL_STYLE, direction: style.inherited.direction };
        wrapped.push({ id: null, isGridRoot: false, style: anonymous, children: [], text, natural: null });
      }
    };
    for (const part of parts) {
      if ('run' in part) runs.push(part.run);
      else {
        close();
        wrapped.push(part.box);
      }
    }
    if (isFlow && !hasBoxes) return { children: [], text: textOf(runs, style) };
    close();
    return { children: wrapped, text: null };
  };

  const textOf = (runs: readonly TextRun[], { inherited }: ComputedStyle): InlineContent | null => {
    const collapses =
      { pre: 'none', 'pre-wrap': 'none', 'break-spaces': 'none', 'pre-line': 'spaces' }[
        inherited.whiteSpace
      ] ?? 'all';
    if (collapses !== 'none' && runs.every(({ text }) => /^[ \t\n\r\f]*$/.test(text))) return null;
    return paragraph(
      runs,
      {
        wraps: inherited.wraps,
        collapses: collapses as 'all' | 'spaces' | 'none',
        overflowWrap:
          inherited.overflowWrap === 'anywhere' || inherited.overflowWrap === 'break-word'
            ? inherited.overflowWrap
            : 'normal',
        wordBreak:
          inherited.wordBreak === 'break-all' || inherited.wordBreak === 'keep-all'
            ? inherited.wordBreak
            : 'normal',
      },
      options.measurer,
    );
  };

  const cascaded = cascade(page, page.root, new Map(), options.environment);
  const style = styleOf(cascaded, INITIAL_INHERITED, null);
  rem = style.inherited.fontSize;
  return { root: makeBox(page.root, { ...style, outer: 'block' }, cascaded.custom), elementOf, containers };
}

function runOf(text: string, style: InheritedStyle): TextRun {
  const { lineHeight, fontSize } = style;
  return {
    text,
    font: { families: style.families, size: fontSize, weight: style.weight, italic: style.italic },
    lineHeight:
      lineHeight === null ? null : 'factor' in lineHeight ? lineHeight.factor * fontSize : lineHeight.px,
    letterSpacing: style.letterSpacing,
  };
}

const REPLACED = new Set(['img', 'video', 'canvas', 'svg', 'iframe', 'picture']);
const isReplacedName = (name: string) => REPLACED.has(name) && name !== 'picture';

function naturalSize(element: Element, pictureSize: BoxesOptions['pictureSize']): Box['natural'] {
  if (!isReplacedName(element.name)) return null;
  const { attribs } = element;
  const [width, height] = [dimension(attribs.width), dimension(attribs.height)];
  if (element.name === 'img') {
    const known = pictureSize(attribs.src ?? '');
    if (known) return known;
    if (width !== null && height !== null) return { inlineSize: width, blockSize: height };
    return { inlineSize: width ?? 0, blockSize: height ?? 0 };
  }
  return { inlineSize: width ?? 300, blockSize: height ?? 150 };
}

const dimension = (text: string | undefined) =>
  text !== undefined && /^\d+(\.\d+)?$/.test(text.trim()) ? Number(text) : null;

/** Width and height attributes count as the weakest of declarations (HTML, section 15.4.3). */
function replacedStyle(
  style: BoxStyle,
  natural: NonNullable<Box['natural']>,
  attribs: Element['attribs'],
): BoxStyle {
  const [width, height] = [dimension(attribs.width), dimension(attribs.height)];
  const ratio =
    width && height ? width / height : natural.blockSize > 0 ? natural.inlineSize / natural.blockSize : null;
  return {
    ...style,
    inlineSize: style.inlineSize === 'auto' && width !== null ? width : style.inlineSize,
    blockSize: style.blockSize === 'auto' && height !== null ? height : style.blockSize,
    aspectRatio: style.aspectRatio ?? (ratio !== null && Number.isFinite(ratio) && ratio > 0 ? ratio : null),
  };
}
