import { meetingWords, type Side } from '@noria/core';
import { AlertDialog } from 'radix-ui';
import { useId, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { useFocusBack } from '../../ui/useFocusBack';
import { decide } from '../saving/join';
import { selectQuestion, selectShown } from '../document/selectors';
import { useAttempt } from './useAttempt';
import { useKeepAsNew } from './useKeepAsNew';

/** Asks what to keep where changes from elsewhere meet ours. What is not chosen is set aside. */
export function QuestionDialog() {
  const dispatch = useAppDispatch();
  const focusBack = useFocusBack();
  const attempt = useAttempt();
  const keepAsNew = useKeepAsNew();
  const question = useAppSelector(selectQuestion);
  const mine = useAppSelector(selectShown);
  const [choices, setChoices] = useState<Readonly<Record<string, Side>>>({});
  if (!question) return null;
  const { meetings, theirs } = question;
  const all = (side: Side) => setChoices(Object.fromEntries(meetings.map(({ path }) => [path, side])));
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-[160] bg-ink/30" />
        <AlertDialog.Content
          {...focusBack}
          className="fixed top-[12vh] left-1/2 z-[170] flex max-h-[76vh] w-[680px] -translate-x-1/2 flex-col gap-3 rounded-m bg-raised p-5 shadow-float"
        >
          <AlertDialog.Title className="font-title text-lg font-semibold">
            Changed here and elsewhere
          </AlertDialog.Title>
          <AlertDialog.Description className="text-soft">
            {meetings.length === 1 ? 'One value was' : `${meetings.length} values were`} changed here and in
            another tab or by another person. Choose which to keep. Everything else of both was kept, and the
            version that you don’t choose is set aside, to be opened later.
          </AlertDialog.Description>
          <div className="flex items-center gap-2">
            <Button onClick={() => all('ours')}>Choose all from here</Button>
            <Button onClick={() => all('theirs')}>Choose all from elsewhere</Button>
          </div>
          <div className="min-h-0 overflow-y-auto [scrollbar-width:thin]">
            <table className="w-full table-fixed border-collapse text-left">
              <thead className="sticky top-0 bg-raised text-sm text-soft">
                <tr>
                  <th scope="col" className="w-[34%] pb-1.5 font-normal">
                    What
                  </th>
                  <th scope="col" className="pb-1.5 font-normal">
                    Here
                  </th>
                  <th scope="col" className="pb-1.5 font-normal">
                    Elsewhere
                  </th>
                </tr>
              </thead>
              <tbody>
                {meetings.map((meeting) => (
                  <MeetingRow
                    key={meeting.path}
                    words={meetingWords(meeting, mine, theirs)}
                    chosen={choices[meeting.path] ?? 'ours'}
                    onChoose={(side) => setChoices({ ...choices, [meeting.path]: side })}
                  />
                ))}
              </tbody>
            </table>
          </div>
          <div className="flex justify-end gap-2">
            <Button onClick={keepAsNew}>Save mine as a new collection</Button>
            <Button look="solid" onClick={() => attempt(() => dispatch(decide(choices)))}>
              Apply
            </Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}

interface MeetingRowProps {
  readonly words: ReturnType<typeof meetingWords>;
  readonly chosen: Side;
  readonly onChoose: (side: Side) => void;
}

function MeetingRow({ words, chosen, onChoose }: MeetingRowProps) {
  const name = useId();
  const heading = useId();
  return (
    <tr className="border-t border-hair align-top">
      <th scope="row" id={heading} className="py-2 pr-3 font-normal">
        <span className="block font-semibold break-words">{words.of}</span>
        <span className="text-sm text-soft">{words.what}</span>
      </th>
      {(['ours', 'theirs'] as const).map((side) => (
        <td key={side} className="py-1.5 pr-2">
          <label
            className={`flex min-h-7 cursor-pointer items-start gap-2 rounded-s border px-2 py-1 ${chosen === side ? 'border-copper bg-copper-wash text-copper-ink' : 'border-hair hover:border-faint'}`}
          >
            <input
              type="radio"
              name={name}
              aria-describedby={heading}
              checked={chosen === side}
              className="mt-0.5 accent-copper"
              onChange={() => onChoose(side)}
            />
            <span className="min-w-0 break-words">{words[side]}</span>
          </label>
        </td>
      ))}
    </tr>
  );
}
