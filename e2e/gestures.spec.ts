import type { Locator, Page } from '@playwright/test';
import { change, setKind, setLook, type Command, type Gradient } from '@noria/core';
import {
  createCollection,
  demo,
  drag,
  expect,
  hand,
  openCompose,
  readStored,
  saved,
  stageBoxes,
  test,
} from './noria';

interface Gesture {
  readonly name: string;
  /** What the collection is like; left out: as the demo. */
  readonly with?: Command;
  readonly go?: (page: Page) => Promise<unknown>;
  readonly grip: (page: Page) => Locator;
  readonly by: readonly [number, number];
  /** Where it is let go outside of the stage; left out: it is not on the stage. */
  readonly out?: readonly [number, number];
  /** The view that it is in; left out: Compose. */
  readonly view?: string;
}

const slider = (name: string | RegExp) => (page: Page) => page.getByRole('slider', { name });
const select = (id: string) => (page: Page) => hand(page, id).click();

const GRADIENT: Gradient = {
  kind: 'linear',
  angle: 160,
  stops: [
    { colour: '#17302d', at: 0.2 },
    { colour: '#46557a', at: 1 },
  ],
};

/** A quote over a picture that is larger than its tile. */
const enlarged: Command = (draft) => {
  const [picture = ''] = Object.keys(draft.pictures);
  const focalPoint = { x: 0.5, y: 0.5 };
  const tint = { colour: '#000000', opacity: 0.4 };
  setLook(['voice'], { fill: { kind: 'picture', picture, focalPoint, tint, zoom: 2 } })(draft);
};

const GESTURES: readonly Gesture[] = [
  { name: 'moving a tile', grip: (page) => hand(page, 'beds'), by: [-260, 90], out: [-1000, 40] },
  {
    name: 'stretching a tile',
    go: select('booking'),
    grip: (page) => page.getByTestId('grip-inlineStart'),
    by: [-140, 0],
    out: [-700, 0],
  },
  {
    name: 'painting an area',
    go: (page) => page.getByRole('button', { name: 'Paint areas' }).click(),
    grip: (page) => page.getByTestId('stage-ground'),
    by: [60, 60],
    out: [0, -400],
  },
  {
    name: 'sizing a column',
    grip: (page) => page.getByTestId('column-boundary-2'),
    by: [40, 0],
    out: [0, -400],
  },
  { name: 'moving a breakpoint', grip: slider('Breakpoint between 4 and 6 columns'), by: [-40, 0] },
  { name: 'taking a breakpoint off', grip: slider('Breakpoint between 4 and 6 columns'), by: [0, 120] },
  { name: 'moving the needle', grip: slider('Needle: the width shown'), by: [-160, 0] },
  {
    name: 'dragging a number',
    grip: (page) => page.getByRole('textbox', { name: 'Gap', exact: true }),
    by: [60, 0],
  },
  { name: 'sweeping columns and rows', grip: slider('Columns and rows'), by: [40, 20] },
  {
    name: 'carrying a tile on the belt',
    grip: (page) => page.getByRole('list', { name: 'Belt' }).getByRole('button', { name: /^2, / }),
    by: [220, 0],
  },
  { name: 'moving a focal point', go: select('hut-at-dusk'), grip: slider('Focal point'), by: [30, 10] },
  {
    name: 'picking a colour',
    go: (page) => page.getByRole('button', { name: /^Background/ }).click(),
    grip: slider('Lightness'),
    by: [-70, 0],
  },
  {
    name: 'moving a picture in its slot',
    go: (page) => hand(page, 'hut-at-dusk').dblclick(),
    grip: (page) => page.getByTestId('crop-hand'),
    by: [0, 40],
    out: [-800, 0],
  },
  {
    name: 'moving a picture behind the contents',
    with: enlarged,
    go: async (page) => {
      await select('voice')(page);
      await page.getByRole('button', { name: 'Move picture' }).click();
    },
    grip: (page) => page.getByTestId('crop-hand'),
    by: [20, 40],
    out: [-900, 400],
  },
  {
    name: 'moving a stop of a gradient',
    with: setLook(['voice'], { fill: GRADIENT }),
    go: select('voice'),
    grip: (page) => page.getByTestId('stop-1'),
    by: [10, 30],
    out: [-900, 400],
  },
  {
    name: 'turning a gradient',
    with: setLook(['voice'], { fill: GRADIENT }),
    go: select('voice'),
    grip: (page) => page.getByTestId('gradient-turn'),
    by: [60, -40],
  },
  ...(
    [
      ['moving the middle of a gradient', 'gradient-middle', [30, 40]],
      ['dragging how far a gradient reaches', 'gradient-reach-x', [-20, 30]],
      ['dragging the other radius of a gradient', 'gradient-reach-y', [20, 20]],
    ] as const
  ).map(([name, testId, by]) => ({
    name,
    with: setLook(['voice'], {
      fill: { kind: 'radial', x: 0.5, y: 0.4, radii: { x: 0.3, y: 0.2 }, stops: GRADIENT.stops },
    }),
    go: select('voice'),
    grip: (page: Page) => page.getByTestId(testId),
    by,
    out: [-900, 400] as const,
  })),
  {
    name: 'turning a conic gradient',
    with: setLook(['voice'], {
      fill: { kind: 'conic', x: 0.5, y: 0.5, angle: 20, stops: GRADIENT.stops },
    }),
    go: select('voice'),
    grip: (page) => page.getByTestId('gradient-turn'),
    by: [50, 30],
  },
  {
    name: 'dragging the edge of a row',
    with: setKind('rows', 0, 'all'),
    grip: (page) => page.getByTestId('row-edge-1'),
    by: [0, 30],
  },
  {
    name: 'moving the needle over the curves',
    grip: (page) => page.getByTitle('Press or drag to move the needle'),
    by: [120, 0],
    view: 'Check',
  },
  {
    name: 'dragging an edge of the page',
    grip: (page) => page.getByRole('separator', { name: 'Right edge of the page' }),
    by: [-60, 0],
    view: 'Preview',
  },
];

