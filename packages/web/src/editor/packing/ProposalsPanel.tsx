import { colourOf, pictureOf, proposalCommand, type CollectionDocument, type Proposal } from '@noria/core';
import { useEffect, useState } from 'react';
import { fillShown } from '../looks/fillShown';
import { addressFor } from '../../api/pictures';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { Button } from '../../ui/Button';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { shown } from '../editorSlice';
import { runHere, tryHere } from '../here';
import { selectBand, selectSelected, selectView } from '../selectors';
import { selectSaved } from '../document/selectors';
import { engine } from '../engine/engine';
import { askedOf, trouble } from './packing';

/** Arrangements without a hole: pointed at they are seen on the stage, pressed they are taken. */
export function ProposalsPanel() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const saved = useAppSelector((state) => state.document.document);
  const view = useAppSelector(selectView);
  const { index, arrangement } = useAppSelector(selectBand);
  const selected = useAppSelector(selectSelected);
  const [seed, setSeed] = useState(1);
  const [found, setFound] = useState<readonly Proposal[] | null>(null);
  // Several selected ones are arranged anew among the others; else all tiles are.
  const some = selected.length > 1 ? selected.map(({ id }) => id).join() : '';

  useEffect(() => {
    const cancel = new AbortController();
    const state = store.getState();
    const tiles = some ? some.split(',') : selectView(state).order;
    engine('work')
      .ask('propose', selectSaved(state), [askedOf(state), tiles, seed], cancel.signal)
      .then((proposals) => {
        if (cancel.signal.aborted) return;
        setFound(proposals);
        dispatch(announce(`${proposals.length} proposals.`));
      })
      .catch((error: unknown) => !cancel.signal.aborted && dispatch(warn(trouble(error))));
    return () => {
      cancel.abort();
      dispatch(tryHere(null));
    };
  }, [dispatch, store, saved, index, arrangement.columns.length, some, seed]);

  const leave = () => dispatch(shown(null));
  const point = (proposal: Proposal | null) =>
    dispatch(tryHere(proposal && proposalCommand(proposal.spans, index)));
  const take = (proposal: Proposal) => {
    dispatch(runHere('Proposal', proposalCommand(proposal.spans, index)));
    leave();
  };
  return (
    <aside
      aria-label="Proposals"
      className="grid min-h-0 content-start gap-3 overflow-y-auto border-r border-hair bg-panel px-4 pt-3.5 pb-4 [scrollbar-width:thin]"
      onKeyDown={(event) => event.key === 'Escape' && leave()}
    >
      <header>
        <h2 className="font-title text-lg font-[650]">Proposals</h2>
        <p role="status" className="text-[11.5px] text-soft">
          {found === null
            ? 'Looking for proposals…'
            : found.length === 0
              ? 'No arrangement without a hole was found. Change the number of columns, or unpin tiles.'
              : `${found.length} without a hole${some ? `, for the ${selected.length} selected` : ''}. Hover to preview, press to apply.`}
        </p>
      </header>
      <ul aria-label="Arrangements" className="grid grid-cols-2 gap-2.5">
        {found?.map((proposal, k) => (
          <li key={k}>
            <button
              type="button"
              autoFocus={k === 0}
              aria-label={`Proposal ${k + 1}, score ${hundred(proposal.score.whole)}`}
              className="grid w-full gap-1 rounded-s text-left outline-offset-2 hover:outline-2 hover:outline-copper"
              onPointerEnter={() => point(proposal)}
              onPointerLeave={() => point(null)}
              onFocus={() => point(proposal)}
              onBlur={() => point(null)}
              onClick={() => take(proposal)}
            >
              <Thumbnail proposal={proposal} view={view} columns={arrangement.columns.length} />
              <Score {...proposal.score} />
            </button>
          </li>
        ))}
      </ul>
      <div className="flex gap-1.5">
        <Button onClick={() => setSeed(seed + 1)}>More proposals</Button>
        <Button onClick={leave}>Cancel</Button>
      </div>
      <p className="text-[11.5px] text-soft">
        The score counts crop 35 %, rhythm 25 %, emphasis by weight 25 %, reading order 15 %.
      </p>
    </aside>
  );
}

const hundred = (share: number) => Math.round(share * 100);

function Score({ whole, crop, rhythm, emphasis, reading }: Proposal['score']) {
  return (
    <span
      className="flex items-baseline gap-1.5 text-[11.5px] text-soft"
      title={`Crop ${hundred(crop)}, rhythm ${hundred(rhythm)}, emphasis ${hundred(emphasis)}, reading ${hundred(reading)}`}
    >
      <b className="figures text-ink">{hundred(whole)}</b>
      <span className="truncate">
        crop {hundred(crop)}, rhythm {hundred(rhythm)}
      </span>
    </span>
  );
}

interface ThumbnailProps {
  readonly proposal: Proposal;
  readonly view: CollectionDocument;
  readonly columns: number;
}

function Thumbnail({ proposal: { areas, rows }, view, columns }: ThumbnailProps) {
  return (
    <span
      aria-hidden
      className="grid gap-[2px] overflow-hidden rounded-s p-[3px]"
      style={{
        gridTemplateColumns: `repeat(${columns}, 1fr)`,
        gridTemplateRows: `repeat(${rows}, minmax(0, 1fr))`,
        background: colourOf(view.namedLooks, view.look.background),
        height: Math.min(150, 18 * rows + 6),
      }}
    >
      {areas.map((area, k) => {
        const tile = view.tiles[view.order[k] ?? ''];
        const picture = tile && view.pictures[pictureOf(tile)?.picture ?? ''];
        return (
          <i
            key={k}
            className="rounded-[2px]"
            style={{
              gridColumn: `${area.column} / span ${area.columnSpan}`,
              gridRow: `${area.row} / span ${area.rowSpan}`,
              background: picture
                ? `url("${addressFor(picture, 320)}") center / cover`
                : tile && fillShown(view, tile.look),
            }}
          />
        );
      })}
    </span>
  );
}
