import type { CssNode } from 'css-tree';
import { addLengths, percent, scaleLength, type Length } from './length.js';

/** What relative units stand for, px. */
export interface Units {
  readonly em: number;
  readonly rem: number;
  /** One hundredth of the page's width and height. */
  readonly vw: number;
  readonly vh: number;
  /** One hundredth of the inline size of the nearest container. */
  readonly cqw: number;
}

export const DEFAULT_UNITS: Units = { em: 16, rem: 16, vw: 12.8, vh: 8, cqw: 12.8 };

/** Absolute units in px (CSS Values 4, section 6.2). */
const ABSOLUTE: Readonly<Record<string, number>> = {
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  pt: 96 / 72,
  pc: 16,
};

function unitSize(unit: string, units: Units): number | null {
  const name = unit.toLowerCase();
  const absolute = ABSOLUTE[name];
  if (absolute !== undefined) return absolute;
  switch (name) {
    case 'em':
      return units.em;
    case 'rem':
      return units.rem;
    case 'ch':
    case 'ex':
      return units.em / 2;
    case 'vw':
    case 'svw':
    case 'lvw':
    case 'dvw':
    case 'vi':
      return units.vw;
    case 'vh':
    case 'svh':
    case 'lvh':
    case 'dvh':
    case 'vb':
      return units.vh;
    case 'vmin':
      return Math.min(units.vw, units.vh);
    case 'vmax':
      return Math.max(units.vw, units.vh);
    case 'cqw':
    case 'cqi':
      return units.cqw;
    case 'cqh':
    case 'cqb':
      return units.vh;
    case 'cqmin':
      return Math.min(units.cqw, units.vh);
    case 'cqmax':
      return Math.max(units.cqw, units.vh);
    default:
      return null;
  }
}

/** A number or a length inside of a calculation. */
type Term = { readonly number: number } | { readonly length: Length };

/**
 * Reads a length, a percentage or a calculation of them (CSS Values 4, sections 6, 8 and 10).
 * @returns null when the node is something else, or the calculation mixes what does not go together
 */
export function parseLength(node: CssNode | undefined, units: Units): Length | null {
  if (!node) return null;
  const term = parseTerm(node, units);
  if (!term) return null;
  if ('length' in term) return term.length;
  return term.number === 0 && node.type === 'Number' ? 0 : null;
}

/** A number, plain or calculated; null when the node is something else. */
export function parseNumber(node: CssNode | undefined, units: Units): number | null {
  const term = node ? parseTerm(node, units) : null;
  return term && 'number' in term ? term.number : null;
}

function parseTerm(node: CssNode, units: Units): Term | null {
  switch (node.type) {
    case 'Number':
      return finite(Number(node.value)) ? { number: Number(node.value) } : null;
    case 'Percentage':
      return finite(Number(node.value)) ? { length: percent(Number(node.value)) } : null;
    case 'Dimension': {
      const size = unitSize(node.unit, units);
      const value = Number(node.value);
      return size === null || !finite(value) ? null : { length: value * size };
    }
    case 'Parentheses':
      return parseSum(node.children.toArray(), units);
    case 'Function':
      return parseFunction(node.name.toLowerCase(), node.children.toArray(), units);
    default:
      return null;
  }
}

const finite = Number.isFinite;

function parseFunction(name: string, children: readonly CssNode[], units: Units): Term | null {
  if (name === 'calc') return parseSum(children, units);
  if (name !== 'min' && name !== 'max' && name !== 'clamp') return null;
  const terms = splitArguments(children).map((part) => parseSum(part, units));
  if (terms.length === 0 || terms.some((term) => term === null)) return null;
  if (terms.every((term): term is { number: number } => term !== null && 'number' in term)) {
    const numbers = terms.map(({ number }) => number);
    if (name === 'clamp')
      return { number: Math.max(numbers[0] ?? NaN, Math.min(numbers[1] ?? NaN, numbers[2] ?? NaN)) };
    return { number: name === 'min' ? Math.min(...numbers) : Math.max(...numbers) };
  }
  const lengths = terms.map((term) => (term && 'length' in term ? term.length : null));
  if (lengths.some((length) => length === null)) return null;
  const parts = lengths as Length[];
  if (name !== 'clamp') return { length: fold(name, parts) };
  const [least, wish, most] = parts;
  if (parts.length !== 3 || least === undefined || wish === undefined || most === undefined) return null;
  return { length: fold('max', [least, fold('min', [wish, most])]) };
}

function fold(name: 'min' | 'max', parts: readonly Length[]): Length {
  if (parts.every((part) => typeof part === 'number')) return Math[name](...parts);
  return { of: name, parts };
}

/** The arguments of a function, at its commas. */
export function splitArguments(children: readonly CssNode[]): CssNode[][] {
  const parts: CssNode[][] = [[]];
  for (const child of children) {
    if (child.type === 'Operator' && child.value.trim() === ',') parts.push([]);
    else (parts[parts.length - 1] as CssNode[]).push(child);
  }
  return parts;
}

function parseSum(nodes: readonly CssNode[], units: Units): Term | null {
  let total: Term | null = null;
  let sign = 1;
  let product: CssNode[] = [];
  const close = (): boolean => {
    const term = parseProduct(product, units);
    if (!term) return false;
    const signed = sign === 1 ? term : scale(term, -1);
    total = total === null ? signed : add(total, signed);
    product = [];
    return total !== null;
  };
  for (const node of nodes) {
    const operator = node.type === 'Operator' ? node.value.trim() : '';
    if (operator === '+' || operator === '-') {
      if (!close()) return null;
      sign = operator === '+' ? 1 : -1;
    } else product.push(node);
  }
  return close() ? total : null;
}

function parseProduct(nodes: readonly CssNode[], units: Units): Term | null {
  let total: Term | null = null;
  let operator = '*';
  for (const node of nodes) {
    if (node.type === 'Operator') {
      operator = node.value.trim();
      continue;
    }
    const term = parseTerm(node, units);
    if (!term) return null;
    if (total === null) total = term;
    else if (operator === '*') total = multiply(total, term);
    else if ('number' in term && term.number !== 0) total = scale(total, 1 / term.number);
    else return null;
    if (!total) return null;
  }
  return total;
}

function add(a: Term, b: Term): Term | null {
  if ('number' in a && 'number' in b) return { number: a.number + b.number };
  if ('length' in a && 'length' in b) return { length: addLengths(a.length, b.length) };
  return null;
}

function multiply(a: Term, b: Term): Term | null {
  if ('number' in a) return scale(b, a.number);
  return 'number' in b ? scale(a, b.number) : null;
}

const scale = (term: Term, factor: number): Term =>
  'number' in term ? { number: term.number * factor } : { length: scaleLength(term.length, factor) };
