import { random, roughLine } from './random.mjs';
import { hutShape } from './ridges.mjs';

/** Star trails: arcs around the pole of the sky, over a black ridge with a hut. */
export function starTrails({ width, height, seed, pole, hut }) {
  const next = random(seed);
  const [px, py] = [pole.x * width, pole.y * height];
  const parts = [
    `<defs><radialGradient id="night" cx="${pole.x}" cy="${pole.y}" r="1.1"><stop stop-color="#2c4a63"/><stop offset=".55" stop-color="#14273a"/><stop offset="1" stop-color="#0a1420"/></radialGradient></defs>`,
    `<rect width="${width}" height="${height}" fill="url(#night)"/>`,
  ];
  const tints = ['#ffffff', '#cfe3f2', '#ffe8c9', '#a9cbe4'];
  for (let k = 0; k < 460; k++) {
    const radius = 8 + Math.sqrt(next()) * Math.hypot(width, height) * 0.82;
    const from = next() * Math.PI * 2;
    const sweep = 0.42 + next() * 0.16;
    const point = (angle) =>
      `${(px + radius * Math.cos(angle)).toFixed(1)} ${(py + radius * Math.sin(angle)).toFixed(1)}`;
    parts.push(
      `<path d="M${point(from)}A${radius} ${radius} 0 0 1 ${point(from + sweep)}" fill="none" stroke="${tints[Math.floor(next() * 4)]}" stroke-width="${(0.6 + next() ** 3 * 2.4) * (height / 1400)}" stroke-linecap="round" opacity="${0.12 + next() * 0.6}"/>`,
    );
  }
  for (const [level, colour] of [
    [0.86, '#0d1b26'],
    [0.93, '#060d13'],
  ]) {
    const line = roughLine(next, 9);
    const points = line.map(
      (y, i) => `${(i / (line.length - 1)) * width} ${height * level + y * height * 0.1}`,
    );
    parts.push(`<path d="M0 ${height}L${points.join('L')}L${width} ${height}Z" fill="${colour}"/>`);
  }
  parts.push(hutShape({ ...hut, colour: '#060d13' }, width, height));
  return parts.join('\n');
}

/** A contour map: height lines around two summits, a path and one marked hut. */
export function contourMap({ width, height, seed, summit, hut }) {
  const next = random(seed);
  const parts = [`<rect width="${width}" height="${height}" fill="#eee9dc"/>`];
  const waves = Array.from({ length: 7 }, (_, k) => ({
    turns: k + 2,
    phase: next() * 6.3,
    share: (next() * 0.16) / (k + 1.2),
  }));
  const ring = (reach, level) => {
    const points = Array.from({ length: 180 }, (_, i) => {
      const angle = (i / 180) * Math.PI * 2;
      const wobble = waves.reduce(
        (sum, { turns, phase, share }) => sum + share * 2.1 * Math.sin(turns * angle + phase + level * 0.09),
        1,
      );
      const x = summit.x * width + Math.cos(angle) * reach * wobble * 1.18;
      const y = summit.y * height + Math.sin(angle) * reach * wobble;
      return `${x.toFixed(1)} ${y.toFixed(1)}`;
    });
    return `M${points.join('L')}Z`;
  };
  const most = Math.max(width, height) * 1.15;
  const levels = 34;
  for (let k = levels; k > 0; k--) {
    const reach = most * (k / levels) ** 1.12;
    const tint = k < 8 ? `rgba(214,224,221,${0.5 - k * 0.05})` : k > 20 ? 'rgba(132,166,140,.045)' : 'none';
    const strong = k % 5 === 0;
    parts.push(
      `<path d="${ring(reach, k)}" fill="${tint}" stroke="#a0623a" stroke-width="${(strong ? 2.3 : 1.05) * (width / 1200)}" stroke-opacity="${strong ? 0.75 : 0.5}"/>`,
    );
  }
  const s = width / 1200;
  parts.push(
    `<path d="M${-20} ${height * 0.95}C${width * 0.2} ${height * 0.8} ${width * 0.1} ${height * 0.62} ${hut.x * width} ${hut.y * height}S${width * 0.62} ${height * 0.4} ${summit.x * width} ${summit.y * height}" fill="none" stroke="#1f5c54" stroke-width="${4.5 * s}" stroke-dasharray="${15 * s} ${10 * s}" stroke-linecap="round"/>`,
    `<path d="M${summit.x * width} ${summit.y * height - 17 * s}l${15 * s} ${27 * s}h${-30 * s}z" fill="#223"/>`,
    `<circle cx="${hut.x * width}" cy="${hut.y * height}" r="${30 * s}" fill="#c2552d"/><path d="M${hut.x * width - 14 * s} ${hut.y * height + 11 * s}v${-13 * s}l${14 * s} ${-12 * s} ${14 * s} ${12 * s}v${13 * s}z" fill="#fff"/>`,
  );
  return parts.join('\n');
}

