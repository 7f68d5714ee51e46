import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { INITIAL_STYLE, type BoxStyle } from '../box/style.js';
import { cascade, type Cascaded, type CascadeEnvironment } from './cascade.js';
import { computeStyle, type ComputedStyle } from './computeStyle.js';
import { INITIAL_INHERITED, type InheritedStyle } from './inheritedStyle.js';
import { contentOf, runOf, type Part } from './words.js';
import { isReplacedElement, naturalSize, replacedStyle, type PictureSize } from './replaced.js';
import type { Box } from '../box/box.js';
import type { TextMeasurer } from '../text/types.js';
import type { Units } from '../css/parseLength.js';
import type { SourcePage } from './sourcePage.js';

export interface BoxesOptions {
  readonly units: Omit<Units, 'em' | 'rem'>;
  readonly environment: CascadeEnvironment;
  readonly measurer: TextMeasurer;
  readonly pictureSize: PictureSize;
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

/** Makes the boxes of a page in one environment (CSS Display 4). */
export function toBoxes(page: SourcePage, options: BoxesOptions): PageBoxes {
  const elementOf = new Map<Box, Element>();
  const containers = new Map<Element, ComputedStyle>();
  let rem = 16;

  const makeBox = (element: Element, style: ComputedStyle, { values, custom }: Cascaded): Box => {
    const { attribs } = element;
    const natural = naturalSize(element, options.pictureSize);
    const context: Context = { inherited: style.inherited, parentBox: style.box, custom };
    const parts = natural ? [] : element.children.flatMap((child) => partsOf(child, context));
    const content = contentOf(parts, style.box.display === 'block', style.inherited, options.measurer);
    const box: Box = {
      id: attribs['data-tile'] ?? null,
      isGridRoot: 'data-grid' in attribs,
      style: natural ? replacedStyle(style.box, natural, attribs, values) : style.box,
      natural,
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
      !isReplacedElement(node.name);
    if (isWords || style.outer === 'contents') {
      const inner: Context = {
        inherited: style.inherited,
        // The box around stays the parent of what is in an element that makes none.
        parentBox: context.parentBox,
        custom: cascaded.custom,
      };
      return node.children.flatMap((child) => partsOf(child, inner));
    }
    return [{ box: makeBox(node, style, cascaded) }];
  };

  const cascaded = cascade(page, page.root, new Map(), options.environment);
  const style = styleOf(cascaded, INITIAL_INHERITED, null);
  rem = style.inherited.fontSize;
  return { root: makeBox(page.root, { ...style, outer: 'block' }, cascaded), elementOf, containers };
}
