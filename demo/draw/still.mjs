import { random } from './random.mjs';

/** Firewood from its ends: round logs, each with its rings, one of them freshly cut. */
export function firewood({ width, height, seed, fresh }) {
  const next = random(seed);
  const parts = [`<rect width="${width}" height="${height}" fill="#241a14"/>`];
  const step = height / 8.4;
  const browns = ['#b98753', '#a8753f', '#c99a66', '#93643a', '#d2a878'];
  const logs = [];
  for (let row = -1; row < 11; row++)
    for (let k = -1; k * step < width + step; k++)
      logs.push([(k + (row % 2 ? 0.5 : 0)) * step + (next() - 0.5) * step * 0.16, row * step * 0.88, next()]);
  const [fx, fy] = [fresh.x * width, fresh.y * height];
  const far = ([x, y]) => Math.hypot(x - fx, y - fy);
  const chosen = logs.reduce((best, log) => (far(log) < far(best) ? log : best));
  for (const log of logs) {
    const [x, y, chance] = log;
    const r = step * (0.42 + chance * 0.11);
    const isFresh = log === chosen;
    const fill = isFresh ? '#f2d7a6' : browns[Math.floor(next() * browns.length)];
    parts.push(
      `<circle cx="${x}" cy="${y}" r="${r * 1.06}" fill="#4a3322"/>`,
      `<circle cx="${x}" cy="${y}" r="${r * 0.94}" fill="${fill}"/>`,
    );
    const [ox, oy] = [(next() - 0.5) * r * 0.3, (next() - 0.5) * r * 0.3];
    for (let ring = 1; ring < 7; ring++)
      parts.push(
        `<circle cx="${x + ox * (1 - ring / 7)}" cy="${y + oy * (1 - ring / 7)}" r="${(r * 0.9 * ring) / 7}" fill="none" stroke="#5c3b1d" stroke-opacity="${isFresh ? 0.42 : 0.26}" stroke-width="${height * 0.0022}"/>`,
      );
    const angle = next() * 6.283;
    parts.push(
      `<path d="M${x + ox} ${y + oy}L${x + Math.cos(angle) * r * 0.86} ${y + Math.sin(angle) * r * 0.86}" stroke="#3b2716" stroke-opacity=".55" stroke-width="${height * 0.003}"/>`,
    );
  }
  return parts.join('\n');
}

/** A bowl of soup on dark boards, seen from above, with a spoon. */
export function soupBowl({ width, height, seed, at }) {
  const next = random(seed);
  const [cx, cy, r] = [at.x * width, at.y * height, height * 0.3];
  const parts = [
    '<defs><radialGradient id="soup" cx=".4" cy=".36" r=".8"><stop stop-color="#f3b45c"/><stop offset=".6" stop-color="#de8230"/><stop offset="1" stop-color="#a85518"/></radialGradient><filter id="blur"><feGaussianBlur stdDeviation="22"/></filter></defs>',
    `<rect width="${width}" height="${height}" fill="#2e3a3a"/>`,
  ];
  for (let y = 0; y < height; y += height / 7)
    parts.push(
      `<rect y="${y}" width="${width}" height="${height / 7 - 5}" fill="#${['34423f', '2f3c3b', '394845'][Math.floor(next() * 3)]}"/>`,
    );
  parts.push(
    `<ellipse cx="${cx + r * 0.12}" cy="${cy + r * 0.18}" rx="${r * 1.3}" ry="${r * 1.26}" fill="#000" opacity=".45" filter="url(#blur)"/>`,
    `<circle cx="${cx}" cy="${cy}" r="${r * 1.24}" fill="#dfe6e2"/>`,
    `<circle cx="${cx}" cy="${cy}" r="${r * 1.1}" fill="#b9c7c3"/>`,
    `<circle cx="${cx}" cy="${cy}" r="${r}" fill="url(#soup)"/>`,
  );
  for (let k = 0; k < 46; k++) {
    const [angle, reach] = [next() * 6.283, Math.sqrt(next()) * r * 0.86];
    parts.push(
      `<ellipse cx="${cx + Math.cos(angle) * reach}" cy="${cy + Math.sin(angle) * reach}" rx="${4 + next() * 13}" ry="${3 + next() * 6}" fill="${next() > 0.4 ? '#5f8a4a' : '#fbe2ae'}" opacity=".85" transform="rotate(${next() * 180} ${cx + Math.cos(angle) * reach} ${cy + Math.sin(angle) * reach})"/>`,
    );
  }
  const sx = cx - r * 1.68;
  parts.push(
    `<rect x="${sx - r * 0.05}" y="${cy - r * 0.3}" width="${r * 0.1}" height="${r * 1.3}" rx="${r * 0.05}" fill="#c9b892"/>`,
    `<ellipse cx="${sx}" cy="${cy - r * 0.52}" rx="${r * 0.2}" ry="${r * 0.32}" fill="#d8c9a4"/>`,
  );
  return parts.join('\n');
}

