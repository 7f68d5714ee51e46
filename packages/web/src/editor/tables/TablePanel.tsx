import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { FileButton } from '../../ui/FileButton';
import { selectShown } from '../document/selectors';
import { warn } from '../../ui/notices/noticesSlice';
import { shown, tableArrived } from '../editorSlice';
import { NewTable } from './NewTable';
import { TableExample } from './TableExample';
import { readArriving, TABLE_TYPES, words } from './tableFile';
import { TableRows } from './TableRows';

/** Tiles from the rows of a table: which column fills what, how they are sorted, what comes in anew. */
export function TablePanel() {
  const dispatch = useAppDispatch();
  const { tables = {} } = useAppSelector(selectShown);
  const arriving = useAppSelector((state) => state.editor.arriving);
  const take = (file: File | undefined) => {
    if (!file) return;
    readArriving(file).then(
      (table) => dispatch(tableArrived(table)),
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
      {arriving ? (
        <NewTable
          key={`${arriving.name} ${arriving.table.columns.join()}`}
          {...arriving}
          onDone={() => dispatch(tableArrived(null))}
        />
      ) : (
        <>
          {Object.keys(tables).length === 0 && <TableExample />}
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
