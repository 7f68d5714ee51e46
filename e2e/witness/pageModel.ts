/** A page as the generator makes it: small enough to be taken apart when it fails. */
export interface Node {
  readonly tile: string | null;
  readonly grid: boolean;
  readonly css: Readonly<Record<string, string>>;
  /** Declarations of this node under a condition, such as `@media (max-width: 600px)`. */
  readonly under: readonly { readonly condition: string; readonly css: Readonly<Record<string, string>> }[];
  readonly children: readonly Node[];
}

/** Writes a page out; every node has a class of its own. */
export function writeHtml(root: Node): string {
  const rules: string[] = [];
  let count = 0;
  const write = (node: Node, depth: number): string => {
    const name = `n${count++}`;
    const block = (css: Node['css']) =>
      Object.entries(css)
        .map(([property, value]) => `${property}: ${value}`)
        .join('; ');
    if (Object.keys(node.css).length > 0) rules.push(`.${name} { ${block(node.css)} }`);
    for (const { condition, css } of node.under) rules.push(`${condition} { .${name} { ${block(css)} } }`);
    const attributes = `${node.grid ? ' data-grid' : ''}${node.tile === null ? '' : ` data-tile="${node.tile}"`}`;
    const inner = node.children.map((child) => write(child, depth + 1)).join('');
    const indent = '  '.repeat(depth);
    return `${indent}<div class="${name}"${attributes}>${inner === '' ? '' : `\n${inner}${indent}`}</div>\n`;
  };
  const body = write(root, 0);
  return `<!doctype html>\n<meta charset="utf-8">\n<style>\nbody { margin: 0 }\n${rules.join('\n')}\n</style>\n${body}`;
}

/** Every page that is one step smaller: a node, a declaration or a condition less. */
export function* smaller(node: Node): Generator<Node> {
  for (let k = 0; k < node.children.length; k++) {
    yield { ...node, children: node.children.filter((_, i) => i !== k) };
  }
  for (let k = 0; k < node.under.length; k++) yield { ...node, under: node.under.filter((_, i) => i !== k) };
  for (const property of Object.keys(node.css)) {
    if (property === 'display') continue;
    yield {
      ...node,
      css: Object.fromEntries(Object.entries(node.css).filter(([name]) => name !== property)),
    };
  }
  for (let k = 0; k < node.children.length; k++) {
    for (const child of smaller(node.children[k] as Node)) {
      yield { ...node, children: node.children.map((each, i) => (i === k ? child : each)) };
    }
  }
}