/** What of the screen a gesture could show its result in. */
const shown = (page: Page) =>
  page.evaluate(() => {
    const at = (selector: string, say: (it: HTMLElement) => string | null) =>
      [...document.querySelectorAll<HTMLElement>(selector)].map(say);
    const stage = document.querySelector('[data-stage-page]')?.shadowRoot;
    return JSON.stringify([
      stage?.innerHTML,
      at('[role=slider], [role=separator]', (it) => `${it.ariaValueNow} ${it.ariaValueText} ${it.className}`),
      at('[aria-label=Belt] li', (it) => it.style.transform),
      at('[data-testid=free-cell]', (it) => it.style.cssText),
      at('[data-stage-page]', (it) => it.parentElement?.parentElement?.style.background ?? null),
      at('main [style*="left"]', (it) => it.style.cssText),
      at('main input', (it) => (it as HTMLInputElement).value),
    ]);
  });

/** What ends a gesture otherwise than letting go. */
const ENDS: Readonly<Record<string, (page: Page) => Promise<unknown>>> = {
  Escape: (page) => page.keyboard.press('Escape'),
  undo: (page) => page.keyboard.press('Control+z'),
  'the pointer lost': (page) =>
    page.evaluate(() => {
      document.activeElement?.dispatchEvent(
        new PointerEvent('pointercancel', { bubbles: true, pointerId: 1 }),
      );
    }),
  'the window lost': (page) => page.evaluate(() => window.dispatchEvent(new Event('blur'))),
};

const view = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name });

for (const { name, with: made, go, grip, by, out, view: where = 'Compose' } of GESTURES) {
  test(`${name} is taken back, all of it, by whatever ends it but letting go`, async ({
    page,
    application,
    collection: ofDemo,
  }) => {
    const begun = made && { document: change(await demo('winter-at-the-huts'), made).document };
    const collection = begun ? (await createCollection(application, begun)).id : ofDemo;
    await openCompose(page, application, collection);
    // Something to undo, which must not be undone.
    await page.getByRole('textbox', { name: 'Padding', exact: true }).fill('30');
    await page.keyboard.press('Enter');
    await saved(page);
    const boxes = await stageBoxes(page);
    const before = (await readStored(application, collection)).document;
    const width = async () =>
      page.evaluate(
        () => document.querySelector<HTMLInputElement>('input[aria-label="Width shown, px"]')?.value,
      );
    const shownAt = await width();
    const to = async (name: string) => where !== 'Compose' && (await view(page, name).click());
    const all = async (of: string) => {
      await to('Compose');
      await expect.poll(() => stageBoxes(page), of).toEqual(boxes);
      await expect.poll(width, of).toBe(shownAt);
      await saved(page);
      expect((await readStored(application, collection)).document, of).toEqual(before);
      await expect(page.getByRole('button', { name: 'Undo: Padding' }), of).toBeVisible();
      await to(where);
    };
    await to(where);

    await go?.(page);
    for (const [of, end] of Object.entries(ENDS)) {
      const still = await shown(page);
      await drag(page, grip(page), ...by, { hold: true });
      await expect.poll(() => shown(page), 'the gesture shows what it does').not.toBe(still);
      await end(page);
      await page.mouse.move(600, 500);
      await page.mouse.up();
      await all(of);
      if (of === 'Escape') await expect(grip(page), 'what was open stays open').toBeVisible();
    }
    if (out) {
      await drag(page, grip(page), ...out);
      await all('let go outside');
    }
    // The view is left, by the browser’s own button, while the pointer is down.
    const other = where === 'Check' ? 'Compose' : 'Check';
    const isAt = (name: string) => expect(view(page, name)).toHaveAttribute('aria-current', 'page');
    await view(page, other).click();
    await isAt(other);
    await view(page, where).click();
    await isAt(where);
    // What is open stays open; what is not is opened again. It may be painted a moment after the view.
    const isOpen = () => grip(page).waitFor({ timeout: 3000 });
    if (go) await isOpen().catch(() => go(page));
    await drag(page, grip(page), ...by, { hold: true });
    await page.evaluate(() => history.back());
    await isAt(other);
    await page.mouse.up();
    await view(page, where).click();
    await all('the view left');
  });
}
