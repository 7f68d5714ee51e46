import type { FluidSize, NamedLook, NamedLooks } from '../document/look.js';
import { formatHex, parse } from 'culori';
import { calledIn } from './named.js';

const GROUPS: Readonly<Record<NamedLook['kind'], string>> = {
  colour: 'colour',
  radius: 'radius',
  space: 'space',
  type: 'type',
};
/** Under which name a fluid size is kept beside the one size that the format knows. */
const FLUID = 'noria.fluid';
/** Under which name the id of a named look is kept. */
const ID = 'noria.id';
const AS_ID = /^[a-z][a-z0-9-]{0,63}$/;

/**
 * Named looks as design tokens (Design Tokens Community Group, Format Module 2025.10): a group for each
 * kind, colours in sRGB with their hexadecimal form, lengths as dimensions in px. One that follows another is
 * an alias of it.
 */
export function toDesignTokens(looks: NamedLooks): object {
  const groups: Record<string, Record<string, unknown>> = {};
  const called = calledIn(looks);
  for (const look of Object.values(looks)) {
    const group = (groups[GROUPS[look.kind]] ??= {
      $type: look.kind === 'colour' ? 'color' : 'dimension',
    });
    const base = look.follows === undefined ? undefined : looks[look.follows];
    const name = called.get(look.id) ?? look.id;
    group[name] = {
      $value: base ? `{${GROUPS[base.kind]}.${called.get(base.id) ?? base.id}}` : tokenValue(look),
      $description: look.name,
      ...extension(look, name),
    };
  }
  return groups;
}

function tokenValue(look: NamedLook): unknown {
  if (look.kind === 'colour') {
    const components = [1, 3, 5].map((at) =>
      Number((Number.parseInt(look.value.slice(at, at + 2), 16) / 255).toFixed(4)),
    );
    return { colorSpace: 'srgb', components, hex: look.value };
  }
  return { value: typeof look.value === 'object' ? look.value.to : look.value, unit: 'px' };
}

/** What the format does not know, under names of our own: a fluid size, and the id where the name is another. */
function extension(look: NamedLook, called: string): object {
  const own = {
    ...(typeof look.value === 'object' && look.follows === undefined && { [FLUID]: look.value }),
    ...(called !== look.id && { [ID]: look.id }),
  };
  return Object.keys(own).length > 0 ? { $extensions: own } : {};
}

export interface ReadTokens {
  readonly looks: NamedLooks;
  /** What was left out, and why. */
  readonly notices: readonly string[];
}

/**
 * Reads design tokens: colours and dimensions, in groups of any depth, with inherited types and aliases.
 * Colours come as objects or, as older files have them, as text.
 * @throws RangeError when the value is no object
 */
export function fromDesignTokens(json: unknown): ReadTokens {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new RangeError('Design tokens are a JSON object of groups and tokens.');
  const looks: Record<string, NamedLook> = {};
  const notices: string[] = [];
  const say = (path: readonly string[], why: string): void => void notices.push(`${path.join('.')}: ${why}`);
  /** The ids of tokens by where they stand, and where those stand that they are aliases of. */
  const ids = new Map<string, string>();
  const aliases: { readonly id: string; readonly of: string }[] = [];
  const visit = (node: Record<string, unknown>, path: readonly string[], inherited: string | null): void => {
    const type = typeof node.$type === 'string' ? node.$type : inherited;
    if ('$value' in node) {
      const value = dereferenced(json as Record<string, unknown>, node.$value);
      if (value === undefined)
        return say(path, `it refers to ${JSON.stringify(node.$value)}, which is not there.`);
      const look = readToken(path, type ?? value.type, value.value, node);
      if (typeof look === 'string') return say(path, look);
      let { id } = look;
      for (let n = 2; looks[id]; n++) id = `${look.id.slice(0, 58)}-${n}`;
      looks[id] = { ...look, id };
      ids.set(path.join('.'), id);
      const of = aliasIn(node.$value);
      if (of !== null) aliases.push({ id, of });
      return;
    }
    for (const [key, child] of Object.entries(node)) {
      if (key.startsWith('$') || typeof child !== 'object' || child === null) continue;
      if (path.length > 20) return say(path, 'it lies too deep.');
      visit(child as Record<string, unknown>, [...path, key], type);
    }
  };
  visit(json as Record<string, unknown>, [], null);
  for (const { id, of } of aliases) {
    const [look, base] = [looks[id], looks[ids.get(of) ?? '']];
    // An alias in a group of another kind is a value of its own here.
    if (look && base?.kind === look.kind) looks[id] = { ...look, follows: base.id };
  }
  return { looks, notices };
}

