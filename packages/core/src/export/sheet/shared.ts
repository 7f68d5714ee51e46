import { AttributeAction, SelectorType, stringify, type Selector } from 'css-what';
import type { Declaration, SheetItem, SheetRule } from './sheet.js';

/** What of which tile a selector is of: the tile itself where there is nothing after it. */
interface OfTile {
  /** The attribute that names it. */
  readonly tile: string;
  readonly rest: string;
}

/** The attributes by which tiles, and what is laid before them, are named. */
const NAMES = new Set(['data-tile', 'data-opens']);

function ofTile(selector: readonly Selector[]): OfTile | null {
  const [first, ...rest] = selector;
  if (first?.type !== SelectorType.Attribute || !NAMES.has(first.name)) return null;
  if (first.action !== AttributeAction.Equals) return null;
  // A tile in a group is of two of them.
  if (rest.some((part) => part.type === SelectorType.Attribute && NAMES.has(part.name))) return null;
  return { tile: `${first.name}=${first.value}`, rest: rest.length === 0 ? '' : stringify([rest]) };
}

/** The tiles that a rule is of; null where it is of others than tiles by their names. */
function tilesOf({ selectors }: SheetRule): readonly OfTile[] | null {
  const all = selectors.map(ofTile);
  return all.every((each) => each !== null) ? all : null;
}

/** Whether two selectors can't be of one element: of two tiles, or of a tile and of what is in it. */
const isApart = (a: OfTile, b: OfTile) =>
  a.tile !== b.tile || (a.rest === '' ? isInside(b) : b.rest === '' && isInside(a));

const isInside = ({ rest }: OfTile) => /^(\s|::)/.test(rest);

const said = ({ declarations }: SheetRule) => JSON.stringify(declarations);

/** Rules of one selector after each other become one, and so do those of tiles that say the same. */
export function merged(items: readonly SheetItem[]): SheetItem[] {
  const out: SheetItem[] = [];
  let run = new Run();
  for (const item of items) {
    const last = out.at(-1);
    if (item.kind !== 'rule') {
      out.push(item.kind === 'block' ? { ...item, items: merged(item.items) } : item);
      run = new Run();
      continue;
    }
    if (last?.kind === 'rule' && stringify([...last.selectors]) === stringify([...item.selectors])) {
      const together: SheetRule = { ...last, declarations: inOrder(last, item) };
      out[out.length - 1] = together;
      run.forget(out.length - 1);
      if (tilesOf(item)) run.know(out.length - 1, said(together), []);
      continue;
    }
    const own = tilesOf(item);
    // What is of others than tiles may be of any of them.
    if (!own) run = new Run();
    const at = own ? run.find(said(item), own) : null;
    const before = at === null ? undefined : out[at];
    if (at !== null && before?.kind === 'rule')
      out[at] = { ...before, selectors: [...before.selectors, ...item.selectors] };
    else out.push(item);
    if (own) run.know(at ?? out.length - 1, said(item), own);
  }
  return out;
}

/** Rules of tiles after each other, found by what they say and by whom they are of. */
class Run {
  private readonly bySaid = new Map<string, number>();
  private readonly byTile = new Map<string, { readonly at: number; readonly of: OfTile }[]>();

  /** The last rule that says so; null where there is none, or one after it is of the same element. */
  find(text: string, own: readonly OfTile[]): number | null {
    const found = this.bySaid.get(text);
    if (found === undefined) return null;
    const isFree = own.every((each) =>
      (this.byTile.get(each.tile) ?? []).every(({ at, of }) => at <= found || isApart(each, of)),
    );
    return isFree ? found : null;
  }

  know(at: number, text: string, own: readonly OfTile[]): void {
    this.bySaid.set(text, at);
    for (const of of own) {
      const known = this.byTile.get(of.tile);
      if (known) known.push({ at, of });
      else this.byTile.set(of.tile, [{ at, of }]);
    }
  }

  /** A rule says something else from now on. */
  forget(at: number): void {
    for (const [text, each] of this.bySaid) if (each === at) this.bySaid.delete(text);
  }
}

/** What two rules of one selector say; what the later one says wins. */
const inOrder = (first: SheetRule, then: SheetRule): Declaration[] => [
  ...first.declarations.filter(([property]) => then.declarations.every(([other]) => other !== property)),
  ...then.declarations,
];

/** How many tiles say a thing before it is said of them together. */
const FEWEST = 3;

