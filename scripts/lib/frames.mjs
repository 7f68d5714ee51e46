/** Has a page note its frame times and its tasks over 50 ms from now on. */
export const watchFrames = (page) =>
  page.evaluate(() => {
    const seen = { frames: [], long: [] };
    window.seen = seen;
    let last = performance.now();
    const frame = (now) => {
      seen.frames.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    new PerformanceObserver((list) =>
      seen.long.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({ entryTypes: ['longtask'] });
  });

/** What it noted: frame times by share of frames, ms, and the long tasks. */
export async function framesSeen(page) {
  const { frames, long } = await page.evaluate(() => window.seen);
  const sorted = frames.toSorted((a, b) => a - b);
  return {
    count: frames.length,
    at: (share) => sorted[Math.floor((sorted.length - 1) * share)].toFixed(1),
    long: long.map(Math.round),
  };
}
