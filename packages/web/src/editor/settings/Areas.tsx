import { areaMap, landmarkOf, removeArea, setLandmark, type Landmark } from '@noria/core';
import { X } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { Choice, type Choosable } from '../../ui/Choice';
import { Section } from '../../ui/Rows';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { toolChosen } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectLevel, selectSetFor } from '../selectors';

const LANDMARK_CHOICES: readonly Choosable<Landmark>[] = [
  { value: 'header', label: 'Header' },
  { value: 'nav', label: 'Navigation' },
  { value: 'main', label: 'Main' },
  { value: 'aside', label: 'Aside' },
  { value: 'footer', label: 'Footer' },
  { value: 'none', label: 'No landmark' },
];

/** The named areas of this band, and the way to paint one. */
export function Areas() {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const { page } = useAppSelector(selectShown);
  // In a group they are areas of a part of the page.
  const isPage = useAppSelector(selectLevel) === null;
  const setFor = useAppSelector(selectSetFor);
  const tool = useAppSelector((state) => state.editor.tool);
  const areas = [...(areaMap(arrangement)?.areas ?? [])];
  return (
    <Section title="Areas">
      <ul className="grid">
        {areas.map(([name, { columnStart, columnEnd, rowStart, rowEnd }]) => (
          <li key={name} className="flex h-7 items-center gap-2">
            <span className="min-w-0 flex-1 truncate">{name}</span>
            <span className="figures text-faint">
              {columnEnd - columnStart} × {rowEnd - rowStart}
            </span>
            {isPage && (
              <span className="w-[108px]">
                <Choice
                  name={`Landmark of ${name}`}
                  value={landmarkOf(page, name)}
                  choices={LANDMARK_CHOICES}
                  onChoose={(landmark) => dispatch(run('Landmark', setLandmark(name, landmark)))}
                />
              </span>
            )}
            <SignButton
              name={`Remove area ${name}`}
              className="size-6!"
              onClick={() => dispatch(runHere('Remove area', removeArea(name, index, setFor)))}
            >
              <X size={14} aria-hidden />
            </SignButton>
          </li>
        ))}
      </ul>
      <Button
        look={tool === 'areas' ? 'copper' : 'quiet'}
        className="justify-self-start"
        aria-pressed={tool === 'areas'}
        onClick={() => dispatch(toolChosen(tool === 'areas' ? 'tiles' : 'areas'))}
      >
        {tool === 'areas' ? 'Stop painting areas' : 'Paint areas'}
      </Button>
      {tool === 'areas' && (
        <p className="text-[11.5px] text-soft">
          Drag over cells on the stage, then name the area. A free tile is put in it.
        </p>
      )}
      {isPage && areas.length > 0 && (
        <p className="text-[11.5px] text-soft">
          A landmark says what the first tile of the area is in the page, to screen readers and search
          engines.
        </p>
      )}
    </Section>
  );
}
