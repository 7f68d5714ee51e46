import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { toolChosen } from '../editorSlice';

/** Says that a drag paints now, and leads back. */
export function AreasBar() {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.editor.tool);
  if (tool !== 'areas') return null;
  return (
    <div className="sticky top-2 left-0 z-[140] mx-auto flex w-fit items-center gap-3 rounded-m bg-raised px-3 py-1.5 shadow-float">
      <b className="font-semibold whitespace-nowrap text-copper-ink">Painting areas</b>
      <span className="text-sm whitespace-nowrap text-soft">Drag over cells, then name the area</span>
      <Button onClick={() => dispatch(toolChosen('tiles'))}>Done</Button>
    </div>
  );
}
