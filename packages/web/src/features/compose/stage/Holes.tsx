import { useAppSelector } from '../../../store/hooks';
import { selectLayout } from '../selectors';
import { areaBox, boxStyle, type StageSpace } from './space';

/** The holes, hatched. */
export function Holes({ space }: { space: StageSpace }) {
  const layout = useAppSelector(selectLayout);
  return (
    <>
      {layout.coverage.holes.map((hole) => (
        <div
          key={`${hole.column}-${hole.row}`}
          data-testid="hole"
          title={`A hole of ${hole.columnSpan} × ${hole.rowSpan} cells`}
          className="hatched pointer-events-none absolute rounded-m outline-1 -outline-offset-1 outline-doubt/50 outline-dashed"
          style={boxStyle(space, areaBox(layout, hole))}
        />
      ))}
    </>
  );
}
