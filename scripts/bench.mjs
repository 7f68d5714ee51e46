/**
 * Core against Chromium's own layout, in turn in one run, as ratios. Both sides lay out and hand over
 * every tile's rectangle. Needs a build; no part of the tests.
 */
import { chromium } from '@playwright/test';
import { INITIAL_STYLE, layoutMosaic, layoutRows, layoutTree, placeLanes } from '@noria/core';

const SPANS = [
  [1, 1], [2, 1], [1, 2], [2, 2], [3, 1], [1, 1], [4, 2], [2, 3], [1, 1], [3, 2],
]; // prettier-ignore
const spanOf = (k) => SPANS[(k * 7 + (k >> 3)) % SPANS.length];
const heightOf = (k) => 60 + ((k * 7919) % 240);
const aspectOf = (k) => 0.6 + ((k * 104_729) % 170) / 100;
const DENSE = { columns: 12, gap: 8, row: 80 };
const BANDS = [
  { below: 640, columns: 2 },
  { below: 1080, columns: 4 },
  { below: Infinity, columns: 6 },
];

const median = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

/** Milliseconds of each run of some work, after two to warm up. */
function time(runs, work) {
  const times = [];
  for (let k = -2; k < runs; k++) {
    const start = performance.now();
    work(k);
    if (k >= 0) times.push(performance.now() - start);
  }
  return median(times);
}

const track = (min, max) => ({ min, max, limit: null });
const length = (value) => ({ kind: 'length', value });
const share = track(length(0), { kind: 'fr', value: 1 });
const span = (count) => ({ kind: 'span', count, name: null });
const box = (style, children = []) => ({
  id: null,
  isGridRoot: false,
  style: { ...INITIAL_STYLE, ...style },
  children,
  text: null,
  natural: null,
});
const repeat = (count) => ({
  kind: 'tracks',
  parts: [{ kind: 'repeat', count, parts: [{ kind: 'track', sizing: share }] }],
});

function gridTree(count, columns, spanAt = spanOf) {
  const tiles = Array.from({ length: count }, (_, k) => {
    const [columnSpan, rowSpan] = spanAt(k);
    return box({ columnStart: span(Math.min(columnSpan, columns)), rowStart: span(rowSpan) });
  });
  const row = track(length(DENSE.row), length(DENSE.row));
  return box(
    {
      display: 'grid',
      columns: repeat(columns),
      autoRows: [row],
      dense: true,
      columnGap: DENSE.gap,
      rowGap: DENSE.gap,
    },
    tiles,
  );
}

/** Every rectangle, read in full as the browser's are. */
function readAll(fragment) {
  const boxes = new Float64Array(fragment.children.length * 4);
  let k = 0;
  for (const { x, y, inlineSize, blockSize } of fragment.children) {
    boxes[k++] = x;
    boxes[k++] = y;
    boxes[k++] = inlineSize;
    boxes[k++] = blockSize;
  }
  return boxes;
}

const grid = (tree, width) => readAll(layoutTree(tree, width).children[0]);

const core = {
  newWidth: (count) => {
    const tree = gridTree(count, DENSE.columns);
    return time(15, (k) => grid(tree, 1000 + (k + 3) * 7));
  },
  newSpan: (count) => {
    const trees = Array.from({ length: 9 }, (_, i) =>
      gridTree(count, DENSE.columns, (k) => (k === 5 + i ? [5, 2] : spanOf(k))),
    );
    return time(7, (k) => grid(trees[k + 2], 1000));
  },
  lanes: (count) => {
    const items = Array.from({ length: count }, () => ({ lane: null, span: 1 }));
    return time(15, (k) => {
      const lanes = 6;
      const lane = (1000 + (k + 3) * 7 - (lanes - 1) * 8) / lanes;
      const placed = placeLanes(items, heightOf, { lanes, gap: 8, tolerance: 16 });
      const boxes = new Float64Array(count * 4);
      for (let i = 0; i < count; i++)
        boxes.set([placed.lane[i] * (lane + 8), placed.start[i], lane, heightOf(i)], i * 4);
      return boxes;
    });
  },
  rows: (count) => {
    const items = Array.from({ length: count }, (_, k) => ({ aspect: aspectOf(k) }));
    return time(15, (k) =>
      layoutRows(items, {
        inlineSize: 1000 + (k + 3) * 7, columnGap: 8, rowGap: 8, targetBlockSize: 180, minBlockSize: 120,
        maxBlockSize: 260, lastRow: 'keep-height', mostUpscale: Infinity,
      }).boxes); // prettier-ignore
  },
  mosaic: (count) => {
    const items = Array.from({ length: count }, (_, k) => ({ aspect: aspectOf(k) }));
    const options = { columns: 10, gap: 8, moduleSize: 100, shareOfLarge: 0.2, mostCrop: 0.4 };
    return time(3, (k) => layoutMosaic(items, { ...options, seed: k + 2 }));
  },
  sweep: () => {
    const trees = BANDS.map(({ below, columns }) => ({ below, tree: gridTree(60, columns) }));
    return time(3, () => {
      let sum = 0;
      for (let width = 240; width <= 2560; width++) {
        const { tree } = trees.find(({ below }) => width < below);
        sum += grid(tree, width)[0];
      }
      return sum;
    });
  },
};