/** Where the token stands that another is an alias of; null: it has a value. */
const aliasIn = (value: unknown): string | null =>
  typeof value === 'string' ? (/^\{([^{}]+)\}$/.exec(value)?.[1] ?? null) : null;

/** Follows `{group.token}` to the value in the end; undefined when it leads nowhere or in a circle. */
function dereferenced(
  json: Record<string, unknown>,
  value: unknown,
): { readonly value: unknown; readonly type: string | null } | undefined {
  let at = value;
  let type: string | null = null;
  for (let step = 0; step < 20; step++) {
    const path = aliasIn(at);
    if (path === null) return { value: at, type };
    let node: unknown = json;
    for (const key of path.split('.')) {
      if (typeof node !== 'object' || node === null || !Object.hasOwn(node, key)) return undefined;
      node = (node as Record<string, unknown>)[key];
      const said = (node as Record<string, unknown> | null)?.$type;
      if (typeof said === 'string') type = said;
    }
    at = (node as Record<string, unknown>).$value;
  }
  return undefined;
}

function readToken(
  path: readonly string[],
  type: string | null,
  value: unknown,
  node: Record<string, unknown>,
): NamedLook | string {
  const { [FLUID]: fluid, [ID]: kept } = (node.$extensions ?? {}) as Record<string, unknown>;
  const id =
    (typeof kept === 'string' && AS_ID.test(kept) && kept) ||
    path
      .join('-')
      .toLowerCase()
      .replace(/^(colou?rs?|radius|radii|space|spacing|type)-/, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^[^a-z]+|-+$/g, '')
      .slice(0, 60) ||
    'look';
  const name =
    typeof node.$description === 'string' && node.$description.trim() !== ''
      ? node.$description
      : (path.at(-1) ?? id);
  const base = { id, name: name.slice(0, 200) };
  if (type === 'color') {
    const colour = colourFrom(value);
    return colour ? { ...base, kind: 'colour', value: colour } : 'its colour can’t be read.';
  }
  if (type !== 'dimension') return `its type is ${type ?? 'not said'}; colours and dimensions are read.`;
  const length = lengthFrom(value);
  if (length === null) return 'its length is neither px nor rem.';
  const words = path.join(' ').toLowerCase();
  if (/radi|corner|round/.test(words)) return { ...base, kind: 'radius', value: length };
  if (/type|font|text|heading|body|size/.test(words)) {
    return { ...base, kind: 'type', value: isFluid(fluid) ? fluid : length };
  }
  return { ...base, kind: 'space', value: length };
}

const isFluid = (value: unknown): value is FluidSize =>
  typeof value === 'object' &&
  value !== null &&
  ['from', 'to', 'fromWidth', 'toWidth'].every(
    (key) => typeof (value as Record<string, unknown>)[key] === 'number',
  );

function colourFrom(value: unknown): string | null {
  if (typeof value === 'string') return formatHex(parse(value)) ?? null;
  if (typeof value !== 'object' || value === null) return null;
  const { colorSpace, components, hex } = value as Record<string, unknown>;
  if (typeof hex === 'string' && /^#[0-9a-f]{6}$/i.test(hex)) return hex.toLowerCase();
  if (typeof colorSpace !== 'string' || !Array.isArray(components)) return null;
  const parts = components.map((part) => (typeof part === 'number' ? part : 'none')).join(' ');
  const text = ['oklch', 'oklab', 'lch', 'lab', 'hsl', 'hwb'].includes(colorSpace)
    ? `${colorSpace}(${colorSpace.startsWith('h') ? parts.replace(/ (\S+) (\S+)$/, ' $1% $2%') : parts})`
    : `color(${colorSpace} ${parts})`;
  return formatHex(parse(text)) ?? null;
}

function lengthFrom(value: unknown): number | null {
  const [amount, unit] =
    typeof value === 'string'
      ? [Number.parseFloat(value), /[a-z]+$/.exec(value.trim())?.[0] ?? 'px']
      : typeof value === 'object' && value !== null
        ? [(value as Record<string, unknown>).value, (value as Record<string, unknown>).unit]
        : [value, 'px'];
  if (typeof amount !== 'number' || !Number.isFinite(amount)) return null;
  return unit === 'px' ? Math.max(0, amount) : unit === 'rem' ? Math.max(0, amount * 16) : null;
}
