import { ValidateIf } from 'class-validator';

/** A field that may be left out, but is not null: what is there is checked. */
export const MayBeLeftOut = () => ValidateIf((_, value) => value !== undefined);
