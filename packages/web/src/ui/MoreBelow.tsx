import { useEffect, useRef } from 'react';
import { Button } from './Button';

/** Asks for the next page of a list as soon as its end comes into sight; a button for those who prefer one. */
export function MoreBelow({ onMore }: { readonly onMore: () => void }) {
  const end = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = end.current;
    if (!element || typeof IntersectionObserver === 'undefined') return undefined;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && onMore(),
      { rootMargin: '600px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [onMore]);
  return (
    <div ref={end} className="grid place-items-center py-6">
      <Button onClick={onMore}>Show more</Button>
    </div>
  );
}
