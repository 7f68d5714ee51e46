const NOTED = 'noria-reloaded-at';
/** What is lost this soon after loading anew is not there again by doing so, be it one part or several, ms. */
const SOON_MS = 60_000;

/** Whether a page that was fetched anew begins with another script than the one that runs here. */
export function isUpdated(html: string): boolean {
  const begins = document.querySelector('script[type="module"][src]')?.getAttribute('src');
  return typeof begins === 'string' && !html.includes(`"${begins}"`);
}

/**
 * A part of the interface that is gone, because Noria was updated while the tab was open, is there again
 * under another name once the page is loaded anew. That is tried once; then the view says what is wrong. A part
 * that only did not arrive, as from a server that is just being stopped, is no reason to lose the page.
 */
export function reloadOnceWhenUpdated(): void {
  window.addEventListener('vite:preloadError', () => {
    // While the server is away, nothing would come in the place of what is there.
    fetch('/', { cache: 'no-store' })
      .then(async (answer) => {
        if (answer.ok && isUpdated(await answer.text()) && isFirst()) window.location.reload();
      })
      .catch(() => undefined);
  });
}

/** Whether the page was not loaded anew a moment ago; where that can’t be noted it is not. */
function isFirst(): boolean {
  try {
    const now = Date.now();
    if (now - Number(sessionStorage.getItem(NOTED) ?? 0) < SOON_MS) return false;
    sessionStorage.setItem(NOTED, String(now));
    return true;
  } catch {
    return false;
  }
}
