import type { Severity } from '@noria/core';

const SHAPES: Readonly<
  Record<Severity, { readonly path: string; readonly fill: string; readonly word: string }>
> = {
  breaks: { path: 'M0-4.500 5 4.500H-5z', fill: 'var(--amiss)', word: 'breaks the page' },
  wrong: { path: 'M0-5 5 0 0 5-5 0z', fill: 'var(--doubt)', word: 'looks wrong' },
  better: {
    path: 'M-4.500 0a4.500 4.500 0 1 0 9 0a4.500 4.500 0 1 0-9 0z',
    fill: 'var(--hint)',
    word: 'could be better',
  },
};

export const severityFill = (severity: Severity) => SHAPES[severity].fill;
export const severityPath = (severity: Severity) => SHAPES[severity].path;

/** How bad a finding is, told by shape as well as colour. */
export function Sign({ severity, size = 12 }: { severity: Severity; size?: number }) {
  const { path, fill, word } = SHAPES[severity];
  return (
    <svg width={size} height={size} viewBox="-6 -6 12 12" role="img" aria-label={word} className="flex-none">
      <path d={path} fill={fill} />
    </svg>
  );
}
