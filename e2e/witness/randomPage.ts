import { seeded, type Random } from './random';
import type { Node } from './pageModel';

const AREAS = [
  '"a a b" "c d b" "c e e"',
  '"head head" "side main" "foot foot"',
  '"a . b" "a c c"',
  '"a b" "a b"',
];
const AREA_NAMES: Readonly<Record<string, readonly string[]>> = {
  [AREAS[0] as string]: ['a', 'b', 'c', 'd', 'e'],
  [AREAS[1] as string]: ['head', 'side', 'main', 'foot'],
  [AREAS[2] as string]: ['a', 'b', 'c'],
  [AREAS[3] as string]: ['a', 'b'],
};

const CONTENT = [
  'normal',
  'stretch',
  'start',
  'end',
  'center',
  'space-between',
  'space-around',
  'space-evenly',
  'safe center',
  'flex-end',
];
const SELF = ['normal', 'stretch', 'start', 'end', 'center', 'safe end', 'unsafe center'];

/** A random page with lanes; the same seed, the same page. */
export function randomLanes(seed: number): Node {
  const random = seeded(seed);
  const { chance, pick, int } = random;
  const css: Css = { display: 'grid-lanes' };
  css['grid-template-columns'] = lanesList(random);
  if (chance(0.8)) css.gap = `${gap(random)}${chance(0.4) ? ` ${int(0, 30)}px` : ''}`;
  if (chance(0.35)) css['flow-tolerance'] = pick(['0', '10px', '40px', '2rem', 'infinite', 'normal']);
  if (chance(0.3)) css.padding = pick(['10px', '5%', '1rem 2rem']);
  if (chance(0.2)) css['justify-items'] = pick(['start', 'center', 'end', 'stretch']);
  if (chance(0.2)) css['justify-content'] = pick(['start', 'center', 'end', 'space-between', 'stretch']);
  if (chance(0.1)) css.direction = 'rtl';
  const children = Array.from({ length: int(1, 14) }, (_, k): Node => {
    const own: Css = { height: `${int(10, 220)}px` };
    if (chance(0.25))
      own['grid-column'] = pick([
        'span 2',
        'span 2',
        'span 3',
        '1',
        '2',
        '1 / span 2',
        '-1',
        '1 / -1',
        '-2 / -1',
      ]);
    if (chance(0.12)) own.margin = pick(['6px', '0 10px', '4px 0 9px']);
    if (chance(0.15)) own.padding = pick(['8px', '4px 12px']);
    if (chance(0.12)) own.order = String(int(-1, 1));
    if (chance(0.12)) own.width = pick([`${int(20, 200)}px`, '50%']);
    if (chance(0.25)) {
      delete own.height;
      own['aspect-ratio'] = pick(['1', '16 / 9', '3 / 4', '2 / 3']);
    }
    const inner: Node = {
      tile: null,
      grid: false,
      css: { width: `${int(20, 150)}px`, height: '12px' },
      under: [],
      children: [],
    };
    return {
      tile: `t${k + 1}`,
      grid: false,
      css: own,
      under: [],
      children: chance(0.4) && own.height ? [inner] : [],
    };
  });
  const under = chance(0.3)
    ? [
        {
          condition: `@media (max-width: ${int(400, 1000)}px)`,
          css: { 'grid-template-columns': lanesList(random) },
        },
      ]
    : [];
  return { tile: null, grid: true, css, under, children };
}

function lanesList({ chance, pick, int }: Random): string {
  if (chance(0.4)) return `repeat(${int(2, 6)}, ${pick(['1fr', 'minmax(0, 1fr)', '2fr', '90px', '20%'])})`;
  if (chance(0.6)) return `repeat(auto-fill, minmax(${int(90, 260)}px, 1fr))`;
  return pick([
    '1fr 2fr 1fr',
    '200px 1fr',
    '100px repeat(2, 1fr) 15%',
    'minmax(100px, 1fr) 1fr',
    '10rem 1fr 10rem',
  ]);
}

