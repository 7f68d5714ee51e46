import {
  fromDesignTokens,
  LIMITS,
  mediaOf,
  paletteFrom,
  removeNamedLook,
  setCollectionLook,
  setLook,
  setNamedLook,
  toDesignTokens,
  typeSizeOf,
  type NamedLook,
  type Tile,
} from '@noria/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { newId, slugOf } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { Button, SignButton } from '../../ui/Button';
import { ColourField } from '../../ui/ColourField';
import { FileButton } from '../../ui/FileButton';
import { NumberField } from '../../ui/NumberField';
import { Section } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { WordsField } from '../../ui/WordsField';
import { count } from '../../ui/words';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { download } from '../../ui/download';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { shown } from '../editorSlice';
import { namedUses } from './namedUses';

const KINDS: readonly { readonly kind: NamedLook['kind']; readonly title: string; readonly one: string }[] = [
  { kind: 'colour', title: 'Colours', one: 'colour' },
  { kind: 'radius', title: 'Radii', one: 'radius' },
  { kind: 'type', title: 'Type sizes', one: 'type size' },
  { kind: 'space', title: 'Spacing', one: 'space' },
];

const FRESH: Readonly<Record<NamedLook['kind'], NamedLook['value']>> = {
  colour: '#dfe8e2',
  radius: 14,
  type: 24,
  space: 16,
};

/** From a phone's width to a wide window's. */
const FLUID = { from: 24, to: 40, fromWidth: 360, toWidth: 1440 };

/** Values with names: change one, and all that follow it change. */
export function LooksPanel() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const looks = Object.values(document.namedLooks ?? {});
  const uses = namedUses(document);

  const add = (kind: NamedLook['kind'], one: string, value: NamedLook['value'] = FRESH[kind]) => {
    const id = newId(one, 'look');
    const name = one.replace(/^./, (letter) => letter.toUpperCase());
    dispatch(run(`Add ${one}`, setNamedLook({ id, name, kind, value } as NamedLook)));
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    try {
      const { looks: read, notices } = fromDesignTokens(JSON.parse(await file.text()));
      const all = Object.values(read);
      if (all.length === 0)
        throw new RangeError(`“${file.name}” holds no colours and no lengths. ${notices[0] ?? ''}`);
      if (all.length > LIMITS.namedLooks)
        throw new RangeError(
          `“${file.name}” holds ${all.length} values; at most ${LIMITS.namedLooks} are taken.`,
        );
      dispatch(run('Import tokens', (draft) => all.forEach((look) => setNamedLook(look)(draft))));
      dispatch(
        announce(`${count(all.length, 'named look was', 'named looks were')} imported from ${file.name}.`),
      );
      if (notices.length > 0) dispatch(warn(`Left out: ${notices.slice(0, 6).join(' ')}`));
    } catch (error) {
      dispatch(
        warn(
          error instanceof SyntaxError
            ? `“${file.name}” is not JSON: ${error.message}`
            : error instanceof Error
              ? error.message
              : String(error),
        ),
      );
    }
  };

  return (
    <Panel name="Named looks" title="Named looks" onClose={() => dispatch(shown(null))}>
      {KINDS.map(({ kind, title, one }) => (
        <Section key={kind} title={title}>
          <ul className="grid gap-1">
            {looks
              .filter((look) => look.kind === kind)
              .map((look) => (
                <NamedRow key={look.id} look={look} uses={uses.get(look.id) ?? 0} />
              ))}
          </ul>
          <div className="flex gap-1.5">
            <Button onClick={() => add(kind, one)}>Add {one}</Button>
            {kind === 'type' && <Button onClick={() => add(kind, one, FLUID)}>Add fluid type size</Button>}
          </div>
        </Section>
      ))}
      <PaletteMaker />
      <Section title="Design tokens">
        <div className="flex gap-1.5">
          <FileButton
            testId="tokens-file"
            accept=".json,application/json"
            onFiles={([file]) => void take(file)}
          >
            Import tokens…
          </FileButton>
          <Button
            disabled={looks.length === 0}
            onClick={() =>
              download(
                new Blob([`${JSON.stringify(toDesignTokens(document.namedLooks ?? {}), null, 2)}\n`], {
                  type: 'application/json',
                }),
                `${slugOf(document.name, 'collection')}.tokens.json`,
              )
            }
          >
            Export tokens
          </Button>
        </div>
      </Section>
    </Panel>
  );
}

