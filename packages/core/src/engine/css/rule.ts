/** CSS declarations of one rule, as property and value. */
export type Declarations = Readonly<Record<string, string>>;

export interface Rule {
  readonly selector: string;
  readonly declarations: Declarations;
}

/** A CSS rule, one declaration a line; nothing for a rule that says nothing. */
export function ruleCss({ selector, declarations }: Rule): string {
  const lines = Object.entries(declarations).map(([property, value]) => `  ${property}: ${value};`);
  return lines.length > 0 ? `${selector} {\n${lines.join('\n')}\n}` : '';
}

/** Rules of one selector become one; what a later one says wins. */
export function mergedRules(rules: readonly Rule[]): Rule[] {
  const merged = new Map<string, Declarations>();
  for (const { selector, declarations } of rules) {
    merged.set(selector, { ...merged.get(selector), ...declarations });
  }
  return [...merged].map(([selector, declarations]) => ({ selector, declarations }));
}

/** The selector of a tile's element. */
export const tileSelector = (id: string) => `[data-tile="${id}"]`;

/** A text with every line a step further in. */
export const indented = (text: string): string => text.replace(/^(?=.)/gm, '  ');
