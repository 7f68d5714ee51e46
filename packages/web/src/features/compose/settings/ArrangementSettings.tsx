import {
  carryArrangement,
  isSetHere,
  LIMITS,
  setArrangement,
  setCollectionLook,
  setColumnCount,
  type ArrangementValues,
  type BentoArrangement,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { ColourField } from '../../../ui/ColourField';
import { NumberField } from '../../../ui/NumberField';
import { Question, Row } from '../../../ui/Rows';
import { Segments } from '../../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';
import { SetForRow } from './SetForRow';

/** What holds for the grid as a whole. */
export function ArrangementSettings() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectView);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const set = (name: string, values: Partial<ArrangementValues>) =>
    dispatch(runHere(name, setArrangement(values, index, setFor)));
  const carried = (...of: (keyof ArrangementValues)[]) => ({
    setHere: of.some((value) => isSetHere(document, index, { of: value })),
    onCarry: () => dispatch(runHere('Carry', carryArrangement(index, of))),
  });
  const { padding } = arrangement;
  const across = padding.inlineStart === padding.inlineEnd ? padding.inlineStart : null;
  const down = padding.blockStart === padding.blockEnd ? padding.blockStart : null;
  const setPadding = (sides: Partial<BentoArrangement['padding']>) =>
    set('Padding', { padding: { ...padding, ...sides } });

  return (
    <>
      <Question title="How is the grid cut?">
        <SetForRow />
        <Row label="Columns" {...carried('columns')}>
          <NumberField
            name="Columns"
            value={arrangement.columns.length}
            least={1}
            most={LIMITS.columns}
            unit="even shares are added"
            onSet={(count) => dispatch(runHere('Columns', setColumnCount(count, index, setFor)))}
          />
        </Row>
        <Row label="Auto rows" {...carried('autoRows', 'rows')}>
          <NumberField
            name="Auto rows"
            value={Number.parseFloat(arrangement.autoRows)}
            least={1}
            most={LIMITS.track}
            unit="px"
            onSet={(px) => set('Auto rows', { autoRows: `${px}px` })}
          />
        </Row>
        <Row label="Flow" {...carried('flow')}>
          <Segments
            name="Flow"
            value={arrangement.flow}
            choices={[
              { value: 'dense', label: 'Dense' },
              { value: 'sparse', label: 'Sparse' },
            ]}
            onChoose={(flow) => set('Flow', { flow })}
          />
        </Row>
      </Question>
      <Question title="How much air is there?">
        <Row label="Gap" {...carried('columnGap', 'rowGap')}>
          <div className="grid grid-cols-2 gap-1.5">
            <NumberField
              name="Column gap"
              value={arrangement.columnGap}
              least={0}
              most={LIMITS.gap}
              unit="columns"
              onSet={(columnGap) => set('Gap', { columnGap })}
            />
            <NumberField
              name="Row gap"
              value={arrangement.rowGap}
              least={0}
              most={LIMITS.gap}
              unit="rows"
              onSet={(rowGap) => set('Gap', { rowGap })}
            />
          </div>
        </Row>
        <Row label="Padding" {...carried('padding')}>
          <div className="grid grid-cols-2 gap-1.5">
            <NumberField
              name="Padding across"
              value={across}
              least={0}
              most={LIMITS.padding}
              unit="across"
              onSet={(px) => setPadding({ inlineStart: px, inlineEnd: px })}
            />
            <NumberField
              name="Padding down"
              value={down}
              least={0}
              most={LIMITS.padding}
              unit="down"
              onSet={(px) => setPadding({ blockStart: px, blockEnd: px })}
            />
          </div>
        </Row>
        <Row label="Width" {...carried('maxInlineSize')}>
          <div className="grid grid-cols-2 gap-1.5">
            <Segments
              name="Width"
              value={arrangement.maxInlineSize === null ? 'full' : 'most'}
              choices={[
                { value: 'full', label: 'Full' },
                { value: 'most', label: 'Centred' },
              ]}
              onChoose={(value) => set('Width', { maxInlineSize: value === 'full' ? null : 1440 })}
            />
            {arrangement.maxInlineSize !== null && (
              <NumberField
                name="Maximum width"
                value={arrangement.maxInlineSize}
                least={LIMITS.narrowest}
                most={10_000}
                unit="px"
                onSet={(maxInlineSize) => set('Width', { maxInlineSize })}
              />
            )}
          </div>
        </Row>
      </Question>
      <Question title="How does it look?">
        <Row label="Ground">
          <ColourField
            name="Ground"
            value={document.look.ground}
            onSet={(ground) => dispatch(runHere('Ground', setCollectionLook({ ground }), 'ground'))}
          />
        </Row>
        <Row label="Radius">
          <NumberField
            name="Radius"
            value={document.look.radius}
            least={0}
            most={LIMITS.radius}
            unit="px"
            onSet={(radius) => dispatch(runHere('Radius', setCollectionLook({ radius })))}
          />
        </Row>
        <Row label="Type">
          <div className="grid grid-cols-2 gap-1.5">
            <NumberField
              name="Heading size"
              value={document.look.headingSize}
              {...typeSize}
              unit="heading"
              onSet={(headingSize) => dispatch(runHere('Type', setCollectionLook({ headingSize })))}
            />
            <NumberField
              name="Body size"
              value={document.look.bodySize}
              {...typeSize}
              unit="body"
              onSet={(bodySize) => dispatch(runHere('Type', setCollectionLook({ bodySize })))}
            />
          </div>
        </Row>
      </Question>
    </>
  );
}

const typeSize = { least: LIMITS.typeSize.least, most: LIMITS.typeSize.most, whole: false };
