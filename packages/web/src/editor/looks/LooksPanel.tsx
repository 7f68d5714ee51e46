import { fromDesignTokens, LIMITS, setNamedLook, toDesignTokens, type NamedLook } from '@noria/core';
import { newId, slugOf } from '../../api/ids';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { Section } from '../../ui/Rows';
import { count } from '../../ui/words';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { download } from '../../ui/download';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { shown } from '../editorSlice';
import { NamedRow } from './NamedRow';
import { namedUses } from './namedUses';
import { PaletteMaker } from './PaletteMaker';
import { StylesSection } from './StylesSection';
import { TypeScaleMaker } from './TypeScaleMaker';
import { AddWash } from './Wash';

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
            {kind === 'colour' && <AddWash looks={looks} />}
            {kind === 'type' && <Button onClick={() => add(kind, one, FLUID)}>Add fluid type size</Button>}
          </div>
        </Section>
      ))}
      <StylesSection />
      <PaletteMaker />
      <TypeScaleMaker />
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
