import {
  inheritArrangement,
  isSetHere,
  setArrangement,
  bringing,
  setCollectionLook,
  setEnlarges,
  setLook,
  type ArrangementValues,
  type CollectionLook,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { NamedColour } from '../looks/NamedColour';
import { NamedMeasure } from '../looks/NamedMeasure';
import { FamilyField } from '../looks/FamilyField';
import { TypeSizeFields } from '../looks/TypeSizeFields';
import { shown } from '../editorSlice';
import { Column, Columns, Row, Section } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { ARRANGEMENT, COLLECTION, LOOK } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectLayout, selectLevel, selectSetFor, selectView } from '../selectors';
import { DesignField } from './DesignField';
import { GapRows } from './GapRows';
import { Areas } from './Areas';
import { HeightRow } from './HeightRow';
import { ChoiceRow } from './ChoiceRow';
import { SetLength } from './SetLength';
import { interfaceOf } from '../kinds';
import { KindStrip } from '../kinds/KindStrip';
import { useBandTypeSize } from './useBandTypeSize';

/** What holds for the grid as a whole, or for the grid of the group that one is in. */
export function ArrangementSettings() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectView);
  const level = useAppSelector(selectLevel);
  const layout = useAppSelector(selectLayout);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const set = (name: string, values: Partial<ArrangementValues>) =>
    dispatch(runHere(name, setArrangement(values, index, setFor)));
  const inherited = (...of: (keyof ArrangementValues)[]) => ({
    setHere: of.some((value) => isSetHere(document, index, { of: value })),
    onInherit: () => dispatch(runHere('Inherit', inheritArrangement(index, of))),
  });
  // What only this kind has.
  const { Settings: OfKind, hasAreas } = interfaceOf(arrangement);
  const group = level === null ? undefined : document.tiles[level];

  return (
    <Columns>
      <Column>
        <Section title="Arrangement">
          <KindStrip {...inherited('kind')} />
          <DesignField />
          <OfKind inherited={inherited} />
        </Section>
        <Section title="Space and size">
          <GapRows inherited={inherited} />
          <HeightRow inherited={inherited('height')} />
          <Row
            label="Width"
            help="Full, or limited and centred; the padding is part of it"
            {...inherited('maxInlineSize')}
          >
            <div className="grid grid-cols-2 gap-1.5">
              <Segments
                value={arrangement.maxInlineSize === null ? 'full' : 'most'}
                choices={[
                  { value: 'full', label: 'Full' },
                  { value: 'most', label: 'Limited' },
                ]}
                onChoose={(value) =>
                  set(ARRANGEMENT.maxInlineSize.label, { maxInlineSize: value === 'full' ? null : 1200 })
                }
              />
              {arrangement.maxInlineSize !== null && (
                <SetLength
                  shares
                  field={ARRANGEMENT.maxInlineSize}
                  value={arrangement.maxInlineSize}
                  basis={layout.inlineSize}
                  command={(maxInlineSize) => setArrangement({ maxInlineSize }, index, setFor)}
                />
              )}
              {arrangement.maxInlineSize !== null && (
                <p className="col-span-2 text-sm text-soft">Padding is part of it.</p>
              )}
            </div>
          </Row>
          {!group && (
            <Row label="Page">
              <Button className="justify-self-start" onClick={() => dispatch(shown('skeletons'))}>
                Page skeletons…
              </Button>
            </Row>
          )}
        </Section>
      </Column>
      <Column>
        {hasAreas && <Areas />}
        <Section title="Look">
          <Row label={COLLECTION.background.label}>
            {group ? (
              typeof group.look.fill === 'string' && group.look.fill !== 'none' ? (
                <NamedColour
                  name={COLLECTION.background.label}
                  value={group.look.fill}
                  onSet={(fill, key) =>
                    dispatch(runHere(LOOK.fill.label, setLook([group.id], { fill }), key ?? null))
                  }
                />
              ) : (
                <span className="text-sm text-soft">as the fill of the group</span>
              )
            ) : (
              <NamedColour
                name={COLLECTION.background.label}
                value={document.look.background}
                onSet={(background, key) =>
                  dispatch(
                    runHere(COLLECTION.background.label, setCollectionLook({ background }), key ?? null),
                  )
                }
              />
            )}
          </Row>
          {!group && <Looks />}
        </Section>
      </Column>
    </Columns>
  );
}

/** Values of the whole collection’s look. */
function Looks() {
  const dispatch = useAppDispatch();
  const { look, namedLooks = {}, enlarges } = useAppSelector(selectView);
  const set = (step: string, values: Partial<CollectionLook>) =>
    dispatch(runHere(step, setCollectionLook(values)));
  const names = Object.keys(namedLooks).length;
  const sizes = [
    ['headingSize', useBandTypeSize('headingSize')],
    ['bodySize', useBandTypeSize('bodySize')],
  ] as const;
  return (
    <>
      {(['radius', 'tilePadding'] as const).map((of) => (
        <Row key={of} label={COLLECTION[of].label}>
          <NamedMeasure
            field={COLLECTION[of]}
            kind={of === 'radius' ? 'radius' : 'space'}
            value={look[of]}
            command={(px) => setCollectionLook({ [of]: px })}
            onSet={(px) => set(COLLECTION[of].label, { [of]: px })}
          />
        </Row>
      ))}
      {(['headingFamily', 'bodyFamily'] as const).map((of) => (
        <Row key={of} label={COLLECTION[of].label}>
          <FamilyField
            value={look[of]}
            onChoose={(name, own) => {
              const chosen = setCollectionLook({ [of]: name });
              dispatch(runHere(COLLECTION[of].label, own ? bringing(own, chosen) : chosen));
            }}
          />
        </Row>
      ))}
      {sizes.map(([of, sizes]) => (
        <TypeSizeFields
          key={of}
          field={COLLECTION[of]}
          value={sizes.value ?? look[of]}
          command={sizes.command}
          onSet={(size) => sizes.set(COLLECTION[of].label, size)}
          setHere={sizes.setHere}
          onInherit={sizes.inherit}
        />
      ))}
      <Row label="Styles">
        <div className="flex flex-wrap gap-1.5">
          <Button onClick={() => dispatch(shown('looks'))}>Named looks{names > 0 && ` (${names})`}</Button>
          <Button onClick={() => dispatch(shown('recipes'))}>Recipes</Button>
        </div>
      </Row>
      <ChoiceRow
        field={COLLECTION.enlarges}
        value={enlarges ?? 'some'}
        onChoose={(value) =>
          dispatch(runHere(COLLECTION.enlarges.label, setEnlarges(value === 'all' ? 'all' : null)))
        }
      />
      <Row label="Data">
        <Button className="justify-self-start" onClick={() => dispatch(shown('table'))}>
          Import a table…
        </Button>
      </Row>
    </>
  );
}