/** A random page with grids of every kind that the engine lays out; the same seed, the same page. */
export function randomPage(seed: number): Node {
  const random = seeded(seed);
  let tiles = 0;
  const nextTile = () => `t${++tiles}`;
  const wrapped = random.chance(0.2);
  const page = grid(random, nextTile, 0, null);
  if (!wrapped) return page;
  return {
    tile: null,
    grid: false,
    css: {
      ...(random.chance(0.5) ? { 'container-type': 'inline-size' } : {}),
      ...(random.chance(0.5) ? { padding: `${random.int(0, 30)}px` } : {}),
      ...(random.chance(0.3) ? { 'max-width': `${random.int(300, 1000)}px`, margin: '0 auto' } : {}),
    },
    under: [],
    children: [
      {
        ...page,
        under: [
          ...page.under,
          ...(random.chance(0.6)
            ? [
                {
                  condition: `@container (width < ${random.int(200, 900)}px)`,
                  css: { 'grid-template-columns': trackList(random, false) },
                },
              ]
            : []),
        ],
      },
    ],
  };
}

type Css = Record<string, string>;

function grid(random: Random, nextTile: () => string, depth: number, around: Node['css'] | null): Node {
  const css: Css = { display: 'grid' };
  const { chance, pick, int } = random;
  let names: readonly string[] = [];
  if (around && chance(0.3)) css['grid-template-columns'] = pick(['subgrid', 'subgrid [x] [y] [z]']);
  else if (chance(0.85)) css['grid-template-columns'] = trackList(random, chance(0.35));
  if (around && chance(0.2)) {
    css['grid-template-rows'] = 'subgrid';
    // In a subgrid of rows, the browser resolves percentages against more than one width.
    if (/%|auto-fi/.test(css['grid-template-columns'] ?? ''))
      css['grid-template-columns'] = pick(['60px max-content', '40px auto', '1fr 2fr', 'minmax(20px, 3rem)']);
  } else if (chance(0.45) && !isSubgrid(css)) css['grid-template-rows'] = trackList(random, false);
  if (chance(0.2)) {
    css['grid-template-areas'] = pick(AREAS);
    names = AREA_NAMES[css['grid-template-areas']] ?? [];
  }
  if (chance(0.35)) css['grid-auto-rows'] = chance(0.3) ? `${track(random)} ${track(random)}` : track(random);
  if (chance(0.25) && !isSubgrid(css)) css['grid-auto-columns'] = track(random);
  if (chance(0.55)) css['grid-auto-flow'] = pick(['row', 'column', 'dense', 'row dense', 'column dense']);
  if (chance(0.7)) css.gap = `${gap(random)}${chance(0.4) ? ` ${gap(random)}` : ''}`;
  if (isSubgrid(css) && css.gap)
    css.gap = `${int(0, 20)}px ${css['grid-template-rows'] === 'subgrid' ? `${int(0, 20)}px` : gap(random)}`;
  if (chance(0.3)) css.padding = pick(['10px', isSubgrid(css) ? '6px' : '5%', '1rem 2rem', '0 12px 7px 3px']);
  if (chance(0.15)) css.border = `${int(1, 6)}px solid`;
  if (chance(0.3)) css['justify-content'] = pick(CONTENT);
  if (chance(0.3) && !isSubgrid(css)) css['align-content'] = pick(CONTENT);
  if (chance(0.25)) css['justify-items'] = pick(SELF);
  if (chance(0.25)) css['align-items'] = pick(SELF);
  if (chance(0.2)) css.height = pick(['400px', '50vh', '700px']);
  else if (chance(0.15)) css['min-height'] = pick(['300px', '600px', '40vh']);
  else if (chance(0.08)) css['max-height'] = pick(['200px', '350px']);
  // How often a track of some share repeats while the width is being found, core and the browser say differently.
  const sharedRepeat = /auto-fi.*%/.test(css['grid-template-columns'] ?? '');
  if (chance(0.12) && !sharedRepeat)
    css.width = pick(['80%', '500px', 'max-content', 'min-content', 'fit-content']);
  if (chance(0.1) && !sharedRepeat) css['max-width'] = pick(['600px', '90%']);
  if (chance(0.2)) css['box-sizing'] = 'border-box';
  if (chance(0.08)) css.direction = 'rtl';
  if (chance(0.3)) css.position = 'relative';
  if (around) Object.assign(css, place(random, around, names));
  const count = int(1, depth === 0 ? 9 : 4);
  const children = Array.from({ length: count }, () =>
    depth < 2 && chance(0.14) ? grid(random, nextTile, depth + 1, css) : item(random, nextTile, css, names),
  );
  if (chance(0.12)) children.push(badge(random, nextTile));
  const under = chance(0.3)
    ? [
        {
          condition: pick([
            `@media (max-width: ${int(300, 1200)}px)`,
            `@media (width >= ${int(300, 1200)}px)`,
            `@media (${int(250, 500)}px <= width < ${int(600, 1300)}px)`,
          ]),
          css: isSubgrid(css)
            ? {}
            : {
                'grid-template-columns': trackList(random, chance(0.3) && !css['max-width'] && !css.width),
                ...(chance(0.5) ? { gap: gap(random) } : {}),
              },
        },
      ]
    : [];
  return { tile: depth > 0 ? nextTile() : null, grid: true, css, under, children };
}