function NamedRow({ look, uses }: { look: NamedLook; uses: number }) {
  const dispatch = useAppDispatch();
  const { namedLooks } = useAppSelector(selectShown);
  const set = (next: NamedLook, key: string) =>
    dispatch(run('Named look', setNamedLook(next), `${look.id} ${key}`));
  const base = look.follows === undefined ? undefined : namedLooks?.[look.follows];
  const size = look.kind === 'type' ? typeSizeOf(namedLooks, look.value) : 0;
  return (
    <li className="grid grid-cols-[1fr_auto_26px] items-center gap-1 [&>[data-number]]:w-[84px] [&>span>[data-number]]:w-[52px]">
      <WordsField
        name={`Name of ${look.name}`}
        value={look.name}
        onType={(name) => name.trim() && set({ ...look, name: name.slice(0, 200) }, 'name')}
      />
      {look.kind === 'colour' ? (
        <ColourField
          small
          name={look.name}
          value={look.value}
          onSet={(value) => set({ ...look, value }, 'value')}
        />
      ) : look.kind === 'type' && typeof size === 'object' ? (
        <span className="grid grid-cols-2 gap-1">
          {(['from', 'to'] as const).map((end) => (
            <NumberField
              key={end}
              name={`${look.name}, ${end === 'from' ? 'when narrow' : 'when wide'}`}
              value={size[end]}
              least={LIMITS.typeSize.min}
              most={LIMITS.typeSize.max}
              onSet={(px) => set({ ...look, value: { ...size, [end]: px } }, end)}
            />
          ))}
        </span>
      ) : (
        <NumberField
          name={look.name}
          value={look.value as number}
          least={look.kind === 'type' ? LIMITS.typeSize.min : 0}
          most={
            look.kind === 'radius'
              ? LIMITS.radius
              : look.kind === 'type'
                ? LIMITS.typeSize.max
                : LIMITS.padding
          }
          unit="px"
          onSet={(value) => set({ ...look, value }, 'value')}
        />
      )}
      <SignButton
        className="size-6!"
        name={`Remove ${look.name}; ${uses === 0 ? 'nothing follows it' : `the ${uses} that follow it keep its value`}`}
        onClick={() => dispatch(run('Remove named look', removeNamedLook(look.id)))}
      >
        <Trash2 size={13} aria-hidden />
      </SignButton>
      {base && (
        <p className="col-span-3 -mt-0.5 mb-0.5 px-2 text-xs text-soft">
          Follows {base.name}; a value of its own ends that.
        </p>
      )}
    </li>
  );
}

/** Palette from one colour: washed tints for cards, deep ones for a few, a tinted background. */
function PaletteMaker() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const [from, setFrom] = useState('#2f6d6a');
  const [background, setBackground] = useState<'light' | 'dark'>('light');
  const palette = paletteFrom(from, background === 'dark');
  const parts = [
    { name: 'Background', value: palette.background },
    ...palette.washes.map((value, k) => ({ name: `Wash ${k + 1}`, value })),
    ...palette.deep.map((value, k) => ({ name: `Deep ${k + 1}`, value })),
    { name: 'Accent', value: palette.accent },
  ].map((part) => ({ ...part, id: part.name.toLowerCase().replace(' ', '-'), kind: 'colour' as const }));
  const lay = () => {
    const cards = ['wash-1', 'wash-2', 'deep-1', 'wash-3', 'wash-4', 'accent', 'deep-2'];
    dispatch(
      run('Palette', (draft) => {
        for (const part of parts) setNamedLook(part)(draft);
        setCollectionLook({ background: '{background}' })(draft);
        const plain = Object.values(draft.tiles).filter(
          (tile) =>
            !mediaOf(tile as Tile) &&
            typeof tile.look.fill === 'string' &&
            tile.look.fill !== 'none' &&
            !tile.recipe,
        );
        plain.forEach(({ id }, k) =>
          setLook([id], { fill: `{${cards[k % cards.length] ?? 'wash-1'}}`, textColour: 'auto' })(draft),
        );
      }),
    );
    dispatch(
      announce('The palette is applied. Change one of its colours, and everything that uses it follows.'),
    );
  };
  return (
    <Section title="Palette from one colour">
      <div className="grid gap-2">
        <div className="grid grid-cols-2 gap-1">
          <ColourField name="Base colour" value={from} onSet={setFrom} />
          <Segments
            name="Background of the palette"
            value={background}
            choices={[
              { value: 'light', label: 'Light' },
              { value: 'dark', label: 'Dark' },
            ]}
            onChoose={setBackground}
          />
        </div>
        <div className="flex h-9 overflow-hidden rounded-s border border-hair" aria-hidden>
          {parts.map(({ id, value }) => (
            <i key={id} className="flex-1" style={{ background: value }} />
          ))}
        </div>
        <Button className="justify-self-start" disabled={document.order.length === 0} onClick={lay}>
          Apply palette
        </Button>
      </div>
    </Section>
  );
}
