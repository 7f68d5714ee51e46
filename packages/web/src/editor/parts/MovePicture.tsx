import { Button } from '../../ui/Button';
import { croppingChosen } from '../editorSlice';
import { useAppDispatch, useAppSelector } from '../hooks';

/** Lets a picture be moved in its tile on the stage, until it is done. */
export function MovePicture() {
  const dispatch = useAppDispatch();
  const cropping = useAppSelector(({ editor }) => editor.cropping);
  return (
    <Button
      className="h-[26px]! justify-center"
      aria-pressed={cropping}
      onClick={() => dispatch(croppingChosen(!cropping))}
    >
      {cropping ? 'Done' : 'Move picture'}
    </Button>
  );
}