/** Runs in the page: the same work by the browser, with the same readings. */
const inBrowser = ({ name, count, spans, heights, aspects, dense, bands, runs }) => {
  const html = (tiles, css) => {
    document.body.innerHTML = `<style>body{margin:0} ${css}</style><div id="g">${tiles}</div>`;
    return document.getElementById('g');
  };
  const read = (element) => {
    const boxes = new Float64Array(element.children.length * 4);
    let k = 0;
    for (const tile of element.children) {
      const { x, y, width, height } = tile.getBoundingClientRect();
      boxes[k++] = x;
      boxes[k++] = y;
      boxes[k++] = width;
      boxes[k++] = height;
    }
    return boxes;
  };
  const measure = (work) => {
    const times = [];
    for (let k = -2; k < runs; k++) {
      const start = performance.now();
      work(k);
      if (k >= 0) times.push(performance.now() - start);
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length / 2)];
  };
  const gridCss = `#g{display:grid;grid-template-columns:repeat(${dense.columns},minmax(0,1fr));grid-auto-rows:${dense.row}px;grid-auto-flow:row dense;gap:${dense.gap}px}`;
  const tile = ([columns, rows]) => `<div style="grid-column:span ${columns};grid-row:span ${rows}"></div>`;
  if (name === 'newWidth' || name === 'newSpan') {
    const g = html(spans.map(tile).join(''), gridCss);
    g.style.width = '1000px';
    read(g);
    if (name === 'newWidth') {
      return measure((k) => {
        g.style.width = `${1000 + (k + 3) * 7}px`;
        read(g);
      });
    }
    return measure((k) => {
      g.children[5 + k + 2].style.gridColumn = 'span 5';
      read(g);
    });
  }
  if (name === 'lanes') {
    const g = html(
      heights.map((height) => `<div style="height:${height}px"></div>`).join(''),
      '#g{display:grid-lanes;grid-template-columns:repeat(6,minmax(0,1fr));gap:8px}',
    );
    if (getComputedStyle(g).display !== 'grid-lanes') return NaN;
    return measure((k) => {
      g.style.width = `${1000 + (k + 3) * 7}px`;
      read(g);
    });
  }
  if (name === 'rows') {
    const g = html(
      aspects
        .map((aspect) => `<div style="flex:${aspect} 1 ${aspect * 180}px;aspect-ratio:${aspect}"></div>`)
        .join(''),
      '#g{display:flex;flex-wrap:wrap;gap:8px}',
    );
    return measure((k) => {
      g.style.width = `${1000 + (k + 3) * 7}px`;
      read(g);
    });
  }
  const media = bands
    .map(
      ({ below, columns }, i) =>
        `@container (width >= ${i === 0 ? 0 : bands[i - 1].below}px)${below === null ? '' : ` and (width < ${below}px)`}{#g{grid-template-columns:repeat(${columns},minmax(0,1fr))}}`,
    )
    .join('');
  document.body.innerHTML = `<style>body{margin:0} #w{container-type:inline-size} ${gridCss} ${media}</style><div id="w"><div id="g">${spans.map(tile).join('')}</div></div>`;
  const [w, g] = [document.getElementById('w'), document.getElementById('g')];
  const start = performance.now();
  for (let width = 240; width <= 2560; width++) {
    w.style.width = `${width}px`;
    read(g);
  }
  return performance.now() - start + count * 0;
};

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--disable-background-networking',
    '--enable-blink-features=CSSGridLanesLayout',
  ],
});
const page = await browser.newPage();
await page.setContent('<!doctype html><body></body>');

const all = (count, of) => Array.from({ length: count }, (_, k) => of(k));
const ask = (name, count, runs) =>
  page.evaluate(inBrowser, {
    name, count, runs, dense: DENSE,
    bands: BANDS.map(({ below, columns }) => ({ below: below === Infinity ? null : below, columns })),
    spans: all(count, spanOf), heights: all(count, heightOf), aspects: all(count, aspectOf),
  }); // prettier-ignore

const rows = [];
async function against(label, name, count, wanted, runs = 7) {
  const first = core[name](count);
  const theirs = await ask(name, count, runs);
  const again = core[name](count);
  const ours = Math.min(first, again);
  rows.push({
    case: label,
    'core, ms': ours.toFixed(2),
    'browser, ms': theirs.toFixed(2),
    ratio: (theirs / ours).toFixed(1),
    wanted,
  });
}

await against('(a) new width, 1,000 tiles', 'newWidth', 1000, '5');
await against('(a) new width, 10,000 tiles', 'newWidth', 10_000, '5');
await against('(b) new span, 1,000 tiles', 'newSpan', 1000, '');
await against('(b) new span, 10,000 tiles', 'newSpan', 10_000, '50', 3);
await against('(c) lanes, 10,000 items', 'lanes', 10_000, '5');
await against('(d) row gallery, 10,000 pictures', 'rows', 10_000, '');
await against('(e) sweep, 60 tiles, 2,321 widths', 'sweep', 60, '40', 1);
console.table(rows);
await browser.close();

const growth = Object.keys(core)
  .filter((name) => name !== 'sweep')
  .map((name) => {
    const [small, middle, large] = [1000, 10_000, 100_000].map((count) => core[name](count));
    return {
      kind: name,
      '1k, ms': small.toFixed(2),
      '10k, ms': middle.toFixed(2),
      '100k, ms': large.toFixed(2),
      '10k ÷ 1k': (middle / small).toFixed(1),
      '100k ÷ 10k': (large / middle).toFixed(1),
    };
  });
console.table(growth);
