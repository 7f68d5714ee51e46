import { formatCell, formatsOf, type CellFormat } from '@noria/core';
import { Choice } from '../../ui/Choice';

interface FormatChoiceProps {
  readonly slot: string;
  readonly cells: readonly string[];
  readonly language: string;
  readonly value: CellFormat | undefined;
  readonly onChoose: (format: CellFormat | undefined) => void;
}

const AS_WRITTEN = 'as-written';

/** How the cells of a column are written, each by what becomes of the first; nothing where they are mere words. */
export function FormatChoice({ slot, cells, language, value, onChoose }: FormatChoiceProps) {
  const formats = formatsOf(cells);
  if (formats.length === 0) return null;
  const sample = cells.find((cell) => cell.trim() !== '') ?? '';
  return (
    <Choice<CellFormat | typeof AS_WRITTEN>
      name={`Format of ${slot}`}
      value={value ?? AS_WRITTEN}
      choices={[
        { value: AS_WRITTEN, label: `${sample}, as written` },
        ...formats.map((format) => ({ value: format, label: formatCell(sample, format, language) })),
      ]}
      onChoose={(chosen) => onChoose(chosen === AS_WRITTEN ? undefined : chosen)}
    />
  );
}
