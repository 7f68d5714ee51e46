import { setPart, type IconItem, type IconsPart } from '@noria/core';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { addressFor } from '../../api/pictures';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { PicturePicker } from '../pictures/PicturePicker';
import { runHere } from '../here';
import { selectShared } from '../selectors';
import { ChoiceRow } from '../settings/ChoiceRow';
import { NumberRow } from '../settings/NumberRow';
import { Icon, IconPicker } from '../settings/content/IconPicker';
import { useTakePicture } from '../settings/content/useTakePicture';
import { addIcons } from './addIcons';
import { AddressField } from './AddressField';
import { PART } from './fields';
import type { PartProps } from './partProps';

/** A row of icons or logos: what each is, what it stands for, where it leads. */
export function IconsRows({ part, ids }: PartProps<IconsPart>) {
  const dispatch = useAppDispatch();
  const { icons, pictures } = useAppSelector(selectShared);
  const [picking, setPicking] = useState<'icon' | 'picture' | null>(null);
  const take = useTakePicture();
  const set = (next: readonly IconItem[], key: string | null = null) =>
    dispatch(runHere(PART.icons.label, setPart(ids, part.id, { icons: next }), key));
  const change = (k: number, values: Partial<IconItem>, key: string) =>
    set(
      part.icons.map((mark, at) => (at === k ? { ...mark, ...values } : mark)),
      `${ids.join(' ')} ${part.id} ${k} ${key}`,
    );
  const move = (k: number, by: number) => {
    const next = [...part.icons];
    const [mark] = next.splice(k, 1);
    if (mark) next.splice(k + by, 0, mark);
    set(next);
  };
  return (
    <>
      <Row label={PART.icons.label}>
        <div className="flex gap-1">
          <Button className="px-1.5!" onClick={() => setPicking('icon')}>
            Add icons…
          </Button>
          <Button className="px-1.5!" onClick={() => setPicking('picture')}>
            Add logo…
          </Button>
        </div>
      </Row>
      <ul className="grid gap-1" aria-label={PART.icons.label}>
        {part.icons.map((mark, k) => {
          const icon = mark.icon === null ? undefined : icons[mark.icon];
          const picture = mark.picture === null ? undefined : pictures[mark.picture];
          return (
            <li key={k} className="grid grid-cols-[26px_1fr_auto] items-center gap-1">
              <span className="grid size-[26px] place-items-center rounded-s bg-field" aria-hidden>
                {icon && <Icon icon={icon} size={17} />}
                {picture && <img src={addressFor(picture, 320)} alt="" className="max-h-5 max-w-5" />}
              </span>
              <span className="grid grid-cols-2 gap-1">
                <WordsField
                  name={`Label of icon ${k + 1}`}
                  value={mark.label}
                  onType={(label) => change(k, { label }, 'label')}
                />
                <AddressField
                  name={`Link of icon ${k + 1}`}
                  hint="link"
                  value={mark.address}
                  onSet={(address) => change(k, { address }, 'address')}
                />
              </span>
              <span className="flex">
                <SignButton
                  className="size-6!"
                  name={`Move icon ${k + 1} earlier`}
                  disabled={k === 0}
                  onClick={() => move(k, -1)}
                >
                  <ArrowUp size={13} aria-hidden />
                </SignButton>
                <SignButton
                  className="size-6!"
                  name={`Move icon ${k + 1} later`}
                  disabled={k === part.icons.length - 1}
                  onClick={() => move(k, 1)}
                >
                  <ArrowDown size={13} aria-hidden />
                </SignButton>
                <SignButton
                  className="size-6!"
                  name={`Remove icon ${k + 1}`}
                  onClick={() => set(part.icons.filter((_, at) => at !== k))}
                >
                  <X size={13} aria-hidden />
                </SignButton>
              </span>
            </li>
          );
        })}
      </ul>
      <NumberRow
        field={PART.iconSize}
        value={part.size}
        command={(size) => setPart(ids, part.id, { size })}
      />
      <ChoiceRow
        field={PART.iconLine}
        value={part.line ?? 'wrapped'}
        onChoose={(line) =>
          dispatch(
            runHere(
              PART.iconLine.label,
              setPart(ids, part.id, { line: line === 'wrapped' ? undefined : line }),
            ),
          )
        }
      />
      <ChoiceRow
        field={PART.iconLabels}
        value={part.showLabels ? 'shown' : 'read'}
        onChoose={(value) =>
          dispatch(runHere(PART.iconLabels.label, setPart(ids, part.id, { showLabels: value === 'shown' })))
        }
      />
      <IconPicker
        open={picking === 'icon'}
        onClose={() => setPicking(null)}
        onChoose={(added) => {
          setPicking(null);
          dispatch(addIcons(ids, part, added));
        }}
      />
      <PicturePicker
        open={picking === 'picture'}
        onClose={() => setPicking(null)}
        onChoose={(chosen) => {
          setPicking(null);
          const picture = take(chosen);
          set([
            ...part.icons,
            { icon: null, picture, label: chosen.name.replace(/\.[^.]+$/, ''), address: '' },
          ]);
        }}
      />
    </>
  );
}
