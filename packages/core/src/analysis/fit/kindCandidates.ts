import { kindOf } from '../../arrangements/index.js';
import { setOfKind, setSlots } from '../../edit/commands/kinds.js';
import { moveInOrder } from '../../edit/commands/tiles.js';
import { setSpan } from '../../edit/commands/place.js';
import type { ArrangementKind, Remedy } from '../../arrangements/kind.js';
import type { Band } from '../../document/bands.js';
import type { Command } from '../../edit/patch/change.js';
import type { Candidate } from './candidate.js';
import type { Finding } from './types.js';

/** Makes a command of a level one of the collection. */
type At = (command: Command) => Command;

/** What the kind of arrangement in which something was found knows against it, as commands. */
export function* kindCandidates(band: Band, finding: Finding, at: At): Generator<Candidate> {
  const kind = kindOf(band.arrangement);
  for (const remedy of kind.remedies?.(band.arrangement, finding) ?? []) {
    const command = commandOf(kind, remedy, band.index);
    yield { does: remedy.does, command: at(command), isTame: !remedy.isTaste };
  }
}

/** A remedy as a command of its level, in one band alone. */
function commandOf({ values }: ArrangementKind, { change }: Remedy, band: number): Command {
  if ('values' in change) {
    if (!values) throw new TypeError('A kind without values of its own sets some.');
    return setOfKind(values.field, change.values, band, 'band');
  }
  if ('columnSpan' in change)
    return setSpan({ tiles: [change.tile], band, setFor: 'band', columnSpan: change.columnSpan });
  if ('unlock' in change) return setSlots({ [change.unlock]: null }, band);
  return (draft) => {
    const position = draft.order.indexOf(change.tile) + change.laterBy;
    if (position >= 0 && position < draft.order.length) moveInOrder([change.tile], position)(draft);
  };
}
