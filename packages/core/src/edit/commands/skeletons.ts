import { emptyGroup } from '../../arrangements/emptyGroup.js';
import { bandsOf, inheritedArrangement } from '../../document/bands.js';
import { withoutDerived } from '../../document/derived.js';
import { addBreakpoint } from './bands.js';
import { newCard, newGroup } from '../../parts/newTile.js';
import { CONTENT, type SkeletonForm } from '../skeletons/forms.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { Arrangement, GroupTile, TileId, WrittenLength } from '../../document/types.js';

/** What an area begins with, so that none is empty. */
const BEGINS: Readonly<Record<string, readonly [heading: string, body: string]>> = {
  header: ['Header', 'The name of the page, and where it leads.'],
  footer: ['Footer', 'Who made it, and how to reach them.'],
  side: ['Sidebar', 'What goes along with the content.'],
  north: ['North', 'The first around the centre.'],
  east: ['East', 'The second around the centre.'],
  west: ['West', 'The third around the centre.'],
  south: ['South', 'The last around the centre.'],
  [CONTENT]: ['Content', 'What the page is about.'],
};

const NO_AIR = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };

/**
 * Puts a collection into a page skeleton: each area becomes a group with an arrangement of its own,
 * and the content takes all tiles that there were, laid out as they were. Breakpoints of the form are
 * added; those that there are stay.
 * @param freshId ids for tiles and bands that are made
 */
export function setSkeleton(form: SkeletonForm, freshId: (of: string) => string): Command {
  return (draft) => {
    const before = [...draft.order];
    draft.bands = withoutDerived(draft).bands as Draft['bands'];
    const arrangements = bandsOf(draft).map(({ index }) => inheritedArrangement(draft, index));
    const own = draft.bands.map((band) => ({ ...band.arrangement }));
    const groups = new Map<string, TileId>();
    for (const area of form.areas) {
      const id = freshId('group');
      groups.set(area, id);
      const inside = area === CONTENT && before.length > 0 ? before : [addText(draft, area, freshId)];
      addGroup(draft, id, area, inside, (arrangements[0] ?? draft.arrangement).columnGap);
    }
    draft.order = form.areas.map((area) => groups.get(area) as TileId);
    const content = draft.tiles[groups.get(CONTENT) as TileId];
    if (before.length > 0 && content?.kind === 'group') {
      content.arrangement = withoutAir(draft.arrangement) as typeof content.arrangement;
      draft.bands.forEach((band, k) => {
        const { padding: _, maxInlineSize: __, height: ___, ...rest } = own[k] ?? {};
        if (Object.keys(rest).length > 0) (band.groups ??= {})[content.id] = rest;
      });
    }
    for (const { below } of form.bands) if (below !== null) addBreakpoint(freshId('band'), below)(draft);
    write(draft, form);
  };
}

/** The outer page has the air around, and the width; the content has neither. */
const withoutAir = (arrangement: Arrangement): Arrangement => {
  const { height: _, ...rest } = arrangement;
  return { ...rest, padding: NO_AIR, maxInlineSize: null };
};

function addText(draft: Draft, area: string, freshId: (of: string) => string): TileId {
  const id = freshId('text');
  const [heading, body] = BEGINS[area] ?? ['Area', ''];
  const tile = newCard('text', id, { heading: { words: heading }, text: { words: body } });
  draft.tiles[id] = tile as Draft['tiles'][string];
  return id;
}

function addGroup(
  draft: Draft,
  id: TileId,
  area: string,
  inside: readonly TileId[],
  gap: WrittenLength,
): void {
  const group: GroupTile = {
    ...newGroup(id),
    name: area.charAt(0).toUpperCase() + area.slice(1),
    place: { columnSpan: 1, rowSpan: 1, pin: null, area },
    look: { fill: 'none', textColour: 'auto', spread: 'start', radius: 0 },
    arrangement: {
      ...emptyGroup(),
      columns: ['1fr'],
      autoRows: area === CONTENT ? 'auto' : 'minmax(auto, 1fr)',
      columnGap: gap,
      rowGap: gap,
    },
    order: inside,
  };
  draft.tiles[id] = group as Draft['tiles'][string];
}

/** Gives every band the map and tracks that the form has at its widths. */
function write(draft: Draft, form: SkeletonForm): void {
  const [widest] = form.bands;
  if (!widest) return;
  const { columnGap, rowGap, padding, maxInlineSize } = draft.arrangement;
  const { columnIds: _, rowIds: __, ...plain } = emptyGroup();
  draft.arrangement = {
    ...plain,
    columns: [...widest.columns],
    rows: [...widest.rows],
    autoRows: 'auto',
    areas: [...widest.areas],
    columnGap,
    rowGap,
    padding,
    maxInlineSize,
    ...(form.height && { height: form.height }),
  };
  let inherited = widest;
  for (const band of draft.bands) {
    const here = form.bands.findLast(({ below }) => below !== null && band.below <= below) ?? widest;
    const { padding: air, columnGap: across, rowGap: down } = band.arrangement;
    band.arrangement = {
      ...(air && { padding: air }),
      ...(across !== undefined && { columnGap: across }),
      ...(down !== undefined && { rowGap: down }),
      ...(here !== inherited && {
        columns: [...here.columns],
        rows: [...here.rows],
        areas: [...here.areas],
      }),
    };
    inherited = here;
  }
}
