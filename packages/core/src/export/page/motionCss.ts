import { mediaOf } from '../../document/card.js';
import { selectorsBefore } from '../../arrangements/questions.js';
import { allTiles } from '../../document/levels.js';
import { ruleCss, tileSelector } from '../../engine/css/rule.js';
import type { CollectionDocument, Motion } from '../../document/types.js';

const OPENS: Readonly<Record<Exclude<Motion['opens'], 'none'>, string>> = {
  fade: 'opacity: 0;',
  rise: 'opacity: 0;\n    translate: 0 24px;',
  grow: 'opacity: 0;\n    scale: 0.94;',
};

const POINTS: Readonly<Record<Exclude<Motion['points'], 'none'>, Readonly<Record<string, string>>>> = {
  lift: { translate: '0 -4px' },
  near: { scale: '1.02' },
};

/**
 * How tiles come in and answer to pointing, for those who did not ask for less motion. Delays follow
 * the order of the source by themselves where the browser can count siblings.
 */
export function motionCss(document: CollectionDocument): string[] {
  const ids = (of: 'opens' | 'points', kind: string) =>
    allTiles(document).filter((id) => document.tiles[id]?.motion?.[of] === kind);
  const opens = (Object.keys(OPENS) as (keyof typeof OPENS)[]).filter(
    (kind) => ids('opens', kind).length > 0,
  );
  const points = (Object.keys(POINTS) as (keyof typeof POINTS)[]).filter(
    (kind) => ids('points', kind).length > 0,
  );
  const before = selectorsBefore(document);
  const paired = opens
    .flatMap((kind) => ids('opens', kind))
    .filter((id) => (before.get(id) ?? []).length > 0);
  const rules = [
    ...opens.map((kind) =>
      ruleCss({
        selector: ids('opens', kind).map(tileSelector).join(',\n'),
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
    ...points.flatMap((kind) => {
      const selectors = ids('points', kind).map(tileSelector);
      return [
        ruleCss({
          selector: selectors.join(',\n'),
          declarations: { transition: 'translate 160ms ease-out, scale 160ms ease-out' },
        }),
        ruleCss({
          selector: selectors.map((selector) => `${selector}:is(:hover, :focus-within)`).join(',\n'),
          declarations: POINTS[kind],
        }),
      ];
    }),
  ].filter(Boolean);
  const films = allTiles(document).filter((id) => {
    const tile = document.tiles[id];
    const media = tile && mediaOf(tile);
    return (
      media && 'film' in media && media.film !== null && media.plays === 'itself' && media.poster !== null
    );
  });
  return [
    ...(rules.length > 0
      ? [`@media (prefers-reduced-motion: no-preference) {\n${rules.join('\n').replace(/^(?=.)/gm, '  ')}\n}`]
      : []),
    ...opens.map((kind) => `@keyframes ${kind} {\n  from {\n    ${OPENS[kind]}\n  }\n}`),
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
