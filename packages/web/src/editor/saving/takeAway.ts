import { slugOf } from '../../api/ids';
import { download } from '../../ui/download';
import { announce } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../state';

/** Hands a document to the browser’s downloads, as a file that Noria reads again. */
export const takeAway =
  (document: unknown, name: string): AppThunk =>
  (dispatch) => {
    const file = `${slugOf(name, 'collection')}.noria.json`;
    download(new Blob([JSON.stringify(document, null, 2)], { type: 'application/json' }), file);
    dispatch(announce(`${file} was downloaded.`));
  };
