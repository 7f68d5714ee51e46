import { number, orNull } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import { px } from '../../engine/css/units.js';
import { element } from '../../engine/html/node.js';
import type { SpacerPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const spacer: PartKind<SpacerPart> = {
  name: 'spacer',
  called: 'A spacer',
  fields: { size: orNull(number(0, LIMITS.padding, 'The size of a spacer')) },
  empty: { size: null },
  html: (_, { attributes }) => [element('div', { class: 'space', ...attributes })],
  css: () => ({
    apart: `.space {
  flex: 1 1 0;
}
`,
  }),
  rules: ({ size }, { at }) =>
    size === null ? [] : [{ selector: at, declarations: { flex: `0 0 ${px(size)}` } }],
  least: 'nothing',
  weight: 0,
  slots: [],
};
