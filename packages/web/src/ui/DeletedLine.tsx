import { Button } from './Button';

interface DeletedLineProps {
  /** What was deleted. */
  readonly name: string;
  readonly onUndo: () => void;
  readonly onDismiss: () => void;
}

/** Says what was deleted, and brings it back. */
export const DeletedLine = ({ name, onUndo, onDismiss }: DeletedLineProps) => (
  <p role="status" className="mb-5 flex items-center gap-3 rounded-m bg-field px-4 py-2">
    <span className="min-w-0 truncate">“{name}” was deleted.</span>
    <Button onClick={onUndo}>Undo</Button>
    <Button onClick={onDismiss}>Dismiss</Button>
  </p>
);
