import { FAMILIES, familyCss, SYSTEM_STACKS, type FamilyName, type OwnFamily } from '@noria/core';
import { Check } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useEffect } from 'react';
import { askForFiles } from '../../ui/askForFiles';
import { MENU, MENU_ITEM } from '../../ui/menu';
import { FONT_FILES } from '../../api/fontFiles';
import { byName } from '../../api/ownFonts';
import { plainFaces } from '../engine/faces';
import { loadFaces } from '../engine/measurer';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectSaved } from '../document/selectors';
import { addFontsHere } from './fontsHere';
import { useOwnFamilies } from './useOwnFamilies';

const SORTS = [
  ['sans-serif', 'Sans serif'],
  ['serif', 'Serif'],
  ['monospace', 'Monospace'],
  ['cursive', 'Handwriting'],
] as const;

export interface FamilyFieldProps {
  /** Null: several. */
  readonly value: FamilyName | null;
  /** @param own the family with its files, where it does not ship with Noria */
  readonly onChoose: (name: FamilyName, own: OwnFamily | null) => void;
}

/** The families by sort, each in its own letters, and the way to add more. */
export function FamilyMenu({ value, onChoose }: FamilyFieldProps) {
  const here = useAppSelector((state) => selectSaved(state).families);
  const dispatch = useAppDispatch();
  const { families, trouble } = useOwnFamilies();
  const own: Readonly<Record<string, OwnFamily>> = { ...here, ...byName(families ?? []) };
  const names = Object.keys(own).sort((a, b) => a.localeCompare(b));
  const listed = names.join();
  useEffect(() => {
    const faces = plainFaces({ families: own }, [...Object.keys(FAMILIES), ...Object.keys(own)]);
    // Names are set upright, in letters that most have.
    const upright = faces.filter(
      ({ descriptors, address }) => descriptors.style === 'normal' && !address.includes('-latin-ext-'),
    );
    void loadFaces(document.fonts, upright);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the families are the same while their names are
  }, [listed]);
  const group = (title: string, all: readonly FamilyName[]) =>
    all.length > 0 && (
      <DropdownMenu.Group key={title}>
        <DropdownMenu.Label className="px-2 pt-2 pb-1 text-xs text-faint">{title}</DropdownMenu.Label>
        {all.map((name) => (
          <DropdownMenu.RadioItem key={name} value={name} className={`relative pl-7! ${MENU_ITEM}`}>
            <DropdownMenu.ItemIndicator className="absolute left-2">
              <Check size={13} aria-hidden />
            </DropdownMenu.ItemIndicator>
            <span className="truncate text-[15px]" style={{ fontFamily: familyCss(name) }}>
              {name}
            </span>
          </DropdownMenu.RadioItem>
        ))}
      </DropdownMenu.Group>
    );
  const addFiles = async () => {
    const [first] = await dispatch(addFontsHere(await askForFiles(FONT_FILES)));
    if (first) onChoose(first.name, first);
  };
  return (
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        align="start"
        sideOffset={4}
        collisionPadding={8}
        className={`z-[150] flex max-h-[min(440px,var(--radix-dropdown-menu-content-available-height))] w-[250px] flex-col ${MENU}`}
      >
        <DropdownMenu.RadioGroup
          className="min-h-0 flex-1 overflow-y-auto"
          value={value ?? ''}
          onValueChange={(name) => onChoose(name, own[name] ?? null)}
        >
          {group('Added here', names)}
          {SORTS.map(([sort, title]) =>
            group(
              title,
              Object.keys(FAMILIES).filter((name) => FAMILIES[name]?.fallback === sort),
            ),
          )}
          {group('Of the visitor’s device', Object.keys(SYSTEM_STACKS))}
        </DropdownMenu.RadioGroup>
        <div className="mt-1 border-t border-hair pt-1">
          {trouble && (
            <p className="px-2 py-1 text-sm text-soft">The library’s fonts can’t be read. {trouble}</p>
          )}
          <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void addFiles()}>
            Add font files…
          </DropdownMenu.Item>
        </div>
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  );
}
