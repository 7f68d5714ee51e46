import {
  applyDesign,
  DESIGN_EXAMPLES,
  LIMITS,
  NO_AREA,
  readDesign,
  saysOfAll,
  type Design,
} from '@noria/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Rows';
import { NamedInput } from '../../ui/NamedInput';
import { FieldNote, useTyping } from '../../ui/typing';
import { count, lengthWords } from '../../ui/words';
import { announce } from '../../ui/notices/noticesSlice';
import { freshId } from '../actions/freshId';
import { shown } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectLevel, selectSetFor } from '../selectors';

/** A grid said in words, as designers say it: rows of cards, spans, columns that fit, and values beside them. */
export function DesignField() {
  const dispatch = useAppDispatch();
  const { index } = useAppSelector(selectBand);
  const level = useAppSelector(selectLevel);
  const setFor = useAppSelector(selectSetFor);
  const what = useAppSelector((state) => state.editor.drawn);
  const [hasFocus, setHasFocus] = useState(false);

  const read = (text: string): Design | string => {
    try {
      const design = readDesign(text);
      return level !== null && saysOfAll(design)
        ? 'Breakpoints and the background are those of the whole collection. Leave the group to set them.'
        : design;
    } catch (error) {
      return error instanceof Error ? error.message : String(error);
    }
  };
  const problem = (text: string) => {
    const design = read(text);
    return typeof design === 'string' ? design : null;
  };
  const apply = (text: string) => {
    const design = read(text);
    if (typeof design === 'string') return design;
    const command = applyDesign({ design, band: index, setFor, freshId, what });
    if (!dispatch(runHere(`Grid: ${text.trim().slice(0, 60)}`, command))) return 'It can’t be made here.';
    dispatch(announce(`Set: ${saidOf(design)}.`));
    return null;
  };
  const { typed, amiss, note, field, input, type } = useTyping({ value: '', problem, apply });
  const design = typed ? read(typed) : null;

  return (
    <Row label="In words" help="Rows of cards, spans, columns that fit, and values beside them">
      <Popover.Root open={hasFocus}>
        <Popover.Anchor className="relative">
          <NamedInput
            {...input}
            aria-describedby={amiss !== null && typed === null ? note : 'design-says'}
            placeholder="4, 3, 2"
            maxLength={LIMITS.name}
            className={`h-[26px] w-full min-w-0 rounded-s bg-field px-2 placeholder:text-faint ${amiss === null ? '' : 'outline-2 outline-amiss'}`}
            onFocus={() => setHasFocus(true)}
            onBlur={() => {
              setHasFocus(false);
              input.onBlur();
            }}
          />
          {typed === null && <FieldNote id={note}>{amiss}</FieldNote>}
        </Popover.Anchor>
        <Popover.Portal>
          <Popover.Content
            side="right"
            align="start"
            sideOffset={20}
            collisionPadding={12}
            role="group"
            aria-label="What can be said"
            id="design-says"
            className="z-[150] max-h-(--radix-popover-content-available-height) w-[344px] overflow-y-auto rounded-m bg-raised p-3 text-sm shadow-float [scrollbar-width:thin]"
            onOpenAutoFocus={(event) => event.preventDefault()}
            onCloseAutoFocus={(event) => event.preventDefault()}
            // A press in it leaves the focus in the field.
            onPointerDown={(event) => event.preventDefault()}
          >
            {design === null ? (
              <Examples
                onTake={(text) => {
                  type(text);
                  field.current?.focus();
                }}
                onSkeletons={() => {
                  setHasFocus(false);
                  dispatch(shown('skeletons'));
                }}
              />
            ) : typeof design === 'string' ? (
              <p className="text-amiss">{design}</p>
            ) : (
              <p>
                <b className="font-semibold">{saidOf(design)}.</b>{' '}
                <span className="text-soft">Press Enter to set it.</span>
              </p>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </Row>
  );
}

interface ExamplesProps {
  readonly onTake: (text: string) => void;
  readonly onSkeletons: () => void;
}

function Examples({ onTake, onSkeletons }: ExamplesProps) {
  return (
    <div className="grid gap-1.5">
      <b className="font-title font-semibold">Say the grid, for example</b>
      <ul className="-mx-1.5 grid">
        {DESIGN_EXAMPLES.map(({ write, says }) => (
          <li key={write}>
            <button
              type="button"
              tabIndex={-1}
              className="grid w-full gap-px rounded-s px-1.5 py-1 text-left hover:bg-field"
              onClick={() => onTake(write)}
            >
              <span className="figures">{write}</span>
              <span className="text-xs text-soft">{says}</span>
            </button>
          </li>
        ))}
      </ul>
      <Button className="justify-self-start" tabIndex={-1} onClick={onSkeletons}>
        Page skeletons…
      </Button>
    </div>
  );
}

const kindWords = ({ name, columns }: NonNullable<Design['kind']>) =>
  columns === null
    ? name
    : `${name} of ${'min' in columns ? `columns of ${lengthWords(columns.min)}, as many as fit` : count(columns.count, 'column').toLowerCase()}`;

/** What a design makes, in a few words. */
function saidOf({ grid, fit, areas, kind, what, cards, narrower, values }: Design): string {
  const { breakpoints = [], ...others } = values;
  const widths = new Set([...breakpoints, ...narrower.map(({ below }) => below)]).size;
  const said = [
    grid && `${grid.columns} × ${grid.rows}`,
    fit &&
      ('min' in fit
        ? `columns of ${lengthWords(fit.min)}, as many as fit`
        : `${fit.columns} columns at ${fit.at} px`),
    areas && count(new Set(areas.flat().filter((name) => name !== NO_AREA)).size, 'area').toLowerCase(),
    kind && kindWords(kind),
    cards > 0 && count(cards, what ?? 'card').toLowerCase(),
    widths > 0 ? count(widths, 'breakpoint').toLowerCase() : values.breakpoints && 'no breakpoints',
    Object.keys(others).length > 0 && count(Object.keys(others).length, 'value').toLowerCase(),
  ];
  return said.filter(Boolean).join(', ');
}
