/** One of the words that a setting is chosen by. */
export interface Chosen<V extends string> {
  readonly value: V;
  readonly label: string;
}

/**
 * A setting as a person meets it, in one place: its row, its step in the history and what is set in a
 * band all say it with these words.
 */
export interface Field<V extends string = string> {
  readonly label: string;
  /** What it does, where the label alone does not tell. */
  readonly help?: string;
  /** What its number is counted in. */
  readonly unit?: string;
  /** The numbers that it takes. */
  readonly least?: number;
  readonly most?: number;
  /** The words that it is chosen by. */
  readonly choices?: readonly Chosen<V>[];
  /** A value in few words, where neither its number nor its choices say it. */
  readonly says?: (value: unknown) => string;
}

/** A setting that is chosen by words. */
export interface ChoiceField<V extends string> extends Field<V> {
  readonly choices: readonly Chosen<V>[];
}

/** The value of a setting in few words. */
export function fieldSays({ choices, says }: Field, value: unknown): string {
  const chosen = choices?.find((choice) => choice.value === value);
  if (chosen) return chosen.label.toLowerCase();
  if (says) return says(value);
  return typeof value === 'string' || typeof value === 'number' ? String(value) : 'none';
}
