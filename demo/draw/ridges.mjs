import { random, roughLine } from './random.mjs';

const stops = (colours) =>
  colours.map((c, k) => `<stop offset="${k / (colours.length - 1)}" stop-color="${c}"/>`).join('');

/** The sky, and ridge lines one behind the other with mist between them; a hut stands on one of them. */
export function ridges({ width, height, seed, sky, hills, mist, horizon = 0.4, sun, stars = 0, hut }) {
  const next = random(seed);
  const parts = [
    `<defs><linearGradient id="sky" x2="0" y2="1">${stops(sky)}</linearGradient></defs>`,
    `<rect width="${width}" height="${height}" fill="url(#sky)"/>`,
  ];
  for (let k = 0; k < stars; k++) {
    const size = 0.5 + next() ** 4 * 2.2;
    parts.push(
      `<circle cx="${next() * width}" cy="${next() ** 1.3 * height * 0.72}" r="${size * (height / 1200)}" fill="#fff" opacity="${0.25 + next() * 0.7}"/>`,
    );
  }
  if (sun) parts.push(sunLight(sun, width, height));
  hills.forEach((colour, k) => {
    const depth = k / hills.length;
    const base = height * (horizon + (0.98 - horizon) * depth);
    const reach = height * (0.2 - 0.09 * depth);
    const line = roughLine(next, 9, 0.5 + 0.03 * depth);
    const points = line.map(
      (y, i) => `${((i / (line.length - 1)) * width).toFixed(1)} ${(base + y * reach).toFixed(1)}`,
    );
    const below = hills[Math.min(k + 1, hills.length - 1)];
    parts.push(
      `<defs><linearGradient id="h${k}" gradientUnits="userSpaceOnUse" x1="0" y1="${base - reach * 0.5}" x2="0" y2="${base + height * 0.3}"><stop stop-color="${colour}"/><stop offset="1" stop-color="${below}"/></linearGradient></defs>`,
      `<path d="M0 ${height}L${points.join('L')}L${width} ${height}Z" fill="url(#h${k})"/>`,
    );
    if (k < hills.length - 1) {
      parts.push(
        `<defs><linearGradient id="m${k}" x2="0" y2="1"><stop stop-color="${mist}" stop-opacity="0"/><stop offset="1" stop-color="${mist}" stop-opacity="${0.5 - depth * 0.25}"/></linearGradient></defs>`,
        `<rect y="${base - reach * 0.1}" width="${width}" height="${height * 0.24}" fill="url(#m${k})"/>`,
      );
    }
    if (hut?.on === k) {
      const y = base + line[Math.round(hut.x * (line.length - 1))] * reach;
      parts.push(hutShape({ ...hut, y: y / height - 0.002 }, width, height));
      parts.push(
        `<path d="M0 ${height}L${points.join('L')}L${width} ${height}Z" fill="url(#h${k})" transform="translate(0 ${hut.size * height * 0.16})"/>`,
      );
    }
  });
  return parts.join('\n');
}

function sunLight({ x, y, colour, reach = 0.55 }, width, height) {
  const radius = height * reach;
  return `<defs><radialGradient id="sun"><stop stop-color="${colour}"/><stop offset=".09" stop-color="${colour}" stop-opacity=".95"/><stop offset=".13" stop-color="${colour}" stop-opacity=".35"/><stop offset="1" stop-color="${colour}" stop-opacity="0"/></radialGradient></defs>
<circle cx="${x * width}" cy="${y * height}" r="${radius}" fill="url(#sun)"/>`;
}

/** A hut with a steep roof, a chimney and one lit window; `size` is half its width as a share of the height. */
export function hutShape({ x, y, size, colour = '#1a2325', light = '#ffcf7a' }, width, height) {
  const s = size * height;
  const [cx, foot] = [x * width, y * height];
  const at = (dx, dy) => `${(cx + dx * s).toFixed(1)} ${(foot + dy * s).toFixed(1)}`;
  return `<defs><radialGradient id="glow"><stop stop-color="${light}" stop-opacity=".8"/><stop offset=".25" stop-color="${light}" stop-opacity=".28"/><stop offset="1" stop-color="${light}" stop-opacity="0"/></radialGradient></defs>
<path d="M${at(-1, 0.25)}L${at(-1, -0.62)}L${at(-1.18, -0.58)}L${at(-0.1, -1.42)}L${at(1.12, -0.58)}L${at(0.94, -0.62)}L${at(0.94, 0.25)}Z" fill="${colour}"/>
<path d="M${at(0.38, -0.95)}L${at(0.38, -1.5)}L${at(0.58, -1.5)}L${at(0.58, -0.8)}Z" fill="${colour}"/>
<circle cx="${cx - 0.32 * s}" cy="${foot - 0.36 * s}" r="${2.6 * s}" fill="url(#glow)"/>
<rect x="${cx - 0.52 * s}" y="${foot - 0.56 * s}" width="${0.4 * s}" height="${0.4 * s}" fill="${light}"/>
<path d="M${at(-0.32, -0.56)}v${0.4 * s}M${at(-0.52, -0.36)}h${0.4 * s}" stroke="${colour}" stroke-width="${0.035 * s}"/>`;
}
