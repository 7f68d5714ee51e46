import { test } from '@playwright/test';
import { writeHtml } from '/work/main/e2e/witness/pageModel';
import { randomPage as rp, randomLanes } from '/work/main/e2e/witness/randomPage';
const randomPage = process.env.LANES ? randomLanes : rp;
if (process.env.LANES) test.use({ launchOptions: { executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--disable-background-networking','--enable-blink-features=CSSGridLanesLayout'] } });
import { browserBoxes, coreBoxes, differences, NO_WORDS, prepareFrame, shrink } from '/work/main/e2e/witness/witness';
const N = Number(process.env.N ?? 500), S = Number(process.env.S ?? 1), SHRINK = Number(process.env.SHRINK ?? 8);
test('w', async ({ page }) => {
  test.setTimeout(3000000);
  await prepareFrame(page);
  const widths = [320, 611, 900, 1280];
  let bad = 0, tb = 0, tc = 0; const failing = [];
  for (let s = S; s < S + N; s += 50) {
    const nodes = Array.from({ length: Math.min(50, S + N - s) }, (_, k) => randomPage(s + k));
    const pages = nodes.map(writeHtml);
    let t = performance.now();
    const browser = await browserBoxes(page, pages, widths); tb += performance.now() - t;
    t = performance.now();
    pages.forEach((html, k) => {
      try {
        const d = differences(browser[k], coreBoxes(html, widths, NO_WORDS), widths);
        if (d.length) { bad++; failing.push([s + k, nodes[k]]); }
      } catch (e) { bad++; console.log('seed', s + k, 'threw', String(e.stack).slice(0, 300)); }
    });
    tc += performance.now() - t;
  }
  console.log(`${bad} of ${N} pages differ; browser ${tb | 0} ms, core ${tc | 0} ms`);
  for (const [seed, node] of failing.slice(0, SHRINK)) {
    const small = await shrink(page, node, widths, NO_WORDS);
    const html = writeHtml(small);
    const d = differences((await browserBoxes(page, [html], widths))[0], coreBoxes(html, widths, NO_WORDS), widths);
    console.log('--- seed', seed, '\n' + html.slice(html.indexOf('body {') + 18), d.slice(0, 4).map((x) => `${x.width} ${x.tile} browser ${x.browser?.map((v) => v.toFixed(1))} core ${x.core?.map((v) => v.toFixed(1))}`).join('\n'));
  }
});
