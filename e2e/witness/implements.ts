import type { PageLayoutOptions } from '@noria/core';
import type { Page } from '@playwright/test';

/**
 * What this browser does where the specification is a draft, or it has nothing yet: asked by small pages,
 * so that only that is held against core. Debian's Chromium changes from one week to the next.
 */
export interface Implemented {
  /** After which items lanes go on; null: it has no lanes, by whatever name. */
  readonly lanesGoOnAfter: NonNullable<PageLayoutOptions['lanesGoOnAfter']> | null;
}

/** Three lanes; the second item is held over all of them, and the third is free. */
const HELD = `<div style="display: grid-lanes; grid-template-columns: repeat(3, 10px); flow-tolerance: 0">
  <i style="height: 0"></i><i style="height: 0; grid-column: 1 / span 3"></i><i id="free" style="height: 0"></i>
</div>`;

export const asked = (page: Page): Promise<Implemented> =>
  page.evaluate((held) => {
    if (!CSS.supports('display: grid-lanes')) return { lanesGoOnAfter: null };
    const host = document.createElement('div');
    host.innerHTML = held;
    document.body.append(host);
    const free = host.querySelector<HTMLElement>('#free');
    const lane = Math.round(
      ((free?.offsetLeft ?? 0) - (host.firstElementChild as HTMLElement).offsetLeft) / 10,
    );
    host.remove();
    // After the first item, which is free, the second lane comes; after the held one, the first again.
    return { lanesGoOnAfter: lane === 0 ? 'any' : 'free' };
  }, HELD);
