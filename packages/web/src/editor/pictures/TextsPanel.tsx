import { picturesIn, setAlternativeText, type PictureAsset } from '@noria/core';
import { useState } from 'react';
import { addressFor } from '../../api/pictures';
import { Panel } from '../../ui/Panel';
import { PictureText } from '../../ui/PictureText';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { shown } from '../editorSlice';
import { useAppDispatch, useAppSelector } from '../hooks';
import { PART } from '../parts/fields';

const isSilent = ({ alternativeText }: PictureAsset) => alternativeText.trim() === '';

/** The alternative texts of all pictures that the collection shows, those without one first. */
export function TextsPanel() {
  const dispatch = useAppDispatch();
  const { pictures, tiles } = useAppSelector(selectShown);
  // They stay in their order while one writes.
  const [order] = useState(() => {
    const used = [...new Set(Object.values(tiles).flatMap(picturesIn))].flatMap((id) => pictures[id] ?? []);
    return [...used.filter(isSilent), ...used.filter((each) => !isSilent(each))].map(({ id }) => id);
  });
  const all = order.flatMap((id) => pictures[id] ?? []);
  const silent = all.filter(isSilent).length;
  return (
    <Panel name="Alternative texts" title="Alternative texts" onClose={() => dispatch(shown(null))}>
      <p className="text-sm text-soft" role="status">
        {all.length === 0
          ? 'No tile shows a picture.'
          : silent === 0
            ? `All ${all.length} have one.`
            : `${silent} of ${all.length} have none. Tab goes to the next.`}
      </p>
      <ul className="grid gap-3">
        {all.map((picture) => (
          <PictureText
            key={picture.id}
            name={picture.name}
            src={addressFor(picture, 320)}
            value={picture.alternativeText}
            onType={(words) =>
              dispatch(
                run(PART.alternativeText.label, setAlternativeText(picture.id, words), `${picture.id} alt`),
              )
            }
          />
        ))}
      </ul>
    </Panel>
  );
}
