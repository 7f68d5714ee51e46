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
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
