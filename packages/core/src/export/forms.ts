import { writeElement } from './element/writeElement.js';
import { writeFragment } from './fragment/writeFragment.js';
import { writeGrid } from './grid/writeGrid.js';
import { writePage, type Page } from './page/writePage.js';
import { writeTilesCsv, writeTilesJson } from './tiles/writeTiles.js';
import { writeTokens } from './tokens.js';
import type { CollectionDocument } from '../document/types.js';
import type { Form } from './formNames.js';
import type { TextMeasurer } from '../engine/text/types.js';

const FORMS: Readonly<Record<Form, (collection: CollectionDocument, measurer: TextMeasurer) => Page>> = {
  page: writePage,
  fragment: writeFragment,
  grid: writeGrid,
  'grid-by-order': (collection, measurer) => writeGrid(collection, measurer, 'order'),
  element: writeElement,
  csv: writeTilesCsv,
  json: writeTilesJson,
  tokens: writeTokens,
};

/**
 * Writes a collection in one of its forms: files, and what belongs beside them.
 * @throws whatever the measurer throws
 */
export const writeForm = (form: Form, collection: CollectionDocument, measurer: TextMeasurer): Page =>
  FORMS[form](collection, measurer);
