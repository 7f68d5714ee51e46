import {
  deriveBreakpoint,
  followsWider,
  inheritHere,
  isDerivedBreakpoint,
  keepStructure,
  LIMITS,
  moveBreakpoint,
  removeBreakpoint,
  setArrangement,
  setHereIn,
  setNarrowerBands,
  type SetHere,
} from '@noria/core';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Panel } from '../../ui/Panel';
import { Segments } from '../../ui/Segments';
import { Section, Row } from '../../ui/Rows';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { engine } from '../engine/engine';
import { workOut } from '../fit/actions';
import { announce } from '../../ui/notices/noticesSlice';
import { needleMoved, shown, tilesSelected } from '../editorSlice';
import { selectBand, selectBands, selectNeedle } from '../selectors';
import { setHereName, setHereValue } from './setHereWords';

/** A band as a whole: how it comes from the wider one, what it sets itself, where it ends. */
export function BandPanel() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const bands = useAppSelector(selectBands);
  const needle = useAppSelector(selectNeedle);
  const here = useAppSelector(selectBand);
  const band = bands[here.index];
  const [busy, setBusy] = useState<string | null>(null);
  const work = (name: string, ...rest: [Parameters<typeof workOut>[1], string]) => {
    setBusy(name);
    void dispatch(workOut(name, ...rest)).finally(() => setBusy(null));
  };
  if (!band) return null;
  const { index } = band;
  const from = Math.max(band.from, LIMITS.narrowest);
  const widest = index === 0;
  const follows = followsWider(document);
  const own = document.bands[index - 1];
  const isMoved = follows && own !== undefined && !isDerivedBreakpoint(own);
  const set = setHereIn(document, index);
  const byHand = set.filter(({ derived }) => !derived);
  const derived = set.filter((each) => each.derived);
  // What is derived anew with every change can't be taken back.
  const listed = follows ? byHand : set;
  return (
    <Panel
      name="Band"
      title={widest ? `From ${from} px up` : `${from} to ${band.below - 1} px`}
      onClose={() => dispatch(shown(null))}
    >
      <Section title="Narrower bands">
        <Segments
          name="Narrower bands"
          value={follows ? 'derived' : 'by hand'}
          choices={[
            { value: 'derived', label: 'Derived' },
            { value: 'by hand', label: 'By hand' },
          ]}
          onChoose={(value) =>
            value === 'by hand'
              ? dispatch(run('Narrower bands: by hand', setNarrowerBands(null)))
              : work(
                  'Narrower bands: derived',
                  (now) => engine('work').ask('deriveAll', now, []),
                  'Narrower bands are derived; undo brings the old ones back.',
                )
          }
        />
        <p className="text-sm text-soft">
          {follows
            ? 'Breakpoints, columns and spans follow the wider band after every change. What you set in a narrower band stays.'
            : 'Bands stay as they are set. Choosing “Derived” replaces them by bands that follow the wider one.'}
        </p>
      </Section>
      {!follows && (
        <Section title="Breakpoints">
          <p className="mb-1.5 text-sm text-soft">
            Adds a breakpoint wherever a tile would become squashed, clipped or cropped too far, and derives
            each band from the wider one. Replaces the present breakpoints.
          </p>
          <Button
            look="copper"
            className="justify-center"
            disabled={busy !== null}
            onClick={() =>
              work(
                'Find breakpoints',
                (now) => engine('work').ask('findBreakpoints', now, []),
                'Breakpoints were found; undo brings the old ones back.',
              )
            }
          >
            {busy === 'Find breakpoints' ? 'Calculating…' : 'Find breakpoints'}
          </Button>
        </Section>
      )}
      {!widest && (
        <Section title="From the wider band">
          <div className="flex flex-wrap gap-1.5">
            {!follows && (
              <>
                <Button
                  disabled={busy !== null}
                  title="Columns and spans from the wider band, fitted to this width; what you corrected stays"
                  onClick={() =>
                    work(
                      'Derive',
                      (now) => engine('work').ask('derive', now, [index, false]),
                      'The band was derived.',
                    )
                  }
                >
                  {busy === 'Derive' ? 'Calculating…' : 'Derive'}
                </Button>
                <Button
                  disabled={busy !== null}
                  title="As Derive, and also discards what you corrected here"
                  onClick={() =>
                    work(
                      'Derive again',
                      (now) => engine('work').ask('derive', now, [index, true]),
                      'The band was derived again.',
                    )
                  }
                >
                  Derive again
                </Button>
              </>
            )}
            <Button
              title="Same columns and spans as the wider band"
              onClick={() => {
                dispatch(run('Keep structure', keepStructure(document, index)));
                dispatch(announce('The wider band’s structure is kept.'));
              }}
            >
              Keep structure
            </Button>
            <Button
              disabled={busy !== null}
              title="One column, in reading order"
              onClick={() => {
                if (follows) {
                  dispatch(run('Stack', setArrangement({ columns: ['1fr'] }, index, 'band')));
                  dispatch(announce('Everything is in one column.'));
                  return;
                }
                work(
                  'Stack',
                  (now) => engine('work').ask('stack', now, [index]),
                  'Everything is in one column.',
                );
              }}
            >
              Stack
            </Button>
          </div>
        </Section>
      )}
      {!widest && (
        <Section title="Breakpoint">
          <Row
            label="Breakpoint"
            setHere={isMoved}
            onInherit={() => {
              dispatch(run('Derive breakpoint', deriveBreakpoint(index)));
              dispatch(announce('The breakpoint is derived again.'));
            }}
          >
            <div className="grid grid-cols-2 gap-1.5">
              <NumberField
                name="Breakpoint"
                value={band.below}
                least={LIMITS.narrowest + 1}
                most={LIMITS.widest}
                unit="px"
                onSet={(below) => {
                  dispatch(run('Move breakpoint', moveBreakpoint(index, below)));
                  if (needle >= below) dispatch(needleMoved(below - 1));
                }}
              />
              <Button
                className="justify-center"
                onClick={() => {
                  dispatch(run('Remove breakpoint', removeBreakpoint(index)));
                  dispatch(announce(`The breakpoint at ${band.below} px was removed.`));
                }}
              >
                Remove
              </Button>
            </div>
          </Row>
        </Section>
      )}
      <Section title="Set here">
        {widest ? (
          <p className="text-sm text-soft">The widest band sets everything; narrower ones inherit it.</p>
        ) : listed.length === 0 ? (
          <p className="text-sm text-soft">
            {set.length > 0
              ? 'Nothing: columns and spans are derived from the wider band, the rest is inherited.'
              : 'Nothing: everything is inherited from the wider band.'}
          </p>
        ) : (
          <>
            <SetHereList name="Set by hand" values={byHand} band={index} />
            {!follows && derived.length > 0 && (
              <>
                <p className="mt-2 text-sm text-soft">Derived from the wider band:</p>
                <SetHereList name="Derived" values={derived} band={index} />
              </>
            )}
            <Button
              className="mt-2 justify-self-start"
              onClick={() => {
                dispatch(run('Inherit all', inheritHere(listed, index)));
                dispatch(
                  announce(
                    follows
                      ? 'Everything is derived or inherited from the wider band.'
                      : 'Everything is inherited from the wider band.',
                  ),
                );
              }}
            >
              Inherit all
            </Button>
          </>
        )}
      </Section>
    </Panel>
  );
}

function SetHereList({ name, values, band }: { name: string; values: readonly SetHere[]; band: number }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  return (
    <ul aria-label={name} className="grid">
      {values.map((each) => {
        const label = setHereName(document, each);
        return (
          <li
            key={`${each.of} ${each.id ?? ''} ${each.field}`}
            className="relative flex h-7 items-center gap-2"
          >
            <button
              type="button"
              aria-label={`${label}: inherit from the wider band again`}
              title="Set in this band. Press to inherit it from the wider band again."
              className={`drop absolute top-1/2 -left-4 -translate-y-1/2 py-1 pr-2 pl-1.5 ${each.derived ? 'opacity-50' : ''}`}
              onClick={() => {
                dispatch(run('Inherit', inheritHere([each], band)));
                dispatch(announce(`${label} is inherited again.`));
              }}
            />
            {each.id === null ? (
              <span className="truncate">{label}</span>
            ) : (
              <button
                type="button"
                className="truncate rounded-s text-left hover:text-copper-ink"
                onClick={() => dispatch(tilesSelected([each.id ?? '']))}
              >
                {label}
              </button>
            )}
            <span className="figures ml-auto shrink-0 text-soft">{setHereValue(each)}</span>
          </li>
        );
      })}
    </ul>
  );
}
