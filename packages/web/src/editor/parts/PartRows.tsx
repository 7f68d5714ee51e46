import type { Part, PartName } from '@noria/core';
import type { ComponentType } from 'react';
import { PART } from './fields';
import { partName } from './partNames';
import { ActionRows } from './ActionRows';
import { FilmRows } from './FilmRows';
import { HeadingRows } from './HeadingRows';
import { IconsRows } from './IconsRows';
import { HiddenPart } from './HiddenPart';
import { PictureRows } from './PictureRows';
import { beside } from '../../ui/lazily';
import { Row, RowTools } from '../../ui/Rows';
import { SpacerRow } from './SpacerRow';
import { TextRow } from './TextRow';
import { WordsRow } from './WordsRow';
import type { PartProps } from './partProps';

const PartMenu = beside(() => import('./PartMenu').then((file) => file.PartMenu));

/** The rows of the parts that there are: one component each. */
const ROWS: { readonly [Name in PartName]: ComponentType<PartProps<Extract<Part, { kind: Name }>>> } = {
  eyebrow: (props) => <WordsRow {...props} label={PART.eyebrow.label} hint="none" />,
  heading: HeadingRows,
  text: TextRow,
  figure: (props) => <WordsRow {...props} label={PART.figure.label} />,
  label: (props) => <WordsRow {...props} label={PART.label.label} />,
  quote: (props) => <WordsRow {...props} label={PART.quote.label} lines={3} />,
  source: (props) => <WordsRow {...props} label={PART.source.label} />,
  icons: IconsRows,
  action: ActionRows,
  picture: PictureRows,
  film: FilmRows,
  divider: () => <Row label={PART.divider.label}>{<hr className="border-hair" />}</Row>,
  spacer: SpacerRow,
};

const known = { ...ROWS } as unknown as Record<string, ComponentType<PartProps> | undefined>;

/** Makes the rows of a part known; core has to know the part. */
export const registerRows = (part: string, its: ComponentType<PartProps>): void => void (known[part] = its);

/** What one part of the selected tiles holds. */
export function PartRows({ tile, part, ids, differs }: PartProps) {
  const Rows = known[part.kind];
  if (part.hidden) return <HiddenPart part={part} ids={ids} />;
  if (!Rows) return null;
  const rows = <Rows tile={tile} part={part} ids={ids} differs={differs} />;
  const at = tile.parts.findIndex(({ id }) => id === part.id);
  const tools = <PartMenu part={part} ids={ids} at={at} of={tile.parts.length} />;
  return <RowTools value={{ label: partName(part), tools }}>{rows}</RowTools>;
}
