/** What a page holds where pictures open large: its rules, its dialog, its script. */

import type { FamilyName } from '../../document/font.js';
import { RING_CSS } from '../../engine/css/ring.js';
import { familyCss } from '../../parts/families.js';

/** The rules of pictures that open large; what is said of them is in the font of the collection’s words. */
export const enlargeCss = (family: FamilyName) => `.enlarge {
  position: absolute;
  z-index: 1;
  inset: 0;
  margin: 0;
  border: 0;
  padding: 0;
  border-radius: inherit;
  background: none;
  cursor: zoom-in;
}
.enlarge:focus-visible {
${RING_CSS}
}
@media (scripting: none) {
  .enlarge {
    display: none;
  }
}
.enlarged {
  box-sizing: border-box;
  inline-size: 100vw;
  block-size: 100dvh;
  max-inline-size: none;
  max-block-size: none;
  margin: 0;
  border: 0;
  padding: 0;
  background: #0d1416;
  color: #f1f4f2;
  overflow: hidden;
  touch-action: pan-y pinch-zoom;
}
.enlarged[open] {
  display: grid;
  grid-template: minmax(0, 1fr) auto / auto minmax(0, 1fr) auto;
}
.enlarged::backdrop {
  background: #0d1416;
}
.enlarged > figure {
  grid-area: 1 / 1 / 2 / 4;
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  margin: 0;
  padding: 24px 24px 0;
}
.enlarged > figure > img {
  inline-size: 100%;
  block-size: 100%;
  object-fit: contain;
}
.enlarged > p {
  grid-area: 2 / 1 / 3 / 4;
  display: flex;
  gap: 1.5em;
  justify-content: space-between;
  margin: 0;
  padding: 14px 20px;
  font: 400 15px / 1.4 ${familyCss(family)};
}
.enlarged > button {
  z-index: 1;
  inline-size: 48px;
  block-size: 48px;
  margin: 12px;
  border: 0;
  padding: 0;
  border-radius: 50%;
  background: rgb(13 20 22 / 72%);
  color: inherit;
  cursor: pointer;
}
.enlarged > button > svg {
  display: block;
  margin: auto;
}
.enlarged > button:hover {
  background: #2a3a3c;
}
.enlarged > button:focus-visible {
  outline: 3px solid #f1f4f2;
  outline-offset: 2px;
}
.enlarged > [data-go='-1'] {
  grid-area: 1 / 1;
  align-self: center;
}
.enlarged > [data-go='1'] {
  grid-area: 1 / 3;
  align-self: center;
}
.enlarged > [data-go='0'] {
  grid-area: 1 / 3;
  align-self: start;
}
@media (prefers-reduced-motion: no-preference) {
  .enlarged[open] > figure > img {
    animation: enlarged 180ms ease-out;
  }
  @keyframes enlarged {
    from {
      opacity: 0;
      scale: 0.985;
    }
  }
}
`;

const sign = (path: string) =>
  `<svg width="22" height="22" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true"><path d="${path}"></path></svg>`;

/** The one dialog that all pictures of a page open in. */
export const ENLARGED_HTML = `  <dialog class="enlarged" aria-label="Enlarged picture">
    <button type="button" data-go="0" aria-label="Close">${sign('M6 6l12 12M18 6L6 18')}</button>
    <button type="button" data-go="-1" aria-label="Picture before">${sign('M15 5l-7 7 7 7')}</button>
    <button type="button" data-go="1" aria-label="Next picture">${sign('M9 5l7 7-7 7')}</button>
    <figure></figure>
    <p aria-live="polite"><span></span><span></span></p>
  </dialog>
`;

/** Asked for before any picture, so that it does not wait for them. */
export const ENLARGE_LINK = '  <script src="enlarge.js" defer></script>\n';

/** What opens pictures large in a `root`, which is a page or what an element keeps to itself. */
export const ENLARGE_IN_ROOT = `// Opens pictures large, one after the other within their set.
const dialog = root.querySelector('dialog.enlarged');
const [caption, place] = dialog.querySelectorAll('p > span');
const frame = dialog.querySelector('figure');
let set = [];
let at = 0;

function show(next) {
  at = (next + set.length) % set.length;
  const figure = set[at].closest('figure');
  const small = figure.querySelector('img');
  const large = new Image();
  large.sizes = '100vw';
  large.srcset = small.srcset;
  large.src = small.src;
  large.alt = small.alt;
  // A drag over it is a swipe.
  large.draggable = false;
  frame.replaceChildren(large);
  caption.textContent = figure.querySelector('figcaption')?.textContent ?? '';
  place.textContent = \`\${at + 1} of \${set.length}\`;
  for (const button of dialog.querySelectorAll('[data-go="1"], [data-go="-1"]')) {
    button.hidden = set.length < 2;
  }
}

root.addEventListener('click', (event) => {
  const opener = event.target.closest('.enlarge');
  if (!opener) return;
  const name = opener.dataset.set;
  // Pictures that this width hides are not stepped through.
  set = [...root.querySelectorAll('.enlarge')].filter(
    (each) => each.dataset.set === name && each.getClientRects().length > 0,
  );
  show(set.indexOf(opener));
  dialog.showModal();
});

dialog.addEventListener('click', (event) => {
  const button = event.target.closest('[data-go]');
  if (!button) return;
  const by = Number(button.dataset.go);
  if (by === 0) dialog.close();
  else show(at + by);
});

dialog.addEventListener('keydown', (event) => {
  if (event.key === 'Tab') {
    // The focus goes round inside.
    const buttons = [...dialog.querySelectorAll('button:not([hidden])')];
    const edge = event.shiftKey ? 0 : buttons.length - 1;
    if (buttons.indexOf(root.activeElement) === edge) {
      event.preventDefault();
      buttons.at(event.shiftKey ? -1 : 0).focus();
    }
    return;
  }
  const to = { ArrowLeft: at - 1, ArrowRight: at + 1, Home: 0, End: set.length - 1 }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  show(to);
});

// The picture that was looked at last is where one goes on.
dialog.addEventListener('close', () => set[at]?.focus());

let from = null;
dialog.addEventListener('pointerdown', ({ clientX, clientY }) => {
  from = [clientX, clientY];
});
dialog.addEventListener('pointerup', ({ clientX, clientY }) => {
  if (!from) return;
  const [dx, dy] = [clientX - from[0], clientY - from[1]];
  from = null;
  if (Math.abs(dx) > 48 && Math.abs(dx) > 2 * Math.abs(dy)) show(at + (dx < 0 ? 1 : -1));
});
dialog.addEventListener('pointercancel', () => {
  from = null;
});
`;

/** What opens pictures large: the only script of a page, and only where one does. */
export const ENLARGE_SCRIPT = `const root = document;
${ENLARGE_IN_ROOT}`;
