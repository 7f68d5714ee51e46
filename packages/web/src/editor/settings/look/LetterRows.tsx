import { shippedFamily, type FamilyName, type FontAxis, type TextWrap } from '@noria/core';
import { Check, ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Choice } from '../../../ui/Choice';
import { MENU, MENU_ITEM } from '../../../ui/menu';
import { Row, useName } from '../../../ui/Rows';
import { LOOK } from '../../fields/fields';
import { useAppSelector } from '../../hooks';
import { selectShared } from '../../selectors';
import { SetNumber } from '../SetNumber';
import { AXES, featureName } from './letterWords';
import type { Look, Role } from './useLook';

interface LetterRowsProps {
  readonly look: Look;
  readonly role: Role;
  readonly family: FamilyName;
}

/** What the letters of one family can do beside being light or heavy, and how its lines are broken. */
export function LetterRows({ look, role, family }: LetterRowsProps) {
  const { families } = useAppSelector(selectShared);
  const faces = families[family]?.faces ?? [];
  const axes = new Map<string, FontAxis>(faces.flatMap((face) => face.axes.map((axis) => [axis.tag, axis])));
  const features = shippedFamily(family)?.features ?? [...new Set(faces.flatMap((face) => face.features))];
  const named = features.filter((tag) => featureName(tag) !== null);
  const on = look.look[`${role}Features`] ?? [];
  const values = look.look[`${role}Axes`] ?? {};
  const wrap = look.look[`${role}Wrap`] ?? (role === 'heading' ? null : 'wrap');
  const setFeatures = (tags: readonly string[]) =>
    look.set(LOOK[`${role}Features`].label, { [`${role}Features`]: tags.length > 0 ? tags : undefined });
  return (
    <>
      {(named.length > 0 || on.length > 0) && (
        <Row
          label="Features"
          help="Forms of letters and figures that the font has beside its usual ones"
          {...look.here(`${role}Features`)}
        >
          <Features all={[...new Set([...named, ...on])]} on={on} onSet={setFeatures} />
        </Row>
      )}
      {[...axes.values()].map(({ tag, min, max, default: usual }) => (
        <Row key={tag} label={AXES[tag] ?? tag} {...look.here(`${role}Axes`)}>
          <SetNumber
            field={{ ...LOOK[`${role}Axes`], least: min, most: max }}
            name={null}
            value={values[tag] ?? usual}
            whole={false}
            by={(max - min) / 100}
            command={(value) =>
              look.command({ [`${role}Axes`]: { ...values, [tag]: Math.round(value * 100) / 100 } })
            }
          />
        </Row>
      ))}
      <Row
        label="Line breaks"
        help="Balance: lines of about one length. Pretty: no single word on the last line"
        {...look.here(`${role}Wrap`)}
      >
        <Choice<TextWrap>
          value={wrap}
          placeholder="Usual"
          choices={LOOK[`${role}Wrap`].choices}
          onChoose={(next) => look.set(LOOK[`${role}Wrap`].label, { [`${role}Wrap`]: next })}
        />
      </Row>
    </>
  );
}

interface FeaturesProps {
  readonly all: readonly string[];
  readonly on: readonly string[];
  readonly onSet: (tags: readonly string[]) => void;
}

function Features({ all, on, onSet }: FeaturesProps) {
  const says = on.length === 0 ? 'As the font' : on.map((tag) => featureName(tag) ?? tag).join(', ');
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        {...useName(undefined)}
        className="flex h-[26px] w-full min-w-0 items-center justify-between gap-1 rounded-s bg-field px-2 text-left"
      >
        <span className="truncate">{says}</span>
        <ChevronDown size={13} className="flex-none text-faint" aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          className={`z-[150] max-h-[320px] min-w-[190px] overflow-y-auto ${MENU}`}
        >
          {all.map((tag) => (
            <DropdownMenu.CheckboxItem
              key={tag}
              className={`relative pl-7! ${MENU_ITEM}`}
              checked={on.includes(tag)}
              // Several are chosen one after the other.
              onSelect={(event) => event.preventDefault()}
              onCheckedChange={(checked) => onSet(checked ? [...on, tag] : on.filter((each) => each !== tag))}
            >
              <DropdownMenu.ItemIndicator className="absolute left-2">
                <Check size={13} aria-hidden />
              </DropdownMenu.ItemIndicator>
              {featureName(tag) ?? tag}
            </DropdownMenu.CheckboxItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
