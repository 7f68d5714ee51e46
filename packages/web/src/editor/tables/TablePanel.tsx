import {
  carryRecipe,
  clone,
  filterTable,
  guessKey,
  guessMapping,
  importTable,
  readTable,
  removeTable,
  sortTable,
  starterAssets,
  STARTERS,
  tableSlots,
  updateTable,
  type ReadTable,
  type Recipe,
  type Table,
  type TableReport,
  type Tile,
} from '@noria/core';
import { useState } from 'react';
import { newId } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { Choice } from '../../ui/Choice';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { WordsField } from '../../ui/WordsField';
import { selectShown } from '../document/selectors';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { picturesFor } from './picturesFor';
import { freshId } from '../actions/freshId';
import { shown } from '../editorSlice';
import { runHere } from '../here';

const TABLE_TYPES = '.csv,.tsv,.json,text/csv,application/json';

const fresh = ({ kind }: Tile) => freshId(kind);
const words = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Reads a file as a table; says why when it is none. */
async function read(file: File): Promise<ReadTable> {
  try {
    return readTable(new Uint8Array(await file.arrayBuffer()));
  } catch (error) {
    throw new Error(`“${file.name}” was not imported. ${words(error)}`, { cause: error });
  }
}

/** Tiles from the rows of a table: which column fills what, how they are sorted, what comes in anew. */
export function TablePanel() {
  const dispatch = useAppDispatch();
  const { tables = {} } = useAppSelector(selectShown);
  const [coming, setComing] = useState<{ readonly name: string; readonly table: ReadTable } | null>(null);
  const take = (file: File | undefined) => {
    if (!file) return;
    read(file).then(
      (table) => setComing({ name: file.name.replace(/\.[^.]+$/, ''), table }),
      (error: unknown) => dispatch(warn(words(error))),
    );
  };
  return (
    <Panel name="Tables" title="Tiles from a table" onClose={() => dispatch(shown(null))}>
      <p className="text-sm text-soft">
        Each row becomes a tile with the look of a recipe. Import the file again at any time: what you changed
        by hand stays.
      </p>
      {Object.values(tables).map((table) => (
        <TableRows key={table.id} table={table} />
      ))}
      {coming ? (
        <Coming key={coming.name} name={coming.name} table={coming.table} onDone={() => setComing(null)} />
      ) : (
        <>
          {Object.keys(tables).length === 0 && <Example />}
          <FileButton
            look="copper"
            className="justify-self-start"
            testId="table-file"
            accept={TABLE_TYPES}
            onFiles={([file]) => take(file)}
          >
            Import CSV or JSON…
          </FileButton>
        </>
      )}
    </Panel>
  );
}

const EXAMPLE = [
  ['hut', 'beds', 'height'],
  ['Hut two', '24', '2 710 m'],
  ['Hut four', '18', '2 385 m'],
] as const;

