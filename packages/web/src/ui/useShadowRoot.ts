import { useCallback, useState } from 'react';

/** Marks pictures that can’t be had any more, so that one sees where they are missing. */
function marksMissing(root: ShadowRoot): ShadowRoot {
  const mark = (isMissing: boolean) => (event: Event) =>
    (event.target as Element).toggleAttribute('data-missing', isMissing);
  // These events don't bubble; on their way down they pass here.
  root.addEventListener('error', mark(true), true);
  root.addEventListener('load', mark(false), true);
  return root;
}

/** A shadow root for what is drawn by style sheets of its own: the ref of its host, and the root once it is there. */
export function useShadowRoot(): readonly [
  host: (element: HTMLElement | null) => void,
  root: ShadowRoot | null,
] {
  const [root, setRoot] = useState<ShadowRoot | null>(null);
  const host = useCallback((element: HTMLElement | null) => {
    if (element) setRoot(element.shadowRoot ?? marksMissing(element.attachShadow({ mode: 'open' })));
  }, []);
  return [host, root];
}