function item(random: Random, nextTile: () => string, container: Css, names: readonly string[]): Node {
  const { chance, pick, int } = random;
  const css: Css = { ...place(random, container, names) };
  if (chance(0.2)) css.width = size(random);
  if (chance(0.25)) css.height = pick([`${int(10, 160)}px`, '50%', '100%', 'auto']);
  if (chance(0.15)) css['min-width'] = pick([`${int(0, 200)}px`, '0', '30%', 'min-content']);
  if (chance(0.12)) css['max-width'] = pick([`${int(30, 300)}px`, '60%']);
  if (chance(0.12)) css['min-height'] = pick([`${int(0, 150)}px`, '0']);
  if (chance(0.1)) css['max-height'] = `${int(20, 150)}px`;
  if (chance(0.15)) css.padding = pick(['8px', '4px 12px', '5%', '1em']);
  if (chance(0.1)) css.border = `${int(1, 5)}px solid`;
  if (chance(0.15)) css.margin = pick(['6px', '0 10px', 'auto', '0 auto', '3% 4px', '-5px', 'auto 0 0 auto']);
  if (chance(0.15)) css['justify-self'] = pick(SELF);
  if (chance(0.15)) css['align-self'] = pick(SELF);
  if (chance(0.12)) css.order = String(int(-2, 2));
  if (chance(0.12)) css.overflow = pick(['hidden', 'auto', 'clip']);
  if (chance(0.2)) css['box-sizing'] = 'border-box';
  if (chance(0.06))
    Object.assign(css, { position: 'relative', top: `${int(-10, 10)}px`, left: `${int(-10, 10)}px` });
  if (chance(0.15) && !isSubgrid(container)) addRatio(random, css);
  return {
    tile: nextTile(),
    grid: false,
    css,
    under: [],
    children: chance(0.7) ? content(random, nextTile) : [],
  };
}

/** An aspect ratio; beside other sizes in the same box than one length, core and the browser differ. */
function addRatio({ pick, chance, int }: Random, css: Css): void {
  for (const property of ['overflow', 'min-width', 'max-width', 'min-height', 'max-height'])
    delete css[property];
  const kept = pick(['none', 'width', 'height']);
  delete css.width;
  delete css.height;
  if (kept !== 'none' && chance(0.7)) css[kept] = `${int(20, 200)}px`;
  css['aspect-ratio'] = pick(['1', '16 / 9', '3 / 4', '2']);
}

