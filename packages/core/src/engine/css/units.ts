/** A length in px as CSS writes it: at most four decimals, no unit on nothing. */
export function px(value: number): string {
  const rounded = Number(value.toFixed(4));
  return rounded === 0 ? '0' : `${rounded}px`;
}
