import { describe, expect, test } from '@jest/globals';
import { HtmlValidate } from 'html-validate';
import { checkDocument } from '../../check/checkDocument.js';
import { assignArea, paintArea } from '../../edit/commands/areas.js';
import { setLandmark, setLanguage, setPage } from '../../edit/commands/page.js';
import { change } from '../../edit/patch/change.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { hut } from '../../testing/hut.js';
import { sample } from '../../testing/sample.js';
import { writePage } from './writePage.js';
import type { CollectionDocument } from '../../document/types.js';
import type { Command } from '../../edit/patch/change.js';

const plain: CollectionDocument = {
  ...sample([
    [1, 1],
    [1, 1],
    [1, 1],
  ]),
  pictures: { hut },
};
const after = (...commands: Command[]) =>
  commands.reduce<CollectionDocument>((document, command) => change(document, command).document, plain);
const htmlOf = (document: CollectionDocument) => writePage(document, LETTERS).files['index.html'] ?? '';

describe('what a page says of itself', () => {
  test('its title is its own, else the collection’s name; nothing else is said unasked', () => {
    expect(htmlOf(plain)).toContain(`<title>${plain.name}</title>`);
    expect(htmlOf(plain)).not.toMatch(/<meta (name="description"|property)|canonical|rel="icon"/);
    const html = htmlOf(after(setPage({ title: 'Huts & "more"' }), setLanguage('pt-br')));
    expect(html).toContain('<title>Huts &amp; &quot;more&quot;</title>');
    expect(html).toContain('<h1 class="unseen">Huts &amp; &quot;more&quot;</h1>');
    expect(html).toContain('<html lang="pt-BR">');
  });

  test('description, address, icon and the picture that is shared stand in its head, with their files', () => {
    const document = after(
      setPage({
        title: 'Huts',
        description: '"Seven" <huts>',
        address: 'https://example.org/huts/',
        picture: 'hut',
        icon: 'hut',
      }),
    );
    const { files, assets } = writePage(document, LETTERS);
    const html = files['index.html'] ?? '';
    for (const line of [
      '<meta name="description" content="&quot;Seven&quot; &lt;huts&gt;">',
      '<link rel="canonical" href="https://example.org/huts/">',
      '<link rel="icon" href="pictures/hut-320.webp">',
      '<meta property="og:image" content="https://example.org/huts/pictures/hut-1280.webp">',
      '<meta property="og:image:width" content="1280">',
      '<meta property="og:image:height" content="853">',
      '<meta property="og:image:alt" content="A hut &amp; its &quot;window&quot;">',
    ])
      expect(html).toContain(`  ${line}\n`);
    expect(assets.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['pictures/hut-320.webp', 'pictures/hut-1280.webp']),
    );
    expect(
      new HtmlValidate({ extends: ['html-validate:standard'] }).validateStringSync(html).results,
    ).toEqual([]);
    // Without an address the picture is found from the page alone.
    expect(htmlOf(after(setPage({ picture: 'hut' })))).toContain('content="pictures/hut-1280.webp"');
  });

  test('has a main heading that is not seen, unless none is wanted', () => {
    expect(htmlOf(after())).toContain('<h1 class="unseen">');
    const without = after(setPage({ heading: 'none' }));
    expect(without.page).toEqual({ heading: 'none' });
    expect(htmlOf(without)).not.toContain('<h1');
    expect(writePage(without, LETTERS).files['style.css']).not.toContain('.unseen');
    expect(after(setPage({ heading: 'none' }), setPage({ heading: undefined })).page).toBeUndefined();
  });

  test('an area is a landmark by its name or as one says; the page has one main content', () => {
    const areas = (['header', 'content', 'notes'] as const).flatMap((name, k) => [
      paintArea(name, { column: 1, row: k + 1, columnSpan: 1, rowSpan: 1 }, 0, 'all'),
      assignArea([`t${k + 1}`], name, 0, 'all'),
    ]);
    const named = htmlOf(after(...areas));
    expect(named).toMatch(/<header class="stat [\w-]+" data-tile="t1">.*<\/header>/);
    expect(named).toMatch(/<main class="stat [\w-]+" data-tile="t2">/);
    expect(named).toMatch(/<p class="stat [\w-]+" data-tile="t3">/);
    expect(named).toContain('<div class="collection"');
    expect(named.match(/<main/g)).toHaveLength(1);
    expect(
      new HtmlValidate({ extends: ['html-validate:standard'] }).validateStringSync(named).results,
    ).toEqual([]);
    const said = after(...areas, setLandmark('content', 'none'), setLandmark('notes', 'nav'));
    expect(said.page).toEqual({ landmarks: { content: 'none', notes: 'nav' } });
    expect(htmlOf(said)).toMatch(
      /<main class="collection".*<header.*<p class="stat [\w-]+" data-tile="t2">.*<nav/s,
    );
    // What a name says need not be said.
    expect(after(...areas, setLandmark('notes', 'nav'), setLandmark('notes', 'none')).page).toBeUndefined();
  });

  test('what no page has is refused, in commands and in files', () => {
    expect(() => after(setPage({ address: 'huts' }))).toThrow(/such as https:/);
    expect(() => after(setPage({ picture: 'valley' }))).toThrow(/no picture “valley”/);
    expect(() => after(setLanguage('not a tag'))).toThrow(RangeError);
    expect(() => after(setPage({ title: 'a'.repeat(201) }))).toThrow(/at most 200/);
    const broken = {
      ...plain,
      page: { address: 'javascript:x', icon: 'valley', landmarks: { a: 'banner' } },
    };
    expect(checkDocument(broken).problems.map(({ path }) => path)).toEqual([
      '/page/address',
      '/page/landmarks/a',
    ]);
    expect(checkDocument({ ...plain, page: { icon: 'valley' } }).problems.map(({ path }) => path)).toEqual([
      '/page/icon',
    ]);
    const emptied = after(setPage({ title: 'Huts' }), setPage({ title: undefined }));
    expect(emptied).toEqual(plain);
  });
});