/** What is in a tile: boxes of fixed or shared sizes, in one or two levels. */
function content(random: Random, nextTile: () => string): Node[] {
  const { chance, int, pick } = random;
  const plain = (css: Css, children: Node[] = []): Node => ({
    tile: chance(0.15) ? nextTile() : null,
    grid: false,
    css,
    under: [],
    children,
  });
  const leaf = () =>
    plain({
      width: pick([`${int(10, 180)}px`, `${int(10, 90)}px`, '100%', '50%', 'auto']),
      height: `${int(5, 90)}px`,
      ...(chance(0.2) ? { margin: pick(['4px', '0 0 8px', '0 auto']) } : {}),
      ...(chance(0.1) ? { 'min-width': `${int(20, 120)}px` } : {}),
    });
  if (chance(0.2)) {
    const css: Css = {
      display: 'flex',
      'flex-direction': pick(['row', 'column', 'column']),
      gap: pick(['0', '6px', '4px 10px']),
      'justify-content': pick(['normal', 'center', 'end', 'space-between']),
      'align-items': pick(['normal', 'start', 'center', 'stretch']),
      ...(chance(0.3) ? { height: pick(['120px', '100%', 'auto']) } : {}),
      ...(chance(0.25) ? { 'flex-wrap': 'wrap', 'flex-direction': 'row' } : {}),
    };
    const flexible = () => {
      const each = leaf();
      return chance(0.4)
        ? { ...each, css: { ...each.css, flex: pick(['1', '2 1 40px', 'none', '0 0 30px', '1 0 auto']) } }
        : each;
    };
    return [plain(css, Array.from({ length: int(1, 4) }, flexible))];
  }
  return Array.from({ length: int(1, 3) }, () =>
    chance(0.15)
      ? plain({ padding: '5px', ...(chance(0.5) ? { border: '1px solid' } : {}) }, [leaf(), leaf()])
      : leaf(),
  );
}

function badge(random: Random, nextTile: () => string): Node {
  const { chance, int, pick } = random;
  const css: Css = { position: 'absolute' };
  if (chance(0.8)) css.width = pick([`${int(10, 60)}px`, '20%']);
  if (chance(0.8)) css.height = `${int(10, 60)}px`;
  if (chance(0.5)) css[pick(['top', 'bottom'])] = pick([`${int(-10, 20)}px`, '10%']);
  if (chance(0.5)) css[pick(['left', 'right'])] = pick([`${int(-10, 20)}px`, '10%']);
  if (chance(0.2)) css.inset = '5px 8px';
  if (chance(0.4)) css['grid-column'] = pick(['1', '2 / 3', '-2 / -1', 'auto / 2', '2']);
  if (chance(0.4)) css['grid-row'] = pick(['1', '2 / 3', '1 / -1', 'auto']);
  if (chance(0.3)) css['justify-self'] = pick(['start', 'end', 'center']);
  if (chance(0.3)) css['align-self'] = pick(['start', 'end', 'center']);
  const inner: Node = {
    tile: null,
    grid: false,
    css: { width: '20px', height: '15px' },
    under: [],
    children: [],
  };
  return { tile: nextTile(), grid: false, css, under: [], children: [inner] };
}

function place({ chance, pick, int }: Random, container: Css, names: readonly string[]): Css {
  const css: Css = {};
  if (isSubgrid(container)) {
    // What would lie outside of a subgrid's tracks, core and the browser put differently.
    if (chance(0.2)) css['grid-column'] = '1 / -1';
    return css;
  }
  if (names.length > 0 && chance(0.4)) return { 'grid-area': pick(names) };
  if (chance(0.45)) {
    css['grid-column'] = pick([
      `span ${int(1, 4)}`,
      `span ${int(1, 2)}`,
      `${int(1, 5)}`,
      `${int(1, 4)} / span ${int(1, 3)}`,
      `${int(1, 3)} / ${int(2, 6)}`,
      `-${int(1, 3)}`,
      '1 / -1',
      `-${int(1, 4)} / span 2`,
      `span 2 / ${int(1, 5)}`,
      'line',
      'line 2',
      'span line',
      'line / span 2',
      'span 2 line / -1',
    ]);
  }
  if (chance(0.35)) {
    css['grid-row'] = pick([
      `span ${int(1, 3)}`,
      `span ${int(1, 2)}`,
      `${int(1, 4)}`,
      `${int(1, 3)} / span 2`,
      `-${int(1, 3)}`,
      '1 / -1',
      `${int(1, 3)} / ${int(1, 4)}`,
    ]);
  }
  return css;
}