/** One snow crystal on dark wool. */
export function snowCrystal({ width, height, seed, at }) {
  const next = random(seed);
  const [cx, cy, r] = [at.x * width, at.y * height, height * 0.36];
  const parts = [
    '<defs><radialGradient id="wool" cx=".46" cy=".48" r=".8"><stop stop-color="#2f5674"/><stop offset="1" stop-color="#122536"/></radialGradient></defs>',
    `<rect width="${width}" height="${height}" fill="url(#wool)"/>`,
  ];
  for (let k = 0; k < 1500; k++) {
    const [x, y, angle] = [next() * width, next() * height, next() * 6.283];
    parts.push(
      `<path d="M${x} ${y}q${Math.cos(angle) * 14} ${Math.sin(angle) * 14} ${Math.cos(angle + 1) * 26} ${Math.sin(angle + 1) * 26}" fill="none" stroke="#9fc1d8" stroke-opacity="${0.04 + next() * 0.1}" stroke-width="2"/>`,
    );
  }
  const sides = Array.from({ length: 5 }, (_, k) => ({
    at: 0.24 + k * 0.16,
    reach: (0.4 - k * 0.055) * (0.7 + next() * 0.5),
  }));
  for (let arm = 0; arm < 6; arm++) {
    const twigs = sides
      .map(({ at: share, reach }) => {
        const y = -r * share;
        const [dx, dy] = [r * reach * 0.62, -r * reach * 0.46];
        return `M0 ${y}L${dx} ${y + dy}M0 ${y}L${-dx} ${y + dy}`;
      })
      .join('');
    parts.push(
      `<g transform="translate(${cx} ${cy}) rotate(${arm * 60})" fill="none" stroke="#f1f8fc" stroke-linecap="round"><path d="M0 0L0 ${-r}" stroke-width="${r * 0.034}"/><path d="${twigs}" stroke-width="${r * 0.022}"/></g>`,
    );
  }
  parts.push(`<circle cx="${cx}" cy="${cy}" r="${r * 0.1}" fill="#f1f8fc"/>`);
  return parts.join('\n');
}

/** A trail mark: three painted bars on a rock. */
export function trailMark({ width, height, seed, at }) {
  const next = random(seed);
  const parts = [`<rect width="${width}" height="${height}" fill="#8e9390"/>`];
  for (let k = 0; k < 260; k++) {
    const [x, y, r] = [next() * width, next() * height, 10 + next() ** 3 * 150];
    parts.push(
      `<ellipse cx="${x}" cy="${y}" rx="${r}" ry="${r * (0.3 + next() * 0.5)}" fill="${next() > 0.5 ? '#a7aca8' : '#737977'}" opacity="${0.06 + next() * 0.16}" transform="rotate(${next() * 60 - 30} ${x} ${y})"/>`,
    );
  }
  for (let k = 0; k < 40; k++)
    parts.push(
      `<circle cx="${next() * width}" cy="${next() * height}" r="${4 + next() * 26}" fill="${next() > 0.5 ? '#b9b56c' : '#5e6a4e'}" opacity=".35"/>`,
    );
  const [cx, cy, w, h] = [at.x * width, at.y * height, width * 0.34, height * 0.075];
  ['#f3efe4', '#c2552d', '#f3efe4'].forEach((colour, k) => {
    const y = cy + (k - 1.5) * h;
    const edge = () => (next() - 0.5) * h * 0.18;
    parts.push(
      `<path d="M${cx - w / 2 + edge()} ${y + edge()}L${cx + w / 2 + edge()} ${y + edge()}L${cx + w / 2 + edge()} ${y + h}L${cx - w / 2 + edge()} ${y + h}Z" fill="${colour}" opacity=".94"/>`,
    );
  });
  return parts.join('\n');
}
