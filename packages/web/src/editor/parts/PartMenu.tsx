import type { Part } from '@noria/core';
import { Check, EllipsisVertical } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { SignButton } from '../../ui/Button';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { partAligned, partBeside, partMoved, partRemoved, partRepeated, partShown } from '../actions/parts';
import { useAppDispatch } from '../hooks';
import { ADD_PART } from './AddPart';
import { PART } from './fields';
import { partName } from './partNames';
import type { AppThunk } from '../state';
import type { PartProps } from './partProps';

interface PartMenuProps extends Pick<PartProps, 'part' | 'ids'> {
  /** Where it is in its card, from 0. */
  readonly at: number;
  /** How many parts the card has. */
  readonly of: number;
}

/** What can be done to a part of a card, and how it stands there. */
export function PartMenu({ part, ids, at, of }: PartMenuProps) {
  const dispatch = useAppDispatch();
  const item = (words: string, act: AppThunk, isOff = false) => (
    <DropdownMenu.Item
      disabled={isOff}
      className={`${MENU_ITEM} pl-6 data-[disabled]:text-faint`}
      onSelect={() => dispatch(act)}
    >
      {words}
    </DropdownMenu.Item>
  );
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <SignButton name={`${partName(part)}: more`} className="size-6! text-faint">
          <EllipsisVertical size={14} aria-hidden />
        </SignButton>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          className={`z-[150] min-w-[210px] ${MENU}`}
          onCloseAutoFocus={() => {
            // The part may be gone, and its menu with it.
            window.setTimeout(() => {
              if (document.activeElement === document.body) document.getElementById(ADD_PART)?.focus();
            });
          }}
        >
          {item('Move up', partMoved(ids, part, -1), at === 0)}
          {item('Move down', partMoved(ids, part, 1), at === of - 1)}
          {item('Repeat', partRepeated(ids, part))}
          {item('Hide', partShown(ids, part, false))}
          {item('Remove', partRemoved(ids, part))}
          <DropdownMenu.Separator className="my-1 h-px bg-hair" />
          <DropdownMenu.CheckboxItem
            checked={part.beside === true}
            disabled={at === 0}
            className={`relative ${MENU_ITEM} pl-6 data-[disabled]:text-faint`}
            onCheckedChange={(isBeside) => dispatch(partBeside(ids, part, isBeside))}
          >
            <Chosen />
            In line with the part before
          </DropdownMenu.CheckboxItem>
          <DropdownMenu.Separator className="my-1 h-px bg-hair" />
          <DropdownMenu.Label className="px-2 py-1 text-xs text-faint">{PART.align.label}</DropdownMenu.Label>
          <DropdownMenu.RadioGroup
            value={part.align ?? 'tile'}
            onValueChange={(align) =>
              dispatch(partAligned(ids, part, align === 'tile' ? undefined : (align as Part['align'])))
            }
          >
            {PART.align.choices.map(({ value, label }) => (
              <DropdownMenu.RadioItem key={value} value={value} className={`relative ${MENU_ITEM} pl-6`}>
                <Chosen />
                {label}
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const Chosen = () => (
  <DropdownMenu.ItemIndicator className="absolute left-1.5">
    <Check size={13} aria-hidden />
  </DropdownMenu.ItemIndicator>
);