/** Planed wood: growth lines that bend around one knot. */
export function woodGrain({ width, height, seed, knot }) {
  const next = random(seed);
  const parts = [
    '<defs><linearGradient id="plank" x2="1" y2=".25"><stop stop-color="#c98f5b"/><stop offset=".5" stop-color="#b97b48"/><stop offset="1" stop-color="#a56a3c"/></linearGradient></defs>',
    `<rect width="${width}" height="${height}" fill="url(#plank)"/>`,
  ];
  const [kx, ky, size] = [knot.x * width, knot.y * height, knot.size * height];
  const slow = Array.from({ length: 4 }, () => ({
    phase: next() * 6,
    length: 500 + next() * 1400,
    reach: 5 + next() * 14,
  }));
  for (let y = -height * 0.2; y < height * 1.2; y += height * 0.0065 * (0.6 + next() * 1.3)) {
    const points = [];
    for (let x = 0; x <= width; x += 12) {
      const bend = slow.reduce(
        (sum, { phase, length, reach }) => sum + reach * Math.sin((x / length) * 6.28 + phase),
        0,
      );
      const near = Math.exp(-(((x - kx) / (size * 2.6)) ** 2));
      const away = y - ky;
      const pushed = Math.sign(away || 1) * near * size * 1.25 * Math.exp(-Math.abs(away) / (size * 2.4));
      points.push(`${x} ${(y + bend + pushed).toFixed(1)}`);
    }
    const dark = next();
    parts.push(
      `<path d="M${points.join('L')}" fill="none" stroke="${dark > 0.8 ? '#5d3417' : '#7d4a24'}" stroke-width="${(0.7 + next() * 2.6).toFixed(2)}" stroke-opacity="${(0.1 + dark * 0.32).toFixed(2)}"/>`,
    );
  }
  for (let k = 9; k > 0; k--) {
    const r = (size * k) / 9;
    parts.push(
      `<ellipse cx="${kx + next() * 4}" cy="${ky + next() * 3}" rx="${r * 1.25}" ry="${r * 0.92}" fill="#6b3d1c" fill-opacity=".16" stroke="#4a2810" stroke-opacity=".5" stroke-width="1.6"/>`,
    );
  }
  return parts.join('\n');
}

/** A week of weather: temperature and snow depth as two calm curves. */
export function weatherCurves({ width, height, seed }) {
  const next = random(seed);
  const parts = [
    '<defs><linearGradient id="air" x2="0" y2="1"><stop stop-color="#173a44"/><stop offset="1" stop-color="#0f2730"/></linearGradient><linearGradient id="snow" x2="0" y2="1"><stop stop-color="#dcebea" stop-opacity=".85"/><stop offset="1" stop-color="#7fb0b3" stop-opacity=".15"/></linearGradient></defs>',
    `<rect width="${width}" height="${height}" fill="url(#air)"/>`,
  ];
  for (let k = 1; k < 7; k++)
    parts.push(
      `<path d="M${(k / 7) * width} 0V${height}" stroke="#fff" stroke-opacity=".09" stroke-width="2"/>`,
    );
  const curve = (level, reach, trend) => {
    const count = 15;
    const points = Array.from({ length: count }, (_, k) => [
      (k / (count - 1)) * width,
      height * (level + trend * (k / count) + (next() - 0.5) * reach + Math.sin(k * 0.9) * reach * 0.5),
    ]);
    return points.slice(1).reduce(
      (path, [x, y], k) => {
        const [px, py] = points[k];
        const mid = (px + x) / 2;
        return `${path}C${mid} ${py} ${mid} ${y} ${x} ${y}`;
      },
      `M${points[0].join(' ')}`,
    );
  };
  const snow = curve(0.78, 0.06, -0.22);
  parts.push(
    `<path d="${snow}L${width} ${height}L0 ${height}Z" fill="url(#snow)"/>`,
    `<path d="${snow}" fill="none" stroke="#e8f3f1" stroke-width="${height * 0.006}"/>`,
    `<path d="${curve(0.34, 0.2, 0.1)}" fill="none" stroke="#e08a52" stroke-width="${height * 0.011}" stroke-linecap="round"/>`,
    `<circle cx="${width * 0.755}" cy="${height * 0.255}" r="${height * 0.026}" fill="#ffd9a8"/>`,
  );
  return parts.join('\n');
}

/** Bread on a dark board, seen from above; one lamp from the upper left. */
export function loaf({ width, height, seed, at }) {
  const next = random(seed);
  const [cx, cy, r] = [at.x * width, at.y * height, height * 0.36];
  const parts = [
    '<defs><radialGradient id="table" cx=".3" cy=".25" r="1"><stop stop-color="#5a4636"/><stop offset="1" stop-color="#241a14"/></radialGradient><radialGradient id="crust" cx=".4" cy=".34" r=".72"><stop stop-color="#e9bd7e"/><stop offset=".55" stop-color="#c07e3e"/><stop offset="1" stop-color="#7a4318"/></radialGradient><filter id="soft"><feGaussianBlur stdDeviation="26"/></filter></defs>',
    `<rect width="${width}" height="${height}" fill="url(#table)"/>`,
    `<ellipse cx="${cx + r * 0.14}" cy="${cy + r * 0.2}" rx="${r * 1.06}" ry="${r * 0.98}" fill="#000" opacity=".5" filter="url(#soft)"/>`,
    `<ellipse cx="${cx}" cy="${cy}" rx="${r}" ry="${r * 0.94}" fill="url(#crust)"/>`,
  ];
  for (let k = -2; k <= 2; k++) {
    const x = cx + k * r * 0.34;
    const half = r * (0.66 - Math.abs(k) * 0.14);
    parts.push(
      `<path d="M${x - r * 0.1} ${cy - half}Q${x + r * 0.16} ${cy} ${x - r * 0.06} ${cy + half}Q${x - r * 0.06} ${cy} ${x - r * 0.1} ${cy - half}Z" fill="#f6dfb4" opacity=".85"/>`,
    );
  }
  for (let k = 0; k < 900; k++) {
    const angle = next() * 6.283;
    const reach = Math.sqrt(next()) * r * (next() > 0.85 ? 1.7 : 0.95);
    parts.push(
      `<circle cx="${cx + Math.cos(angle) * reach}" cy="${cy + Math.sin(angle) * reach * 0.94}" r="${0.8 + next() * 2.2}" fill="#fff6e2" opacity="${next() * 0.5}"/>`,
    );
  }
  return parts.join('\n');
}
