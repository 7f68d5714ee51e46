import { Suspense } from 'react';
import { whenShown } from '../../ui/lazily';
import { useAppSelector } from '../hooks';

const CommandList = whenShown(() => import('./CommandList').then((file) => file.CommandList));
const KeySheet = whenShown(() => import('./KeySheet').then((file) => file.KeySheet));

/** The command list and the key sheet. */
export function CommandDialogs() {
  const commandList = useAppSelector((state) => state.editor.commandList);
  const keySheet = useAppSelector((state) => state.editor.keySheet);
  return (
    <Suspense>
      {commandList && <CommandList />}
      {keySheet && <KeySheet />}
    </Suspense>
  );
}
