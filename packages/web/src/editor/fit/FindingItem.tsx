import { rangeWords, type Finding, type Fix } from '@noria/core';
import { useEffect, useRef, useState } from 'react';
import { useAppDispatch } from '../hooks';
import { Button } from '../../ui/Button';
import { runPatch, tryPatch } from '../document/run';
import { announce } from '../../ui/notices/noticesSlice';
import { ignoreFinding } from './actions';
import { Sign } from './Sign';
import { useFixes } from './useFixes';

interface FindingItemProps {
  readonly finding: Finding;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly onShow: (finding: Finding) => void;
  /** Whether there is a stage beside it, on which a fix is seen while it is pointed at. */
  readonly tries: boolean;
}

/** One finding: what, where and why; opened, with what would put it right. */
export function FindingItem({ finding, isOpen, onOpen, onShow, tries }: FindingItemProps) {
  const { severity, title, reason, ranges } = finding;
  const item = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isOpen) item.current?.scrollIntoView({ block: 'nearest' });
  }, [isOpen]);
  return (
    <li className="grid grid-cols-[20px_1fr] border-b border-hair py-3 first:pt-2" data-finding={finding.id}>
      <span className="pt-[3px]">
        <Sign severity={severity} />
      </span>
      <div className="grid min-w-0 gap-1">
        <button
          type="button"
          aria-expanded={isOpen}
          className="flex items-baseline gap-3 rounded-s text-left hover:text-copper-ink"
          onClick={onOpen}
        >
          <span className="font-semibold">{title}</span>
          <span className="figures ml-auto shrink-0 text-right text-faint">{shortRanges(ranges)}</span>
        </button>
        <p className="text-sm text-soft">{reason}</p>
        {isOpen ? <Fixes finding={finding} onShow={onShow} tries={tries} /> : null}
      </div>
    </li>
  );
}

const MOST_RANGES = 3;

const shortRanges = (ranges: Finding['ranges']) =>
  ranges.length <= MOST_RANGES
    ? rangeWords(ranges)
    : `${rangeWords(ranges.slice(0, MOST_RANGES - 1))} and ${ranges.length - MOST_RANGES + 1} more`;

function Fixes({ finding, onShow, tries }: Pick<FindingItemProps, 'finding' | 'onShow' | 'tries'>) {
  const dispatch = useAppDispatch();
  const fixes = useFixes(finding.id);
  const [tried, setTried] = useState<Fix | null>(null);
  useEffect(
    () => () => {
      dispatch(tryPatch(null));
    },
    [dispatch],
  );
  const tryOne = (fix: Fix | null) => {
    setTried(fix);
    if (tries) dispatch(tryPatch(fix?.patch ?? null));
  };
  const take = (fix: Fix) => {
    dispatch(tryPatch(null));
    dispatch(runPatch(fix.does, fix.patch));
    dispatch(announce(`${finding.title}: ${fix.does}.`));
  };
  return (
    <div className="mt-1 flex flex-wrap gap-1.5" onPointerLeave={() => tryOne(null)}>
      {fixes === null && <span className="flex h-7 items-center text-sm text-faint">Looking for fixes…</span>}
      {fixes?.map((fix) => (
        <Button
          key={fix.does}
          look={fix.safe ? 'copper' : 'quiet'}
          title={
            fix.safe
              ? 'Fixes it at every width and causes no new finding'
              : 'Helps, but check the result: it is a matter of taste, or does not cover every width'
          }
          aria-pressed={tried === fix}
          onPointerEnter={() => tryOne(fix)}
          onFocus={() => tryOne(fix)}
          onBlur={() => tryOne(null)}
          onClick={() => take(fix)}
        >
          {fix.does}
        </Button>
      ))}
      {fixes?.length === 0 && (
        <p className="py-1 text-sm text-soft">
          No automatic fix. Try another span, smaller type or fewer columns.
        </p>
      )}
      <Button onClick={() => onShow(finding)}>Show</Button>
      <Button onClick={() => dispatch(ignoreFinding(finding, !finding.ignored))}>
        {finding.ignored ? 'Stop ignoring' : 'Ignore finding'}
      </Button>
    </div>
  );
}
