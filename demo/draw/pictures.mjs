import { ridges } from './ridges.mjs';
import { firewood, snowCrystal, soupBowl, trailMark } from './still.mjs';
import { contourMap, loaf, starTrails, weatherCurves, woodGrain } from './studies.mjs';

const DUSK = {
  sky: ['#1f3a56', '#6f7f99', '#e3ab86'],
  hills: ['#8a8ea4', '#5c6a80', '#3a4a5c', '#223240', '#141f28'],
  mist: '#ecc4a8',
};
const DAY = {
  sky: ['#94bdca', '#d2e4e3', '#f3eee2'],
  hills: ['#b5caca', '#8fadb0', '#65898a', '#45696a', '#284845'],
  mist: '#f5f6f0',
};
const DAWN = {
  sky: ['#e4c9ba', '#f3e0cc', '#f9f1e2'],
  hills: ['#d7baa8', '#bb9788', '#927068', '#67504e', '#423639'],
  mist: '#fff0e1',
};
const NIGHT = {
  sky: ['#0b1521', '#1b3145', '#45616c'],
  hills: ['#34515b', '#233d48', '#172c36', '#0e1e27', '#081319'],
  mist: '#96b4b8',
};
const SNOW = {
  sky: ['#b9c9d6', '#dfe6ea', '#f7f5f0'],
  hills: ['#dbe3e8', '#bccad4', '#9cb0be', '#7c94a5', '#50687b'],
  mist: '#ffffff',
};

const LARCH = {
  sky: ['#8fb3bd', '#d8ddc9', '#f7e6c0'],
  hills: ['#c9bd92', '#c79a52', '#b06f35', '#7c4a2b', '#3d2a20'],
  mist: '#fbeccb',
};
const EVENING = {
  sky: ['#4a4f75', '#a98a9e', '#f0c3a6'],
  hills: ['#a9a6bd', '#8286a4', '#5f6888', '#414b68', '#262d43'],
  mist: '#f3d6cb',
};
const GLOW = {
  sky: ['#6d7fa3', '#d59a97', '#f7c7a0'],
  hills: ['#e7a48d', '#c27d74', '#8d5f66', '#56435a', '#2a2538'],
  mist: '#f6cdb5',
};
const STORM = {
  sky: ['#4b5a62', '#7d8b8f', '#b4bab6'],
  hills: ['#8f9a9b', '#6c797c', '#4c5a5e', '#334044', '#1d282b'],
  mist: '#c9cec9',
};
const MOSS = {
  sky: ['#b8cfc4', '#dfe6cf', '#f2efd6'],
  hills: ['#b9c9a0', '#93ab78', '#6c8a58', '#486a42', '#2a4630'],
  mist: '#eef0d8',
};

