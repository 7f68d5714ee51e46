import { useEffect, useEffectEvent, type DragEvent } from 'react';
import type { PathedFile } from '../pictures/unpackArchive';
import { awaitDrops, filesDropped, filesOf, filesPasted, handOver } from './handed';

/**
 * Pages are opened by a drop or a paste anywhere in a view.
 * @param onFiles comes when there are some; they are handed over
 * @returns what the area around the view is told
 */
export function useOpening(onFiles: (files: readonly PathedFile[]) => void) {
  const take = (files: readonly PathedFile[]) => {
    if (files.length === 0) return;
    handOver(files);
    onFiles(files);
  };
  const onPaste = useEffectEvent((event: ClipboardEvent) => {
    // What is pasted into a field stays there.
    if (event.target instanceof Element && event.target.closest('input, textarea, [contenteditable]')) return;
    const files = filesPasted(event);
    if (!files) return;
    event.preventDefault();
    take(files);
  });
  useEffect(() => {
    void awaitDrops();
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, []);
  return {
    says: 'Drop to open: a page with its files, a ZIP, or a Noria file',
    onFiles: (files: readonly File[]) => take(filesOf(files)),
    onDropped: (event: DragEvent) => void filesDropped(event.nativeEvent).then(take),
  };
}
