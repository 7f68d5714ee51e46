import {
  clone,
  filterTable,
  removeTable,
  sortTable,
  updateTable,
  type Table,
  type TableReport,
} from '@noria/core';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { Choice } from '../../ui/Choice';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { WordsField } from '../../ui/WordsField';
import { selectShown } from '../document/selectors';
import { warn } from '../../ui/notices/noticesSlice';
import { missingWords, picturesFor } from './picturesFor';
import { runHere } from '../here';
import { fresh, NO_COLUMN, readFile, TABLE_TYPES, words } from './tableFile';

/** A table that tiles were made from. */
export function TableRows({ table }: { table: Table }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const [report, setReport] = useState<TableReport | null>(null);
  const [gone, setGone] = useState<'remove' | 'keep'>('remove');
  const columns = table.columns.map((column) => ({ value: column, label: column }));
  const again = async (file: File | undefined) => {
    if (!file) return;
    try {
      const next = await readFile(file);
      const recipe = document.recipes?.[table.recipe];
      const { pictures, missing } = recipe
        ? await picturesFor(next, recipe, table.mapping, document)
        : { pictures: [], missing: [] };
      const known = Object.fromEntries(pictures.map((picture) => [picture.id, picture]));
      const before = { ...document, pictures: { ...document.pictures, ...known } };
      const done = updateTable(before, table.id, next, { freshId: fresh, removeGone: gone === 'remove' });
      dispatch(
        runHere('Import table again', (draft) => {
          for (const picture of pictures) draft.pictures[picture.id] = clone(picture);
          done.command(draft);
        }),
      );
      setReport(done.report);
      const amiss = missingWords(missing);
      if (amiss !== null) dispatch(warn(amiss));
    } catch (error) {
      dispatch(warn(words(error)));
    }
  };
  const asideCount = Object.keys(table.aside).length;
  return (
    <Section title={table.name}>
      <Row label="Rows">
        <span className="text-sm text-soft">
          {table.order.length}
          {asideCount > 0 && `, ${asideCount} left out by the filter`}
        </span>
      </Row>
      <Row label="Sort">
        <div className="grid grid-cols-2 gap-1">
          <Choice
            name="Sort by"
            value={table.sort?.column ?? NO_COLUMN}
            choices={[{ value: NO_COLUMN, label: 'as in the file' }, ...columns]}
            onChoose={(column) =>
              dispatch(
                runHere(
                  'Sort',
                  sortTable(table.id, column === NO_COLUMN ? null : { column, descending: false }),
                ),
              )
            }
          />
          <Segments
            name="Direction of the sort"
            value={table.sort?.descending ? 'down' : 'up'}
            choices={[
              { value: 'up', label: 'Up', disabled: !table.sort },
              { value: 'down', label: 'Down', disabled: !table.sort },
            ]}
            onChoose={(way) =>
              table.sort &&
              dispatch(runHere('Sort', sortTable(table.id, { ...table.sort, descending: way === 'down' })))
            }
          />
        </div>
      </Row>
      <Row label="Filter">
        <div className="grid grid-cols-2 gap-1">
          <Choice
            name="Filter by"
            value={table.filter?.column ?? table.columns[0] ?? null}
            choices={columns}
            onChoose={(column) =>
              dispatch(runHere('Filter', filterTable(table.id, { column, words: table.filter?.words ?? '' })))
            }
          />
          <WordsField
            name="Words to filter by"
            hint="all rows"
            value={table.filter?.words ?? ''}
            onType={(typed) => {
              const column = table.filter?.column ?? table.columns[0] ?? '';
              dispatch(
                runHere(
                  'Filter',
                  filterTable(table.id, typed === '' ? null : { column, words: typed }),
                  `${table.id} filter`,
                ),
              );
            }}
          />
        </div>
      </Row>
      <Row label="Missing rows">
        <Segments
          name="Tiles of missing rows"
          value={gone}
          choices={[
            { value: 'remove', label: 'Remove' },
            { value: 'keep', label: 'Keep tiles' },
          ]}
          onChoose={setGone}
        />
      </Row>
      <div className="flex gap-1.5 pt-1">
        <FileButton testId="table-again" accept={TABLE_TYPES} onFiles={([file]) => void again(file)}>
          Import again…
        </FileButton>
        <Button onClick={() => dispatch(runHere('Unlink table', removeTable(table.id)))}>Unlink table</Button>
      </div>
      {report && <Report report={report} />}
    </Section>
  );
}

const few = (keys: readonly string[]) =>
  `${keys.slice(0, 8).join(', ')}${keys.length > 8 ? ' and more' : ''}`;

/** What became of a table that came in anew. */
function Report({ report }: { report: TableReport }) {
  const lines = [
    { title: 'Changed', keys: Object.keys(report.changed) },
    { title: 'Added', keys: report.came },
    { title: 'Removed', keys: report.went },
    { title: 'Kept, changed by hand', keys: Object.keys(report.kept) },
  ].filter(({ keys }) => keys.length > 0);
  return (
    <dl role="status" className="mt-1.5 grid gap-1 rounded-s bg-field p-2 text-sm">
      {lines.length === 0 && <dt>Nothing changed in the file.</dt>}
      {lines.map(({ title, keys }) => (
        <div key={title}>
          <dt className="inline font-semibold">
            {title} ({keys.length}):{' '}
          </dt>
          <dd className="inline">{few(keys)}</dd>
        </div>
      ))}
    </dl>
  );
}
