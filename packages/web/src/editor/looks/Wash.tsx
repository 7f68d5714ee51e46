import { setNamedLook, washOf, type NamedLook, type Wash } from '@noria/core';
import { newId } from '../../api/ids';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { useAppDispatch, useAppSelector } from '../hooks';

type NamedColourLook = Extract<NamedLook, { readonly kind: 'colour' }>;

/** What a wash begins as: pale, with a breath of its colour. */
const PALE = { lightness: 0.93, chroma: 0.03, turn: 0 };

/** Adds a colour that is made of another one, and follows it. */
export function AddWash({ looks }: { looks: readonly NamedLook[] }) {
  const dispatch = useAppDispatch();
  const bases = looks.flatMap((look) => (look.kind === 'colour' && !look.wash ? [look] : []));
  if (bases.length === 0) return null;
  return (
    <span className="w-[124px]">
      <Choice
        name="Add a wash"
        value={null}
        placeholder="Add wash of…"
        choices={bases.map(({ id, name }) => ({ value: id, label: name }))}
        onChoose={(id) => {
          const base = bases.find((look) => look.id === id);
          if (!base) return;
          const name = `${base.name}, pale`;
          dispatch(
            run(
              'Add wash',
              setNamedLook({
                id: newId(name, 'wash'),
                name: name.slice(0, 200),
                kind: 'colour',
                value: washOf(base.value, PALE),
                wash: { ...PALE, of: base.id },
              }),
            ),
          );
        }}
      />
    </span>
  );
}

interface WashFieldsProps {
  readonly look: NamedColourLook;
  readonly wash: Wash;
  readonly onSet: (look: NamedLook, key: string) => void;
}

/** How a wash is made of the colour that it follows. */
export function WashFields({ look, wash, onSet }: WashFieldsProps) {
  const { namedLooks } = useAppSelector(selectShown);
  const base = namedLooks?.[wash.of];
  if (base?.kind !== 'colour') return null;
  const set = (part: Partial<Wash>, key: string) => {
    const next = { ...wash, ...part };
    onSet({ ...look, value: washOf(base.value, next), wash: next }, key);
  };
  return (
    <div className="col-span-3 mb-1 grid gap-1 pl-2">
      <p className="text-xs text-soft">Made of {base.name}, and follows it.</p>
      <div className="grid grid-cols-3 gap-1">
        <NumberField
          name={`${look.name}, lightness`}
          value={Math.round(wash.lightness * 1000) / 10}
          least={0}
          most={100}
          whole={false}
          unit="% L"
          onSet={(lightness) => set({ lightness: lightness / 100 }, 'lightness')}
        />
        <NumberField
          name={`${look.name}, most chroma`}
          value={wash.chroma}
          least={0}
          most={0.4}
          by={0.005}
          whole={false}
          unit="C"
          onSet={(chroma) => set({ chroma }, 'chroma')}
        />
        <NumberField
          name={`${look.name}, turn of hue`}
          value={wash.turn}
          least={-360}
          most={360}
          unit="° H"
          onSet={(turn) => set({ turn }, 'turn')}
        />
      </div>
    </div>
  );
}