/** What a table is and what becomes of it, by an example. */
function Example() {
  const [heading, ...rows] = EXAMPLE;
  return (
    <figure className="grid gap-2 rounded-s bg-field p-2.5">
      <table className="w-full bg-panel text-left text-sm">
        <thead>
          <tr>
            {heading.map((cell) => (
              <th key={cell} scope="col" className="border border-hair px-2 py-0.5 font-semibold">
                {cell}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([first, ...cells]) => (
            <tr key={first}>
              <th scope="row" className="border border-hair px-2 py-0.5 font-normal">
                {first}
              </th>
              {cells.map((cell) => (
                <td key={cell} className="figures border border-hair px-2 py-0.5">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="grid grid-cols-2 gap-2" aria-hidden>
        {rows.map(([name, beds]) => (
          <span
            key={name}
            className="grid rounded-s px-2.5 py-2 text-water-ink"
            style={{ background: 'var(--water-2)' }}
          >
            <b className="font-title text-lg">{beds}</b>
            <span className="text-sm">{name}</span>
          </span>
        ))}
      </div>
      <figcaption className="text-[11.5px] text-soft">
        A file for example: the first line names the columns, and two rows make two tiles.
      </figcaption>
    </figure>
  );
}

/** A table that is about to become tiles. */
function Coming({ name, table, onDone }: { name: string; table: ReadTable; onDone: () => void }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const { recipes = {}, order } = document;
  const all: Recipe[] = [...Object.values(recipes), ...STARTERS.filter(({ id }) => !recipes[id])];
  const usable = all.filter((recipe) => tableSlots(recipe).length > 0);
  const [recipeId, setRecipe] = useState('');
  const recipe = recipeOf(usable, recipeId);
  const [mapping, setMapping] = useState(() => guessMapping(recipe, table));
  const [key, setKey] = useState(guessKey(table));
  const choose = (id: string) => {
    setRecipe(id);
    setMapping(guessMapping(recipeOf(usable, id), table));
  };
  const make = async () => {
    if (key === null) return;
    try {
      const pictures = await picturesFor(table, recipe, mapping, document);
      const id = newId(name, 'table');
      const command = importTable(table, {
        id,
        name,
        recipe,
        variant: null,
        key,
        mapping,
        position: order.length,
        freshId: fresh,
      });
      dispatch(
        runHere('Tiles from a table', (draft) => {
          for (const picture of pictures) draft.pictures[picture.id] = clone(picture);
          carryRecipe(draft, recipe, starterAssets);
          command(draft);
        }),
      );
      dispatch(announce(`${table.rows.length} tiles were made from ${name}.`));
      onDone();
    } catch (error) {
      dispatch(warn(words(error)));
    }
  };
  const columns = table.columns.map((column) => ({ value: column, label: column }));
  return (
    <Section title={`${name}: ${table.rows.length} rows`}>
      {table.notices.map((notice) => (
        <p key={notice} className="border-l-2 border-doubt pl-2 text-sm text-soft">
          {notice}
        </p>
      ))}
      <Row label="Recipe">
        <Choice
          name="Recipe of the rows"
          value={recipe.id}
          choices={usable.map((each) => ({ value: each.id, label: each.name }))}
          onChoose={choose}
        />
      </Row>
      <Row label="Key">
        <Choice
          name="Key: the column that identifies a row"
          value={key}
          choices={columns}
          onChoose={setKey}
        />
      </Row>
      {tableSlots(recipe).map((slot) => (
        <Row key={slot.name} label={slot.name}>
          <Choice
            name={`Column for ${slot.name}`}
            value={mapping[slot.name] ?? NO_COLUMN}
            choices={[{ value: NO_COLUMN, label: 'nothing' }, ...columns]}
            onChoose={(column) => {
              const { [slot.name]: _, ...rest } = mapping;
              setMapping(column === NO_COLUMN ? rest : { ...rest, [slot.name]: column });
            }}
          />
        </Row>
      ))}
      <div className="flex gap-1.5 pt-1.5">
        <Button
          look="solid"
          disabled={key === null || Object.keys(mapping).length === 0}
          onClick={() => void make()}
        >
          Make {table.rows.length} {table.rows.length === 1 ? 'tile' : 'tiles'}
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </Section>
  );
}

/** The recipe of an id, or the first. */
function recipeOf(recipes: readonly Recipe[], id: string): Recipe {
  const found = recipes.find((each) => each.id === id) ?? recipes[0];
  if (!found) throw new RangeError('There are no recipes that a table could fill.');
  return found;
}

/** No column can have this name: names are trimmed. */
const NO_COLUMN = ' ';

/** A table that tiles were made from. */
function TableRows({ table }: { table: Table }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const [report, setReport] = useState<TableReport | null>(null);
  const [gone, setGone] = useState<'remove' | 'keep'>('remove');
  const columns = table.columns.map((column) => ({ value: column, label: column }));
  const again = async (file: File | undefined) => {
    if (!file) return;
    try {
      const next = await read(file);
      const recipe = document.recipes?.[table.recipe];
      const pictures = recipe ? await picturesFor(next, recipe, table.mapping, document) : [];
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
