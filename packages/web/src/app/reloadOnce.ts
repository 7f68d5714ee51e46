const NOTED = 'noria-reloaded-for';

/**
 * A part of the interface that is gone, because Noria was updated while the tab was open, is there again
 * under another name once the page is loaded anew. That is tried once; then the view says what is wrong.
 */
export function reloadOnceWhenUpdated(): void {
  window.addEventListener('vite:preloadError', ({ payload }) => {
    const lost = payload.message;
    try {
      if (sessionStorage.getItem(NOTED) === lost) return;
      sessionStorage.setItem(NOTED, lost);
    } catch {
      return;
    }
    // While the server is away, nothing would come in the place of what is there.
    fetch('/', { cache: 'no-store' }).then(
      ({ ok }) => ok && window.location.reload(),
      () => undefined,
    );
  });
}
