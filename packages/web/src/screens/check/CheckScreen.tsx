import { LIMITS, widthsAmiss, type Finding, type FindingKind } from '@noria/core';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../editor/hooks';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { count } from '../../ui/words';
import { needleMoved } from '../../editor/editorSlice';
import { PackedFigure } from '../../editor/fit/PackedFigure';
import { showFinding } from '../../editor/actions/findings';
import { askedFor } from '../../editor/fit/fitSlice';
import { FindingItem } from '../../editor/fit/FindingItem';
import { fixAll } from '../../editor/fit/actions';
import { selectIgnored, selectReport, selectSettledFindings } from '../../editor/fit/selectors';
import { COMMAND_WORDS } from '../../editor/commands/words';
import { TopBar } from '../../editor/frame/TopBar';
import { Curves } from './Curves';

type Sorting = 'worst' | 'narrow' | 'tile';

/** Everything over the axis of widths: curves, what was found, and what puts it right. */
export function CheckScreen() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const report = useAppSelector(selectReport);
  useEffect(() => void dispatch(askedFor()), [dispatch]);
  const findings = useAppSelector(selectSettledFindings);
  const ignored = useAppSelector(selectIgnored);
  const trouble = useAppSelector((state) => state.fit.trouble);
  const [open, setOpen] = useState<string | null>(null);
  const [kind, setKind] = useState<FindingKind | 'all'>('all');
  const [sorting, setSorting] = useState<Sorting>('worst');
  const [fixing, setFixing] = useState(false);

  const kinds = [...new Set(findings.map((each) => each.kind))];
  const chosen = kind !== 'all' && kinds.includes(kind) ? kind : 'all';
  const listed = sorted(
    findings.filter((each) => chosen === 'all' || each.kind === chosen),
    sorting,
  );
  const show = (finding: Finding) => {
    dispatch(showFinding(finding));
    void navigate(`/collections/${id}/compose`);
  };
  const openOne = (finding: Finding) => {
    setOpen(finding.id === open ? null : finding.id);
    dispatch(needleMoved(finding.worst));
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_404px] grid-rows-[46px_minmax(0,1fr)]">
      <div className="col-span-2">
        <TopBar id={id}>
          <PackedFigure />
        </TopBar>
      </div>
      <main className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)] px-6 pt-4 pb-4">
        <header className="flex items-baseline gap-4">
          <h1 className="font-title text-lg font-[650] whitespace-nowrap">
            Every width from {LIMITS.narrowest} to {LIMITS.widest}
          </h1>
          <p role="status" className="truncate text-soft">
            {!report
              ? (trouble ?? 'Checking every width…')
              : findings.length === 0
                ? `${spaced(report.to - report.from + 1)} widths laid out, nothing found`
                : summary(findings, report)}
          </p>
        </header>
        {report && <Curves report={report} findings={listed} open={open} />}
      </main>
      <aside
        aria-label="Findings"
        className="grid min-h-0 grid-rows-[auto_auto_minmax(0,1fr)] border-l border-hair bg-panel px-5 pt-3.5"
      >
        <header className="flex items-baseline justify-between">
          <h2 className="font-title text-lg font-[650]">Findings</h2>
          <span className="text-sm text-soft">
            {findings.length === 0 ? 'none' : `${findings.length} open`}
          </span>
        </header>
        {findings.length > 0 ? (
          <div className="grid gap-2 border-b border-hair pt-2 pb-3">
            <div className="grid grid-cols-2 gap-1.5">
              <Choice<FindingKind | 'all'>
                name="Kind of finding"
                value={chosen}
                choices={[
                  { value: 'all', label: 'All kinds' },
                  ...kinds.map((each) => ({ value: each, label: capital(each) })),
                ]}
                onChoose={setKind}
              />
              <Choice<Sorting>
                name="Sort findings"
                value={sorting}
                choices={[
                  { value: 'worst', label: 'Worst first' },
                  { value: 'narrow', label: 'From narrow to wide' },
                  { value: 'tile', label: 'By tile' },
                ]}
                onChoose={setSorting}
              />
            </div>
            <Button
              look="solid"
              className="justify-center"
              disabled={fixing}
              onClick={() => {
                setFixing(true);
                void dispatch(fixAll()).finally(() => setFixing(false));
              }}
            >
              {fixing ? 'Looking for fixes…' : COMMAND_WORDS.fixAll}
            </Button>
          </div>
        ) : (
          <span />
        )}
        <div className="min-h-0 overflow-y-auto pb-6 [scrollbar-width:thin]">
          {report && findings.length === 0 && (
            <p className="pt-3 text-soft">
              Every tile fits at every width. The check runs again with every change.
            </p>
          )}
          <List name="Open findings" findings={listed} open={open} onOpen={openOne} onShow={show} />
          {ignored.length > 0 && (
            <>
              <h3 className="mt-5 border-b border-hair pb-1 text-sm font-semibold text-soft">
                Ignored, not counted
              </h3>
              <List name="Ignored findings" findings={ignored} open={open} onOpen={openOne} onShow={show} />
            </>
          )}
        </div>
      </aside>
    </div>
  );
}

interface ListProps {
  readonly name: string;
  readonly findings: readonly Finding[];
  readonly open: string | null;
  readonly onOpen: (finding: Finding) => void;
  readonly onShow: (finding: Finding) => void;
}

function List({ name, findings, open, onOpen, onShow }: ListProps) {
  if (findings.length === 0) return null;
  return (
    <ul aria-label={name}>
      {findings.map((finding) => (
        <FindingItem
          key={finding.id}
          finding={finding}
          isOpen={finding.id === open}
          onOpen={() => onOpen(finding)}
          onShow={onShow}
          tries
        />
      ))}
    </ul>
  );
}

function sorted(findings: readonly Finding[], by: Sorting): readonly Finding[] {
  const from = ({ ranges }: Finding) => ranges[0]?.from ?? 0;
  if (by === 'narrow') return findings.toSorted((a, b) => from(a) - from(b));
  if (by === 'tile') return findings.toSorted((a, b) => a.title.localeCompare(b.title));
  return findings;
}

function summary(
  findings: readonly Finding[],
  report: Parameters<typeof widthsAmiss>[0] & { from: number; to: number },
): string {
  const kinds = new Set(findings.map(({ kind }) => kind)).size;
  return `${spaced(report.to - report.from + 1)} widths laid out, ${count(kinds, 'kind').toLowerCase()} of finding at ${spaced(widthsAmiss(report))} of them`;
}

const spaced = (value: number) => value.toLocaleString('en').replaceAll(',', ' ');
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
