import { mediaOf } from '../../document/card.js';
import { selectorsBefore } from '../../arrangements/questions.js';
import { allTiles } from '../../document/levels.js';
import { ruleCss, tileSelector } from '../../engine/css/rule.js';
import type { CollectionDocument, Motion } from '../../document/types.js';

const ENTRANCES: Readonly<Record<Exclude<Motion['entrance'], 'none'>, string>> = {
  fade: 'opacity: 0;',
  rise: 'opacity: 0;\n    translate: 0 24px;',
  grow: 'opacity: 0;\n    scale: 0.94;',
};

const HOVERS: Readonly<Record<Exclude<Motion['hover'], 'none'>, Readonly<Record<string, string>>>> = {
  lift: { translate: '0 -4px' },
  zoom: { scale: '1.02' },
};

/**
 * How tiles come in and answer to pointing, for those who did not ask for less motion. Delays follow
 * the order of the source by themselves where the browser can count siblings.
 */
export function motionCss(document: CollectionDocument): string[] {
  const ids = (of: 'entrance' | 'hover', kind: string) =>
    allTiles(document).filter((id) => document.tiles[id]?.motion?.[of] === kind);
  const entrances = (Object.keys(ENTRANCES) as (keyof typeof ENTRANCES)[]).filter(
    (kind) => ids('entrance', kind).length > 0,
  );
  const hovers = (Object.keys(HOVERS) as (keyof typeof HOVERS)[]).filter(
    (kind) => ids('hover', kind).length > 0,
  );
  const before = selectorsBefore(document);
  const paired = entrances
    .flatMap((kind) => ids('entrance', kind))
    .filter((id) => (before.get(id) ?? []).length > 0);
  const rules = [
    ...entrances.map((kind) =>
      ruleCss({
        selector: ids('entrance', kind).map(tileSelector).join(',\n'),
        declarations: {
          animation: `${kind} 480ms cubic-bezier(0.2, 0.7, 0.3, 1) backwards`,
          'animation-delay': 'calc(sibling-index() * 55ms)',
        },
      }),
    ),
    // There every other sibling is what comes before a tile.
    ruleCss({
      selector: paired.map(tileSelector).join(',\n'),
      declarations: paired.length > 0 ? { 'animation-delay': 'calc(sibling-index() / 2 * 55ms)' } : {},
    }),
    ...hovers.flatMap((kind) => {
      const selectors = ids('hover', kind).map(tileSelector);
      return [
        ruleCss({
          selector: selectors.join(',\n'),
          declarations: { transition: 'translate 160ms ease-out, scale 160ms ease-out' },
        }),
        ruleCss({
          selector: selectors.map((selector) => `${selector}:is(:hover, :focus-within)`).join(',\n'),
          declarations: HOVERS[kind],
        }),
      ];
    }),
  ].filter(Boolean);
  const films = allTiles(document).filter((id) => {
    const tile = document.tiles[id];
    const media = tile && mediaOf(tile);
    return (
      media &&
      'film' in media &&
      media.film !== null &&
      media.playback === 'automatic' &&
      media.poster !== null
    );
  });
  return [
    ...(rules.length > 0
      ? [`@media (prefers-reduced-motion: no-preference) {\n${rules.join('\n').replace(/^(?=.)/gm, '  ')}\n}`]
      : []),
    ...entrances.map((kind) => `@keyframes ${kind} {\n  from {\n    ${ENTRANCES[kind]}\n  }\n}`),
    ...(films.length > 0
      ? [
          `@media (prefers-reduced-motion: reduce) {\n${ruleCss({
            selector: films.map((id) => `${tileSelector(id)} > video`).join(',\n'),
            declarations: { visibility: 'hidden' },
          }).replace(/^(?=.)/gm, '  ')}\n}`,
        ]
      : []),
  ];
}
