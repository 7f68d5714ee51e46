import { useEffect } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { CommandButton } from '../commands/CommandButton';
import { Panel } from '../../ui/Panel';
import { count } from '../../ui/words';
import { FindingItem } from '../fit/FindingItem';
import { selectIgnored, selectSettled, selectSettledFindings } from '../fit/selectors';
import { tryOut } from '../document/run';
import { showFinding } from '../actions/findings';
import { findingOpened, shown } from '../editorSlice';
import { selectNeedle } from '../selectors';

/** Everything that was found, beside the stage, on which each fix is tried. */
export function FindingsPanel() {
  const dispatch = useAppDispatch();
  const report = useAppSelector(selectSettled);
  const findings = useAppSelector(selectSettledFindings);
  const ignored = useAppSelector(selectIgnored);
  const open = useAppSelector((state) => state.editor.finding);
  const needle = useAppSelector(selectNeedle);
  useEffect(() => {
    if (open === null) return undefined;
    // The tile is where it is at that width once the stage has been laid out.
    const timer = window.setTimeout(() => {
      document.querySelector('[data-testid=selection]')?.scrollIntoView({ block: 'nearest' });
    }, 60);
    return () => window.clearTimeout(timer);
  }, [open, needle]);
  useEffect(
    () => () => {
      dispatch(tryOut(null));
    },
    [dispatch],
  );
  return (
    <Panel name="Findings" title="Findings" onClose={() => dispatch(shown(null))}>
      <p role="status" className="-mt-2 text-sm text-soft">
        {!report
          ? 'Checking every width…'
          : findings.length === 0
            ? 'Nothing found at any width from 240 to 2560.'
            : `${count(findings.length, 'finding')}, worst first.`}
      </p>
      {findings.length > 0 && (
        <>
          <CommandButton command="fixAll" look="solid" className="justify-center" />
          <ul aria-label="Findings" className="-mt-2 grid">
            {findings.map((finding) => (
              <FindingItem
                key={finding.id}
                finding={finding}
                isOpen={finding.id === open}
                onOpen={() =>
                  finding.id === open ? dispatch(findingOpened(null)) : dispatch(showFinding(finding))
                }
                onShow={(each) => dispatch(showFinding(each))}
                tries
              />
            ))}
          </ul>
        </>
      )}
      {ignored.length > 0 && (
        <>
          <h3 className="text-sm font-semibold">Ignored</h3>
          <ul aria-label="Ignored findings" className="-mt-2 grid">
            {ignored.map((finding) => (
              <FindingItem
                key={finding.id}
                finding={finding}
                isOpen={finding.id === open}
                onOpen={() => dispatch(findingOpened(finding.id === open ? null : finding.id))}
                onShow={(each) => dispatch(showFinding(each))}
                tries
              />
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}