const isSubgrid = (css: Css) =>
  [css['grid-template-columns'], css['grid-template-rows']].some((value) => value?.startsWith('subgrid'));

const size = ({ pick, int }: Random) =>
  pick([
    `${int(10, 260)}px`,
    '50%',
    '100%',
    'auto',
    'min-content',
    'max-content',
    'fit-content',
    `calc(50% - ${int(1, 20)}px)`,
  ]);

const gap = ({ pick, int }: Random) =>
  pick([`${int(0, 30)}px`, '1rem', '2%', '0', 'calc(1rem - 4px)', 'clamp(4px, 2vw, 24px)', 'min(3%, 20px)']);

function breadth({ pick, int, chance }: Random): string {
  if (chance(0.15)) return pick(['auto', 'min-content', 'max-content']);
  return pick([
    `${int(20, 260)}px`,
    `${int(5, 40)}%`,
    `${int(2, 10)}rem`,
    `min(${int(50, 200)}px, 30%)`,
    `max(40px, ${int(5, 20)}%)`,
    `calc(${int(10, 30)}% - 10px)`,
  ]);
}

const flex = ({ pick }: Random) => pick(['1fr', '2fr', '1fr', '0.5fr', '0.3fr', '3fr', '0fr']);

function track(random: Random): string {
  const { pick, int } = random;
  const kind = int(0, 9);
  if (kind <= 2) return flex(random);
  if (kind <= 4) return breadth(random);
  if (kind === 5) return pick(['auto', 'min-content', 'max-content']);
  if (kind === 6) return `fit-content(${pick([`${int(40, 240)}px`, `${int(10, 50)}%`])})`;
  if (kind === 7) return `minmax(${breadth(random)}, ${flex(random)})`;
  if (kind === 8) return `minmax(${breadth(random)}, ${breadth(random)})`;
  return 'auto';
}

function fixedTrack(random: Random): string {
  const { pick, int } = random;
  return pick([
    `${int(50, 260)}px`,
    `minmax(${int(50, 260)}px, 1fr)`,
    `minmax(min(100%, ${int(80, 300)}px), 1fr)`,
    `minmax(${int(40, 90)}px, auto)`,
    `max(${int(60, 160)}px, (100% - 3 * 16px) / 4)`,
    `minmax(max(${int(60, 200)}px, (100% - 2rem) / 3), 1fr)`,
  ]);
}

function trackList(random: Random, automatic: boolean): string {
  const { chance, int, pick } = random;
  const parts: string[] = [];
  const named = chance(0.25);
  const some = (make: () => string, count: number) => {
    for (let k = 0; k < count; k++) {
      if (named && chance(0.4)) parts.push(pick(['[line]', '[x]', '[line x]']));
      parts.push(make());
    }
  };
  if (automatic) {
    if (chance(0.2)) some(() => fixedTrack(random).replace(/^minmax\(min.*$/, '80px'), 1);
    parts.push(
      `repeat(${pick(['auto-fill', 'auto-fit'])}, ${fixedTrack(random)}${chance(0.15) ? ` ${int(20, 60)}px` : ''})`,
    );
    if (chance(0.15)) parts.push(`${int(30, 90)}px`);
  } else {
    if (chance(0.35))
      parts.push(`repeat(${int(2, 5)}, ${track(random)}${chance(0.2) ? ` ${track(random)}` : ''})`);
    some(() => track(random), parts.length > 0 ? int(0, 2) : int(1, 5));
  }
  if (named && chance(0.5)) parts.push('[line]');
  return parts.join(' ');
}
