import { useAppDispatch } from '../hooks';
import { Button } from '../../ui/Button';
import { toolChosen } from '../editorSlice';

/** Says that a drag paints now, and leads back. */
export function AreasBar() {
  const dispatch = useAppDispatch();
  return (
    <div className="mx-auto flex h-full w-fit items-center gap-3">
      <b className="font-semibold whitespace-nowrap text-copper-ink">Painting areas</b>
      <span className="text-sm whitespace-nowrap text-soft">Drag over cells, then name the area</span>
      <Button onClick={() => dispatch(toolChosen('tiles'))}>Done</Button>
    </div>
  );
}