/** Every picture of the demo: its file, size, what it shows, where its subject is, and how it is drawn. */
export const PICTURES = [
  {
    id: 'hut-at-dusk',
    name: 'Hut at dusk',
    size: [1800, 1200],
    focalPoint: { x: 0.66, y: 0.86 },
    alternativeText:
      'A small hut with one lit window on a dark ridge at dusk, mist in the valleys behind it.',
    draw: (size) =>
      ridges({
        ...size,
        ...DUSK,
        seed: 11,
        sun: { x: 0.3, y: 0.42, colour: '#ffe3c0' },
        hut: { x: 0.66, on: 4, size: 0.045 },
      }),
  },
  {
    id: 'ridge-path',
    name: 'Ridge path',
    size: [1200, 1500],
    focalPoint: { x: 0.3, y: 0.72 },
    alternativeText: 'Green ridge lines one behind the other in morning mist, a hut on the nearest slope.',
    draw: (size) =>
      ridges({
        ...size,
        ...DAY,
        seed: 29,
        horizon: 0.36,
        hut: { x: 0.3, on: 3, size: 0.026, colour: '#1c3836' },
      }),
  },
  {
    id: 'panorama',
    name: 'Panorama',
    size: [2400, 1000],
    focalPoint: { x: 0.72, y: 0.34 },
    alternativeText: 'A wide view of rose-coloured ridges at sunrise, the sun low on the right.',
    draw: (size) =>
      ridges({
        ...size,
        ...DAWN,
        seed: 47,
        horizon: 0.42,
        sun: { x: 0.72, y: 0.34, colour: '#fffaf0', reach: 0.7 },
      }),
  },
  {
    id: 'night-ridge',
    name: 'Night over the ridge',
    size: [1600, 1000],
    focalPoint: { x: 0.74, y: 0.9 },
    alternativeText: 'Stars over dark ridges, one lit window low on the right.',
    draw: (size) =>
      ridges({
        ...size,
        ...NIGHT,
        seed: 73,
        stars: 620,
        horizon: 0.5,
        hut: { x: 0.74, on: 4, size: 0.05, colour: '#050b10' },
      }),
  },
  {
    id: 'larch-slope',
    name: 'Larch slope',
    size: [1700, 950],
    focalPoint: { x: 0.36, y: 0.74 },
    alternativeText: 'Autumn slopes in yellow and rust, a hut on the nearer one.',
    draw: (size) =>
      ridges({
        ...size,
        ...LARCH,
        seed: 131,
        horizon: 0.4,
        hut: { x: 0.36, on: 3, size: 0.036, colour: '#2c1c14' },
      }),
  },
  {
    id: 'violet-evening',
    name: 'Violet evening',
    size: [1700, 950],
    focalPoint: { x: 0.62, y: 0.44 },
    alternativeText: 'Violet ridges after sunset, the last light between two of them.',
    draw: (size) =>
      ridges({
        ...size,
        ...EVENING,
        seed: 163,
        horizon: 0.46,
        sun: { x: 0.62, y: 0.44, colour: '#ffe4cf', reach: 0.6 },
      }),
  },
  {
    id: 'lake-morning',
    name: 'Morning over the lake valley',
    size: [1700, 950],
    focalPoint: { x: 0.7, y: 0.7 },
    alternativeText: 'Blue-green ridges in morning mist, a small hut low on the right.',
    draw: (size) =>
      ridges({
        ...size,
        ...DAY,
        seed: 211,
        horizon: 0.44,
        hut: { x: 0.7, on: 3, size: 0.034, colour: '#1c3836' },
      }),
  },
  {
    id: 'first-snow',
    name: 'First snow',
    size: [1100, 1500],
    focalPoint: { x: 0.64, y: 0.69 },
    alternativeText: 'Pale snow slopes, a dark hut with a lit window half way up.',
    draw: (size) =>
      ridges({
        ...size,
        ...SNOW,
        seed: 91,
        horizon: 0.34,
        hut: { x: 0.64, on: 3, size: 0.03, colour: '#2c3a47' },
      }),
  },
  {
    id: 'star-trails',
    name: 'Star trails',
    size: [1400, 1400],
    focalPoint: { x: 0.62, y: 0.36 },
    alternativeText: 'Star trails circle the pole of the sky above a black ridge with a lit hut.',
    draw: (size) =>
      starTrails({ ...size, seed: 5, pole: { x: 0.62, y: 0.36 }, hut: { x: 0.24, y: 0.89, size: 0.034 } }),
  },
  {
    id: 'contour-map',
    name: 'Map of the pass',
    size: [1200, 1200],
    focalPoint: { x: 0.3, y: 0.58 },
    alternativeText: 'A contour map: a dashed path leads past a hut marked in red to a summit.',
    draw: (size) => contourMap({ ...size, seed: 17, summit: { x: 0.68, y: 0.3 }, hut: { x: 0.3, y: 0.58 } }),
  },
  {
    id: 'wood-grain',
    name: 'New table top',
    size: [1600, 1100],
    focalPoint: { x: 0.7, y: 0.4 },
    alternativeText: 'Planed larch wood, its grain bending around a single knot.',
    draw: (size) => woodGrain({ ...size, seed: 23, knot: { x: 0.7, y: 0.4, size: 0.1 } }),
  },
  {
    id: 'weather',
    name: 'A week of weather',
    size: [1800, 1000],
    focalPoint: { x: 0.75, y: 0.3 },
    alternativeText: 'Two curves over seven days: the temperature in orange, the snow depth rising in white.',
    draw: (size) => weatherCurves({ ...size, seed: 8 }),
  },
  {
    id: 'loaf',
    name: 'Hut bread',
    size: [1400, 1050],
    focalPoint: { x: 0.4, y: 0.5 },
    alternativeText: 'A round loaf of bread with five cuts on a dark table.',
    draw: (size) => loaf({ ...size, seed: 31, at: { x: 0.4, y: 0.5 } }),
  },
  {
    id: 'tower-peak',
    name: 'Tower peak',
    size: [900, 1600],
    focalPoint: { x: 0.5, y: 0.64 },
    alternativeText: 'A tall view of rose slopes stacked above each other, a hut half way up.',
    draw: (size) =>
      ridges({
        ...size,
        ...GLOW,
        seed: 307,
        horizon: 0.3,
        hut: { x: 0.5, on: 2, size: 0.016, colour: '#2a2538' },
      }),
  },
  {
    id: 'rose-morning',
    name: 'Rose morning',
    size: [1500, 1500],
    focalPoint: { x: 0.34, y: 0.4 },
    alternativeText: 'Pink ridges under a round morning sun.',
    draw: (size) =>
      ridges({
        ...size,
        ...GLOW,
        seed: 331,
        horizon: 0.44,
        sun: { x: 0.34, y: 0.4, colour: '#fff3e2', reach: 0.5 },
      }),
  },
  {
    id: 'storm-front',
    name: 'Storm front',
    size: [1800, 900],
    focalPoint: { x: 0.28, y: 0.72 },
    alternativeText: 'Grey ridges under a heavy sky, one small lit hut on the left.',
    draw: (size) =>
      ridges({
        ...size,
        ...STORM,
        seed: 353,
        horizon: 0.4,
        hut: { x: 0.28, on: 3, size: 0.04, colour: '#141d20' },
      }),
  },
  {
    id: 'after-the-storm',
    name: 'After the storm',
    size: [1200, 1700],
    focalPoint: { x: 0.6, y: 0.3 },
    alternativeText: 'Grey slopes one behind the other, light breaking through above them.',
    draw: (size) =>
      ridges({
        ...size,
        ...STORM,
        seed: 379,
        horizon: 0.36,
        sun: { x: 0.6, y: 0.3, colour: '#fdf6e4', reach: 0.42 },
      }),
  },
  {
    id: 'moss-valley',
    name: 'Moss valley',
    size: [1600, 1200],
    focalPoint: { x: 0.68, y: 0.74 },
    alternativeText: 'Soft green hills in haze, a hut in the lower right.',
    draw: (size) =>
      ridges({
        ...size,
        ...MOSS,
        seed: 401,
        horizon: 0.36,
        hut: { x: 0.68, on: 3, size: 0.036, colour: '#22382a' },
      }),
  },
  {
    id: 'summer-pass',
    name: 'Summer pass',
    size: [2200, 1000],
    focalPoint: { x: 0.22, y: 0.66 },
    alternativeText: 'A wide green pass in summer haze, a small hut far on the left.',
    draw: (size) =>
      ridges({
        ...size,
        ...MOSS,
        seed: 433,
        horizon: 0.4,
        hut: { x: 0.22, on: 3, size: 0.034, colour: '#22382a' },
      }),
  },
  {
    id: 'noon-snow',
    name: 'Snow at noon',
    size: [1500, 1000],
    focalPoint: { x: 0.4, y: 0.6 },
    alternativeText: 'Bright snow slopes at noon with a dark hut.',
    draw: (size) =>
      ridges({
        ...size,
        ...SNOW,
        seed: 457,
        horizon: 0.38,
        hut: { x: 0.4, on: 3, size: 0.04, colour: '#2c3a47' },
      }),
  },
  {
    id: 'dawn-column',
    name: 'Dawn column',
    size: [1000, 1500],
    focalPoint: { x: 0.5, y: 0.36 },
    alternativeText: 'A tall picture of cream and rose ridges at sunrise.',
    draw: (size) =>
      ridges({
        ...size,
        ...DAWN,
        seed: 479,
        horizon: 0.4,
        sun: { x: 0.5, y: 0.36, colour: '#fffaf0', reach: 0.4 },
      }),
  },
  {
    id: 'last-light',
    name: 'Last light',
    size: [1400, 1400],
    focalPoint: { x: 0.7, y: 0.85 },
    alternativeText: 'Dark blue ridges, one window still lit.',
    draw: (size) =>
      ridges({ ...size, ...DUSK, seed: 503, horizon: 0.42, hut: { x: 0.7, on: 4, size: 0.045 } }),
  },
  {
    id: 'larch-gate',
    name: 'Larch gate',
    size: [1100, 1450],
    focalPoint: { x: 0.42, y: 0.63 },
    alternativeText: 'Rust and yellow slopes with a hut on a shoulder.',
    draw: (size) =>
      ridges({
        ...size,
        ...LARCH,
        seed: 521,
        horizon: 0.32,
        hut: { x: 0.42, on: 3, size: 0.028, colour: '#2c1c14' },
      }),
  },
  {
    id: 'long-night',
    name: 'The long night',
    size: [2400, 900],
    focalPoint: { x: 0.8, y: 0.88 },
    alternativeText: 'A wide starry sky over dark ridges, a lit hut on the right.',
    draw: (size) =>
      ridges({
        ...size,
        ...NIGHT,
        seed: 547,
        stars: 900,
        horizon: 0.52,
        hut: { x: 0.8, on: 4, size: 0.06, colour: '#050b10' },
      }),
  },
  {
    id: 'violet-tall',
    name: 'Violet slope',
    size: [1000, 1600],
    focalPoint: { x: 0.4, y: 0.34 },
    alternativeText: 'Violet ridges after sunset, seen from high above.',
    draw: (size) =>
      ridges({
        ...size,
        ...EVENING,
        seed: 571,
        horizon: 0.36,
        sun: { x: 0.4, y: 0.34, colour: '#ffe4cf', reach: 0.4 },
      }),
  },
  {
    id: 'firewood',
    name: 'Firewood',
    size: [1600, 1200],
    focalPoint: { x: 0.62, y: 0.46 },
    alternativeText: 'Stacked firewood seen from its ends, one log freshly cut.',
    draw: (size) => firewood({ ...size, seed: 61, fresh: { x: 0.62, y: 0.46 } }),
  },
  {
    id: 'soup',
    name: 'Soup at six',
    size: [1300, 1300],
    focalPoint: { x: 0.58, y: 0.52 },
    alternativeText: 'A bowl of orange soup on dark boards, seen from above, a spoon beside it.',
    draw: (size) => soupBowl({ ...size, seed: 83, at: { x: 0.58, y: 0.52 } }),
  },
  {
    id: 'crystal',
    name: 'Snow crystal',
    size: [1200, 1200],
    focalPoint: { x: 0.46, y: 0.48 },
    alternativeText: 'One snow crystal with six arms on deep blue wool.',
    draw: (size) => snowCrystal({ ...size, seed: 97, at: { x: 0.46, y: 0.48 } }),
  },
  {
    id: 'trail-mark',
    name: 'Trail mark',
    size: [1000, 1300],
    focalPoint: { x: 0.5, y: 0.42 },
    alternativeText: 'A trail mark of three painted bars on a grey rock.',
    draw: (size) => trailMark({ ...size, seed: 113, at: { x: 0.5, y: 0.42 } }),
  },
];
