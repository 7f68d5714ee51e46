import {
  carryRecipe,
  clone,
  guessKey,
  guessMapping,
  guessRecipe,
  importTable,
  starterAssets,
  STARTERS,
  tableSlots,
  type CellFormat,
  type Recipe,
} from '@noria/core';
import { useState } from 'react';
import { newId } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Section, Row } from '../../ui/Rows';
import { count } from '../../ui/words';
import { selectShown } from '../document/selectors';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { FormatChoice } from './FormatChoice';
import { missingWords, picturesFor } from './picturesFor';
import { runHere } from '../here';
import { fresh, NO_COLUMN, words, type ArrivingTable } from './tableFile';

/** A table that is about to become tiles. */
export function NewTable({ name, table, onDone }: ArrivingTable & { readonly onDone: () => void }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const { recipes = {}, order } = document;
  const all: Recipe[] = [...Object.values(recipes), ...STARTERS.filter(({ id }) => !recipes[id])];
  const usable = all.filter((recipe) => tableSlots(recipe).length > 0);
  const [recipeId, setRecipe] = useState(() => guessRecipe(usable, table)?.id ?? '');
  const recipe = recipeOf(usable, recipeId);
  const [mapping, setMapping] = useState(() => guessMapping(recipe, table));
  const [key, setKey] = useState(guessKey(table));
  const [formats, setFormats] = useState<Readonly<Record<string, CellFormat>>>({});
  const choose = (id: string) => {
    setRecipe(id);
    setMapping(guessMapping(recipeOf(usable, id), table));
  };
  const make = async () => {
    if (key === null) return;
    try {
      const { pictures, missing } = await picturesFor(table, recipe, mapping, document);
      const id = newId(name, 'table');
      const command = importTable(table, {
        id,
        name,
        recipe,
        variant: null,
        key,
        mapping,
        formats,
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
      dispatch(announce(`${count(table.rows.length, 'tile was', 'tiles were')} made from ${name}.`));
      const amiss = missingWords(missing);
      if (amiss !== null) dispatch(warn(amiss));
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
          <div className="grid gap-1">
            <Choice
              name={`Column for ${slot.name}`}
              value={mapping[slot.name] ?? NO_COLUMN}
              choices={[{ value: NO_COLUMN, label: 'nothing' }, ...columns]}
              onChoose={(column) => {
                const { [slot.name]: _, ...rest } = mapping;
                setMapping(column === NO_COLUMN ? rest : { ...rest, [slot.name]: column });
              }}
            />
            {slot.of.holds === 'words' && (
              <FormatChoice
                slot={slot.name}
                cells={table.rows.map((row) => row[mapping[slot.name] ?? ''] ?? '')}
                language={document.language}
                value={formats[mapping[slot.name] ?? '']}
                onChoose={(format) => {
                  const column = mapping[slot.name] ?? '';
                  const { [column]: _, ...rest } = formats;
                  setFormats(format === undefined ? rest : { ...rest, [column]: format });
                }}
              />
            )}
          </div>
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
