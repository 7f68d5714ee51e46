const NOTED = 'noria-reloaded-for';

/**
 * A part of the interface that is gone, because Noria was updated while the tab was open, is there again
 * under another name once the page is loaded anew. That is tried once; then the view says what is wrong.
 */
export function reloadOnceWhenUpdated(): void {
  window.addEventListener('vite:preloadError', ({ payload }) => {
    // While the server is away, nothing would come in the place of what is there.
    fetch('/', { cache: 'no-store' }).then(
      ({ ok }) => ok && isFirst(payload.message) && window.location.reload(),
      () => undefined,
    );
  });
}

/** Whether nothing was loaded anew yet for what is lost; where that can’t be noted it is not. */
function isFirst(lost: string): boolean {
  try {
    if (sessionStorage.getItem(NOTED) === lost) return false;
    sessionStorage.setItem(NOTED, lost);
    return true;
  } catch {
    return false;
  }
}
