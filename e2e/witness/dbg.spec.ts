import { test } from '@playwright/test';
import { readFileSync } from 'node:fs';
test('d', async ({ page }) => {
  for (const f of (process.env.F ?? '').split(',')) {
    await page.setViewportSize({ width: 900, height: 800 });
    await page.setContent(readFileSync(f, 'utf8'));
    console.log(await page.evaluate(() => [...document.querySelectorAll('[data-grid]')].map((g) => { const s = getComputedStyle(g); const r = g.getBoundingClientRect(); return `${g.className} ${r.width}x${r.height} cols ${s.gridTemplateColumns} rows ${s.gridTemplateRows}`; }).join('\n') + '\n' + [...document.querySelectorAll('[data-tile]')].map((g) => { const r = g.getBoundingClientRect(); return `${g.dataset.tile} ${r.x},${r.y} ${r.width}x${r.height}`; }).join('\n')));
  }
});
