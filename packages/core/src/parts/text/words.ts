import { LIMITS } from '../../document/limits.js';
import { fields, isObject, list, oneOf } from '../../document/checks.js';
import { address, words } from '../../look/checks.js';
import type { Check } from '../../document/checks.js';
import type { Words } from '../../document/types.js';

const flag = oneOf([true, false], 'Whether words are strong or stressed');
const span = fields({ text: words, strong: flag, emphasis: flag, link: address }, 'A run of words', [
  'strong',
  'emphasis',
  'link',
]);
const spans = list(span, 0, LIMITS.spans, 'A list of words');
const paragraph = fields({ kind: oneOf(['paragraph'], 'The kind of a block'), spans }, 'A paragraph');
const items = fields(
  {
    kind: oneOf(['list', 'numbered'], 'The kind of a block'),
    items: list(spans, 0, LIMITS.spans, 'A list'),
  },
  'A list',
);
const block: Check = (value, path, report) => {
  const kind = isObject(value) ? value.kind : undefined;
  if (kind === 'paragraph') return paragraph(value, path, report);
  if (kind === 'list' || kind === 'numbered') return items(value, path, report);
  oneOf(['paragraph', 'list', 'numbered'], 'The kind of a block')(kind, `${path}/kind`, report);
};
const rich = list(block, 0, LIMITS.spans, 'Rich text');

/** Plain words, or rich ones. */
export const wordsOrRich: Check = (value, path, report) =>
  (Array.isArray(value) ? rich : words)(value, path, report);

/** Characters of running words, blocks and entries of a list that a thumbnail has room for. */
const MOST_WORDS = 240;
const MOST_BLOCKS = 3;
const MOST_ENTRIES = 6;

/** Words cut short for a thumbnail. */
export const cutWords = (all: Words): Words =>
  typeof all === 'string'
    ? all.slice(0, MOST_WORDS)
    : all
        .slice(0, MOST_BLOCKS)
        .map((each) => ('items' in each ? { ...each, items: each.items.slice(0, MOST_ENTRIES) } : each));
