import { LIMITS } from '../document/limits.js';
import type { NamedLook } from '../document/types.js';

/** Where a type scale begins, and how much larger each step is than the one below. */
export interface ScaleEnd {
  /** Size of the running text, px. */
  readonly base: number;
  /** 1 or more. */
  readonly ratio: number;
}

/** The steps of a scale by what they are for; text is step 0. */
export const SCALE_STEPS = [
  { id: 'caption', name: 'Caption', step: -1 },
  { id: 'text', name: 'Text', step: 0 },
  { id: 'lead', name: 'Lead', step: 1 },
  { id: 'small-heading', name: 'Small heading', step: 2 },
  { id: 'heading', name: 'Heading', step: 3 },
  { id: 'large-heading', name: 'Large heading', step: 4 },
  { id: 'figure', name: 'Figure', step: 6 },
] as const;

/** The widths between which a scale grows from its narrow end to its wide one, px. */
const GROWS = { fromWidth: 360, toWidth: 1280 } as const;

/** A step of a scale, px: base × ratio^step, to a tenth, within what a type size may be. */
export const scaleStep = ({ base, ratio }: ScaleEnd, step: number): number =>
  Math.min(LIMITS.typeSize.max, Math.max(LIMITS.typeSize.min, Math.round(base * ratio ** step * 10) / 10));

/** A modular type scale as named sizes: fixed where both ends are the same, else growing with the page. */
export const typeScale = (narrow: ScaleEnd, wide: ScaleEnd): NamedLook[] =>
  SCALE_STEPS.map(({ id, name, step }) => {
    const [from, to] = [scaleStep(narrow, step), scaleStep(wide, step)];
    return { id, name, kind: 'type', value: from === to ? to : { from, to, ...GROWS } };
  });
