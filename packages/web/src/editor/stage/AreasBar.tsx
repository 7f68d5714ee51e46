import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { toolChosen } from '../editorSlice';

/** Says that a drag paints now, and leads back. */
export function AreasBar() {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.editor.tool);
  if (tool !== 'areas') return null;
  return (
    <div className="sticky top-0 left-0 z-[140] flex h-9 w-full items-center gap-3 border-b border-hair bg-panel px-4">
      <b className="font-semibold text-copper-ink">Painting areas</b>
      <span className="truncate text-soft">Drag over cells and name them; a tile is put in.</span>
      <Button className="ml-auto h-6!" onClick={() => dispatch(toolChosen('tiles'))}>
        Done
      </Button>
    </div>
  );
}
