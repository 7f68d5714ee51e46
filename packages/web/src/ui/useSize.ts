import { useCallback, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element, kept up to date; null before the first measure. */
export function useSize(): [(element: Element | null) => (() => void) | undefined, Size | null] {
  const [size, setSize] = useState<Size | null>(null);
  const ref = useCallback((element: Element | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const { width, height } = entry.contentRect;
      // The same size stays the same object: what is drawn by it is not drawn again.
      setSize((known) => (known?.width === width && known.height === height ? known : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
