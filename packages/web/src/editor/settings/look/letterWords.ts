/** Features that are asked for, in the words of their registry (OpenType 1.9, “Registered features”). */
const FEATURES: Readonly<Record<string, string>> = {
  tnum: 'Tabular figures',
  pnum: 'Proportional figures',
  lnum: 'Lining figures',
  onum: 'Old-style figures',
  zero: 'Slashed zero',
  frac: 'Fractions',
  ordn: 'Ordinals',
  smcp: 'Small capitals',
  c2sc: 'Small capitals from capitals',
  case: 'Case-sensitive forms',
  dlig: 'Discretionary ligatures',
  hlig: 'Historical ligatures',
  salt: 'Stylistic alternates',
  swsh: 'Swash',
  titl: 'Titling',
};

/** What a feature is called; null for those that a font applies by itself. */
export function featureName(tag: string): string | null {
  const set = /^(ss|cv)(\d\d)$/.exec(tag);
  if (set) return `${set[1] === 'ss' ? 'Stylistic set' : 'Character variant'} ${Number(set[2])}`;
  return Object.hasOwn(FEATURES, tag) ? (FEATURES[tag] ?? null) : null;
}

/** The registered axes (OpenType 1.9, “Design-variation axis tag registry”). */
export const AXES: Readonly<Record<string, string>> = {
  wdth: 'Width',
  slnt: 'Slant',
  ital: 'Italic',
  opsz: 'Optical size',
  GRAD: 'Grade',
};
