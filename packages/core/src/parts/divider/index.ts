import { element } from '../../engine/html/node.js';
import type { DividerPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const divider: PartKind<DividerPart> = {
  name: 'divider',
  called: 'A divider',
  fields: {},
  empty: {},
  html: (_, { attributes }) => [element('hr', attributes)],
  css: () => ({
    apart: `:is(.card, .row) > hr {
  flex: none;
  align-self: stretch;
  inline-size: auto;
  margin: 0;
  border: 0 solid;
  border-block-start-width: 1px;
  color: inherit;
  opacity: 0.3;
}
.row > hr {
  border-width: 0;
  border-inline-start-width: 1px;
}
`,
  }),
  least: 'nothing',
  weight: 0,
  slots: [],
};
