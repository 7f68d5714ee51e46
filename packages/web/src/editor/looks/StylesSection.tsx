import { removeStyle, setStyle } from '@noria/core';
import { Trash2 } from 'lucide-react';
import { SignButton } from '../../ui/Button';
import { Section } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { count } from '../../ui/words';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { useAppDispatch, useAppSelector } from '../hooks';
import { fillShown } from './fillShown';

/** The styles of the collection: named, counted, removed. */
export function StylesSection() {
  const dispatch = useAppDispatch();
  const known = useAppSelector(selectShown);
  const { styles = {}, tiles } = known;
  const all = Object.values(styles);
  return (
    <Section title="Styles">
      {all.length === 0 && (
        <p className="text-sm text-soft">
          Select a tile and press New style: fill, type, border and padding get a name, and other tiles can
          follow it.
        </p>
      )}
      <ul className="grid gap-1">
        {all.map((style) => {
          const uses = Object.values(tiles).filter((tile) => tile.style === style.id).length;
          return (
            <li key={style.id} className="grid grid-cols-[26px_1fr_auto_26px] items-center gap-1">
              <span
                aria-hidden
                className="size-[26px] rounded-s border border-hair"
                style={{ background: fillShown(known, { fill: 'none', ...style.look }) }}
              />
              <WordsField
                name={`Name of the style ${style.name}`}
                value={style.name}
                onType={(name) =>
                  name.trim() &&
                  dispatch(run('Style', setStyle({ ...style, name: name.slice(0, 200) }), `${style.id} name`))
                }
              />
              <span className="text-xs text-faint">{count(uses, 'tile', 'tiles')}</span>
              <SignButton
                className="size-6!"
                name={`Remove the style ${style.name}; ${uses === 0 ? 'nothing follows it' : `the ${uses} that follow it look as they do`}`}
                onClick={() => dispatch(run('Remove style', removeStyle(style.id)))}
              >
                <Trash2 size={13} aria-hidden />
              </SignButton>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
