import { AttributeAction, SelectorType, type Selector } from 'css-what';

export type Specificity = readonly [ids: number, classes: number, types: number];

/** Specificity (Selectors 4, section 17). */
export function specificityOf(selector: readonly Selector[]): Specificity {
  let [ids, classes, types] = [0, 0, 0];
  for (const part of selector) {
    switch (part.type) {
      case SelectorType.Attribute:
        if (part.name === 'id' && part.action === AttributeAction.Equals) ids++;
        else classes++;
        break;
      case SelectorType.Pseudo: {
        if (part.name === 'where') break;
        const inner = Array.isArray(part.data) ? part.data.map(specificityOf) : null;
        if (inner && ['is', 'not', 'has', 'matches'].includes(part.name)) {
          const most = inner.reduce<Specificity>(
            (a, b) => (compareSpecificity(a, b) >= 0 ? a : b),
            [0, 0, 0],
          );
          ids += most[0];
          classes += most[1];
          types += most[2];
        } else classes++;
        break;
      }
      case SelectorType.Tag:
      case SelectorType.PseudoElement:
        types++;
        break;
      default:
    }
  }
  return [ids, classes, types];
}

export const compareSpecificity = (a: Specificity, b: Specificity) =>
  a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
