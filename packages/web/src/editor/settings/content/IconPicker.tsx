import type { IconAsset } from '@noria/core';
import { Dialog } from 'radix-ui';
import { Button } from '../../../ui/Button';
import { useFocusBack } from '../../../ui/useFocusBack';
import { foundIcons } from './foundIcons';
import { createElement, useEffect, useMemo, useState } from 'react';

type Nodes = readonly (readonly [string, Readonly<Record<string, string>>])[];

interface IconSet {
  readonly nodes: Readonly<Record<string, Nodes>>;
  readonly tags: Readonly<Record<string, readonly string[]>>;
}

let loaded: Promise<IconSet> | null = null;
/** The shipped icons are many; they come when they are asked for. */
const load = () =>
  (loaded ??= Promise.all([import('lucide-static/icon-nodes.json'), import('lucide-static/tags.json')]).then(
    ([nodes, tags]) => ({ nodes: nodes.default as unknown as IconSet['nodes'], tags: tags.default }),
  ));

const SHAPES = new Set(['path', 'circle', 'ellipse', 'line', 'rect', 'polyline', 'polygon']);
const MOST_SHOWN = 120;

const assetOf = (id: string, nodes: Nodes): IconAsset => ({
  id: /^[a-z]/.test(id) ? id : `icon-${id}`,
  name: id.replaceAll('-', ' ').replace(/^./, (letter) => letter.toUpperCase()),
  shapes: nodes
    .filter(([element]) => SHAPES.has(element))
    .map(([element, { key: _, ...rest }]) => [element, rest]),
});

/** An icon as it is drawn in a tile. */
export function Icon({ icon, size }: { icon: IconAsset; size: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={1.75}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      {icon.shapes.map(([element, attributes], k) => createElement(element, { key: k, ...attributes }))}
    </svg>
  );
}

interface IconPickerProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onChoose: (icons: readonly IconAsset[]) => void;
}

/** The shipped icons, found by name and by what they stand for; one or several are chosen. */
export function IconPicker({ open, onClose, onChoose }: IconPickerProps) {
  const [set, setSet] = useState<IconSet | null>(null);
  const focusBack = useFocusBack();
  const [search, setSearch] = useState('');
  const [chosen, setChosen] = useState<readonly string[]>([]);
  useEffect(() => {
    if (open) void load().then(setSet);
  }, [open]);
  const found = useMemo(
    () => (set ? foundIcons(Object.keys(set.nodes), set.tags, search) : []),
    [set, search],
  );
  const add = (ids: readonly string[]) => {
    setChosen([]);
    onChoose(ids.map((id) => assetOf(id, set?.nodes[id] ?? [])));
  };
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(next) => {
        if (next) return;
        setChosen([]);
        onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-[160] bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          {...focusBack}
          className="fixed top-[12vh] left-1/2 z-[170] flex max-h-[70vh] w-[560px] -translate-x-1/2 flex-col gap-3 rounded-m bg-raised p-4 shadow-float"
        >
          <Dialog.Title className="font-title text-lg font-[650]">Choose icons</Dialog.Title>
          <input
            aria-label="Find an icon"
            placeholder="Find: snow, path, soup…"
            value={search}
            className="h-8 rounded-s bg-field px-2.5 outline-none focus-visible:outline-2 focus-visible:outline-copper"
            onChange={(event) => setSearch(event.target.value)}
            onKeyDown={({ key }) => {
              if (key !== 'Enter') return;
              const ids = chosen.length > 0 ? chosen : found.slice(0, 1);
              if (ids.length > 0) add(ids);
            }}
          />
          <ul className="grid min-h-[120px] grid-cols-[repeat(auto-fill,minmax(44px,1fr))] gap-1 overflow-y-auto [scrollbar-width:thin]">
            {found.slice(0, MOST_SHOWN).map((id) => {
              const icon = assetOf(id, set?.nodes[id] ?? []);
              return (
                <li key={id}>
                  <button
                    type="button"
                    aria-label={icon.name}
                    title={icon.name}
                    aria-pressed={chosen.includes(id)}
                    className="grid size-11 place-items-center rounded-s hover:bg-copper-wash hover:text-copper-ink aria-pressed:bg-copper-wash aria-pressed:text-copper-ink aria-pressed:outline-2 aria-pressed:-outline-offset-2 aria-pressed:outline-copper"
                    onClick={() =>
                      setChosen(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id])
                    }
                    onDoubleClick={() => add([id])}
                  >
                    <Icon icon={icon} size={22} />
                  </button>
                </li>
              );
            })}
          </ul>
          <div className="flex items-center justify-between gap-3">
            <p className="text-sm text-faint" role="status">
              {!set
                ? 'Loading…'
                : found.length === 0
                  ? 'No icon matches. Try another word for it.'
                  : `${found.length} found${found.length > MOST_SHOWN ? `, ${MOST_SHOWN} shown` : ''}. Press one or several; Enter in the field takes the first.`}
            </p>
            <Button look="solid" disabled={chosen.length === 0} onClick={() => add(chosen)}>
              {chosen.length > 1 ? `Add ${chosen.length} icons` : 'Add icon'}
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
