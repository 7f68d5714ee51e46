import { useEffect, useRef, useState, type RefObject } from 'react';
import { loadFaces } from '../../editor/engine/measurer';
import { engine } from '../../editor/engine/engine';
import type { ListedCollection } from '../../api/listedCollections';
import type { Thumbnail } from '../../editor/engine/thumbnail';

/** How far before it comes into sight a thumbnail is drawn. */
const BEFORE = '300px';

/** A collection in small, drawn beside the page once its place comes into sight; null until then. */
export function useThumbnail({
  revision,
  summary: { document, unreadable },
}: ListedCollection): readonly [place: RefObject<HTMLDivElement | null>, thumbnail: Thumbnail | null] {
  const place = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(false);
  const [thumbnail, setThumbnail] = useState<Thumbnail | null>(null);
  // A list that is read anew brings new objects of what stayed as it was.
  const [drawn, setDrawn] = useState({ revision, document });
  if (drawn.revision !== revision) setDrawn({ revision, document });
  useEffect(() => {
    const element = place.current;
    if (!element || seen) return undefined;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: BEFORE },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [seen]);
  useEffect(() => {
    if (!seen || drawn.document === null) return undefined;
    const cancel = new AbortController();
    engine('work')
      .ask('thumbnail', null, [drawn.document], cancel.signal)
      .then(
        (made) => {
          if ('faces' in made) void loadFaces(window.document.fonts, made.faces);
          setThumbnail(made);
        },
        (error: unknown) => {
          if (cancel.signal.aborted) return;
          setThumbnail({ unreadable: error instanceof Error ? error.message : String(error) });
        },
      );
    return () => cancel.abort();
  }, [drawn, seen]);
  return [
    place,
    document === null ? { unreadable: unreadable ?? 'This collection can’t be drawn here.' } : thumbnail,
  ];
}
