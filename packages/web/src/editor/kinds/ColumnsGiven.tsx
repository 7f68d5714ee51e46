import { evenColumn } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectFrame, selectLayout } from '../selectors';
import { count, rounded } from '../../ui/words';

/** “Five columns of 234”. */
export function ColumnsGiven({ word }: { readonly word: string }) {
  const { padding, columnGap } = useAppSelector(selectFrame);
  const { inlineSize, columns } = useAppSelector(selectLayout);
  const even = new Set(columns.map(({ size }) => size.toFixed(2))).size === 1;
  const inner = inlineSize - padding.inlineStart - padding.inlineEnd;
  return (
    <>
      {count(columns.length, word)}
      {even && (
        <>
          {' of '}
          <span className="figures">{rounded(evenColumn(inner, columns.length, columnGap))}</span>
        </>
      )}
    </>
  );
}
