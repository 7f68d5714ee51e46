import { lazy, Suspense } from 'react';
import { useAppSelector } from '../hooks';

const readCommandList = () => import('./CommandList');
const readKeySheet = () => import('./KeySheet');
const CommandList = lazy(async () => ({ default: (await readCommandList()).CommandList }));
const KeySheet = lazy(async () => ({ default: (await readKeySheet()).KeySheet }));

/** The command list and the key sheet, whose scripts come when they are first opened. */
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

/** Fetches their scripts while there is time. */
export const fetchCommandDialogs = (): void => {
  for (const read of [readCommandList, readKeySheet]) read().catch(() => undefined);
};
