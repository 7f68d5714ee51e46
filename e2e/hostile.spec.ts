import { chromium } from '@playwright/test';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { demo, expect, test, type Application } from './noria';

/** What a page of somebody else’s tries, with all that a browser lets it. */
const ATTACK = (target: string, collection: string) => `<!doctype html><title>Other site</title><body><script>
  const api = '${target}/api/workspaces/huts';
  const tried = [];
  const note = (name, outcome) => tried.push(name + ': ' + outcome);
  const patch = JSON.stringify([{ op: 'replace', path: '/name', value: 'Taken over' }]);
  const paths = ['/collections', '/collections/${collection}', '/pictures', '/films', '/recipes', '/events'];
  async function fetches() {
    for (const mode of ['cors', 'no-cors'])
      for (const method of ['GET', 'POST', 'PATCH', 'DELETE', 'PUT'])
        for (const path of paths)
          for (const type of ['text/plain', 'application/json', 'application/json-patch+json']) {
            const init = { mode, method, headers: { 'Content-Type': type, 'If-Match': '"1"' }, credentials: 'include' };
            if (method !== 'GET') init.body = method === 'POST' ? '{"name":"Planted"}' : patch;
            try {
              const answer = await fetch(api + path, init);
              if (answer.type !== 'opaque') note(mode + ' ' + method + ' ' + path, answer.status);
            } catch {}
          }
    const form = new FormData();
    form.append('picture', new Blob(['<svg xmlns="http://www.w3.org/2000/svg"><circle r="9"/></svg>']), 'planted.svg');
    await fetch(api + '/pictures', { method: 'POST', mode: 'no-cors', body: form }).catch(() => 0);
    navigator.sendBeacon(api + '/collections', new Blob(['{"name":"Planted"}'], { type: 'text/plain' }));
  }
  function forms() {
    const frame = document.body.appendChild(Object.assign(document.createElement('iframe'), { name: 'sink' }));
    for (const enctype of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
      for (const path of paths) {
        const form = Object.assign(document.createElement('form'), { method: 'post', action: api + path, target: 'sink', enctype });
        form.append(Object.assign(document.createElement('input'), { name: '{"name":"Planted","x":"', value: '"}' }));
        document.body.append(form);
        form.submit();
      }
    return frame;
  }
  const loaded = (element) => new Promise((resolve) => {
    element.onload = () => resolve('loaded');
    element.onerror = () => resolve('refused');
    setTimeout(() => resolve('nothing'), 3000);
  });
  async function elements() {
    for (const [tag, key] of [['img', 'src'], ['script', 'src'], ['link', 'href'], ['video', 'src'], ['embed', 'src'], ['object', 'data']]) {
      const element = document.createElement(tag);
      if (tag === 'link') element.rel = 'stylesheet';
      element[key] = api + '/collections';
      const done = loaded(element);
      document.body.append(element);
      note(tag, await done);
    }
    const frame = document.createElement('iframe');
    frame.src = '${target}/collections/${collection}/compose';
    const done = loaded(frame);
    document.body.append(frame);
    await done;
    try { note('frame', frame.contentDocument ? frame.contentDocument.body.innerText.slice(0, 40) || 'empty' : 'closed'); } catch { note('frame', 'closed'); }
  }
  const sockets = () => Promise.all([
    new Promise((resolve) => {
      const socket = new WebSocket('${target}'.replace('http', 'ws') + '/api/workspaces/huts/events');
      socket.onopen = () => { note('socket', 'open'); resolve(); };
      socket.onerror = resolve;
    }),
    new Promise((resolve) => {
      const source = new EventSource(api + '/events', { withCredentials: true });
      source.onopen = () => { note('events', 'open'); resolve(); };
      source.onerror = () => { source.close(); resolve(); };
    }),
  ]);
  window.attack = (async () => { await fetches(); forms(); await elements(); await sockets(); await new Promise((r) => setTimeout(r, 800)); return tried; })();
</script>`;

/** What of the workspace a request could have changed. */
async function everything(application: Application): Promise<unknown> {
  return application.query(
    `SELECT (SELECT json_agg(json_build_array(id, name, revision) ORDER BY id) FROM collection) AS collections,
            (SELECT json_agg(hash ORDER BY hash) FROM picture) AS pictures,
            (SELECT count(*) FROM film) AS films, (SELECT count(*) FROM collection_revision) AS revisions`,
  );
}

const listen = (server: Server) =>
  new Promise<number>((resolve) => {
    server.listen(0, '127.0.0.1', () => resolve((server.address() as AddressInfo).port));
  });

test('a page of another site changes nothing and reads nothing, by whatever way', async ({
  application,
  collection,
}) => {
  await demo('winter-at-the-huts');
  const site = createServer((_, response) => {
    response.setHeader('Content-Type', 'text/html');
    response.end(ATTACK(application.url, collection));
  });
  const port = await listen(site);
  const before = await everything(application);
  const noriaPort = new URL(application.url).port;
  // Names of the attacker’s that are made to point at this machine, at once or after a while.
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      ...['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
      '--host-resolver-rules=MAP *.example 127.0.0.1',
    ],
  });
  try {
    for (const host of ['other.example', 'localhost', '127.0.0.1']) {
      const page = await browser.newPage();
      await page.goto(`http://${host}:${port}/`);
      const tried = await page.evaluate(() => (window as unknown as { attack: Promise<string[]> }).attack);
      // Nothing could be read: what was answered at all was a refusal that the page does not even see.
      // (An embedded refusal counts as loaded, as a frame does; it shows nothing.)
      const got = tried.filter((each) => /: (200|201|204|open|loaded)$/.test(each));
      expect(got.filter((each) => !/^(embed|object): loaded$/.test(each))).toEqual([]);
      expect(tried.filter((each) => each.startsWith('frame'))).toEqual(['frame: closed']);
      await page.close();
    }
    const rebound = await browser.newPage();
    await rebound.goto(`http://rebound.example:${noriaPort}/`);
    const answers = await rebound.evaluate(async (id) => {
      const own = `/api/workspaces/huts/collections/${id}`;
      const body = JSON.stringify([{ op: 'replace', path: '/name', value: 'Taken over' }]);
      const headers = { 'Content-Type': 'application/json-patch+json', 'If-Match': '"1"' };
      const all = await Promise.all([
        fetch(own),
        fetch(own, { method: 'PATCH', headers, body }),
        fetch(own, { method: 'DELETE', headers }),
        fetch('/api/workspaces/huts/events'),
        fetch('/'),
      ]);
      return all.map(({ status }) => status);
    }, collection);
    expect(answers).toEqual([403, 403, 403, 403, 403]);
    // A link to a view may be followed from anywhere.
    const visitor = await browser.newPage();
    await visitor.goto(`http://other.example:${port}/`);
    await visitor.evaluate((address) => {
      window.location.href = address;
    }, `${application.url}/`);
    await expect(visitor.getByRole('heading', { name: 'Collections' })).toBeVisible();
  } finally {
    await browser.close();
    site.close();
  }
  expect(await everything(application)).toEqual(before);
});