/** Where a tile lies is said by the tile, unless all lie so. */
const PLACE = /^grid-(column|row)$/;

/** What a tile says by itself in a list of rules. */
interface Own {
  readonly tile: string;
  readonly rule: SheetRule;
}

/** What several tiles say, said once. */
interface Together {
  readonly own: Own[];
  readonly declarations: Declaration[];
}

/** Said once of all the tiles that say it, before what each says by itself. */
export function shared(items: readonly SheetItem[]): SheetItem[] {
  const within = items.map((item) => (item.kind === 'block' ? { ...item, items: shared(item.items) } : item));
  const own = ownRules(within);
  const worth = togetherIn(own).filter(isWorth);
  if (worth.length === 0) return within;
  const taken = new Map<SheetItem, Set<Declaration>>();
  for (const { own: those, declarations } of worth)
    for (const { rule } of those) {
      const gone = taken.get(rule) ?? new Set();
      for (const each of rule.declarations) if (declarations.some((one) => isSame(one, each))) gone.add(each);
      taken.set(rule, gone);
    }
  const together = worth.map(({ own: those, declarations }): SheetRule => ({
    kind: 'rule',
    selectors: those.flatMap(({ rule }) => rule.selectors),
    declarations,
  }));
  const first = within.findIndex((item) => own.some(({ rule }) => rule === item));
  return [...within.slice(0, first), ...together, ...within.slice(first)].flatMap((item): SheetItem[] => {
    const gone = taken.get(item);
    if (item.kind !== 'rule' || !gone) return [item];
    const declarations = item.declarations.filter((each) => !gone.has(each));
    return declarations.length > 0 ? [{ ...item, declarations }] : [];
  });
}

/**
 * The rules of tiles by themselves. None where other rules stand among them: what is said earlier would
 * come before those.
 */
function ownRules(items: readonly SheetItem[]): Own[] {
  const all = items.map((item) => {
    const of = item.kind === 'rule' ? tilesOf(item) : null;
    return { item, of };
  });
  const from = all.findIndex(({ of }) => of !== null);
  const after = all.slice(from).findIndex(({ of }) => of === null);
  const run = from === -1 ? [] : all.slice(from, after === -1 ? undefined : from + after);
  const count = new Map<string, number>();
  for (const { of } of run)
    for (const { tile, rest } of of ?? []) if (rest === '') count.set(tile, (count.get(tile) ?? 0) + 1);
  return run.flatMap(({ item, of }) => {
    const [only, ...more] = of ?? [];
    return item.kind === 'rule' && only?.rest === '' && more.length === 0 && count.get(only.tile) === 1
      ? [{ tile: only.tile, rule: item }]
      : [];
  });
}

/** What tiles say, by who says it. */
function togetherIn(own: readonly Own[]): Together[] {
  const saying = new Map<string, { declaration: Declaration; own: Own[] }>();
  for (const each of own)
    for (const declaration of each.rule.declarations) {
      if (!standsAlone(declaration, each.rule)) continue;
      const key = declaration.join(': ');
      const known = saying.get(key);
      if (known) known.own.push(each);
      else saying.set(key, { declaration, own: [each] });
    }
  const groups = new Map<string, Together>();
  for (const { declaration, own: those } of saying.values()) {
    const key = those.map(({ tile }) => tile).join(' ');
    const known = groups.get(key);
    if (known) known.declarations.push(declaration);
    else groups.set(key, { own: those, declarations: [declaration] });
  }
  return [...groups.values()].map((group) =>
    group.own.length === own.length
      ? group
      : { ...group, declarations: group.declarations.filter(([property]) => !PLACE.test(property)) },
  );
}

const isSame = (a: Declaration, b: Declaration) => a[0] === b[0] && a[1] === b[1];

/** Whether it is shorter said once. */
function isWorth({ own, declarations }: Together) {
  const lines = declarations.reduce((sum, [property, value]) => sum + property.length + value.length + 6, 0);
  const names = own.reduce((sum, { tile }) => sum + tile.replace(/^.*=/, '').length + 3, 0);
  return own.length >= FEWEST && declarations.length > 0 && (own.length - 1) * lines > names;
}

/** Whether nothing else in the rule sets a part of it, or it a part of another. */
const standsAlone = ([property]: Declaration, { declarations }: SheetRule) =>
  declarations.every(
    ([other]) =>
      other === property || !(other.startsWith(`${property}-`) || property.startsWith(`${other}-`)),
  ) && declarations.filter(([other]) => other === property).length === 1;
