import { tileName, type Transfer } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { Segments } from '../../ui/Segments';
import { brushTaken } from '../editorSlice';
import { selectView } from '../selectors';

const WHAT: readonly { readonly value: Transfer; readonly label: string }[] = [
  { value: 'look', label: 'Look' },
  { value: 'spans', label: 'Spans' },
  { value: 'place', label: 'Place' },
  { value: 'motion', label: 'Motion' },
];

/** Says what is put on every tile that is pressed. */
export function BrushBar() {
  const dispatch = useAppDispatch();
  const brush = useAppSelector(({ editor }) => editor.brush);
  const view = useAppSelector(selectView);
  const from = brush && view.tiles[brush.from];
  if (!brush || !from) return null;
  return (
    <div role="toolbar" aria-label="Copy to tiles" className="mx-auto flex h-full w-fit items-center gap-3">
      <span className="whitespace-nowrap">
        From <b className="font-semibold">{tileName(from, view)}</b>
      </span>
      <div className="w-[230px]">
        <Segments
          name="What is copied"
          value={brush.what}
          choices={WHAT}
          onChoose={(what) => dispatch(brushTaken({ ...brush, what }))}
        />
      </div>
      <span className="text-sm whitespace-nowrap text-soft">Press tiles to apply it</span>
      <Button onClick={() => dispatch(brushTaken(null))}>Done</Button>
    </div>
  );
}
