import { applyDesign, readDesign, type DesignGrid } from '@noria/core';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NamedInput } from '../../ui/NamedInput';
import { Row } from '../../ui/Rows';
import { giveFocusBack } from '../../ui/typing';
import { runHere } from '../here';
import { freshId } from '../actions/freshId';
import { announce } from '../../ui/notices/noticesSlice';
import { selectBand, selectSetFor } from '../selectors';

/** Rows as designers say them, read as the smallest grid that they share. */
export function DesignField() {
  const dispatch = useAppDispatch();
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const drawn = useAppSelector((state) => state.editor.drawn);
  const [typed, setTyped] = useState('');
  const read = readOr(typed);

  const apply = () => {
    if (typeof read === 'string') return false;
    const freshIds = read.spans.map(() => freshId(drawn));
    dispatch(
      runHere('Grid from rows', applyDesign({ grid: read, band: band.index, setFor, freshIds, what: drawn })),
    );
    dispatch(announce(`${read.columns} columns, ${read.rows} rows, ${read.spans.length} cards.`));
    setTyped('');
    return true;
  };
  return (
    <>
      <Row label="From rows" help="How many cards each row has, as in 4, 3, 2">
        <NamedInput
          aria-describedby="design-says"
          aria-invalid={typed !== '' && typeof read === 'string'}
          placeholder="4, 3, 2"
          className="h-[26px] w-full min-w-0 rounded-s bg-field px-2 placeholder:text-faint"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              if (typed !== '' && !apply()) return;
            } else if (event.key === 'Escape') setTyped('');
            else return;
            giveFocusBack(event.currentTarget);
          }}
        />
      </Row>
      <p
        id="design-says"
        className={`ml-[92px] text-[11.5px] ${typeof read === 'string' && typed ? 'text-amiss' : 'text-soft'}`}
      >
        {typed && (typeof read === 'string' ? read : <Said {...read} />)}
      </p>
    </>
  );
}

const Said = ({ columns, rows, spans }: DesignGrid) => (
  <>
    <b className="figures text-ink">
      {columns} × {rows}
    </b>{' '}
    with {spans.length} cards. Press Enter to set it.
  </>
);

function readOr(text: string): DesignGrid | string {
  try {
    return readDesign(text);
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
