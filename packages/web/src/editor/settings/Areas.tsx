import { areaMap, removeArea } from '@noria/core';
import { X } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { Section } from '../../ui/Rows';
import { toolChosen } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';

/** The named areas of this band, and the way to paint one. */
export function Areas() {
  const dispatch = useAppDispatch();
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const tool = useAppSelector((state) => state.editor.tool);
  const areas = [...(areaMap(arrangement)?.areas ?? [])];
  return (
    <Section title="Areas">
      <ul className="grid">
        {areas.map(([name, { columnStart, columnEnd, rowStart, rowEnd }]) => (
          <li key={name} className="flex h-7 items-center gap-2">
            <span className="truncate">{name}</span>
            <span className="figures ml-auto text-faint">
              {columnEnd - columnStart} × {rowEnd - rowStart}
            </span>
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
    </Section>
  );
}
