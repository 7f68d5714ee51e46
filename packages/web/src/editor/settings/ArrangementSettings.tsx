import {
  carryArrangement,
  isSetHere,
  LIMITS,
  setArrangement,
  setCollectionLook,
  setEnlarges,
  setLook,
  type ArrangementValues,
  type CollectionLook,
} from '@noria/core';
import { Suspense } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { NamedColour } from '../looks/NamedColour';
import { NamedMeasure } from '../looks/NamedMeasure';
import { TypeSizeFields } from '../looks/TypeSizeFields';
import { shown } from '../editorSlice';
import { Section, Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { runHere } from '../here';
import { selectBand, selectLayout, selectLevel, selectSetFor, selectView } from '../selectors';
import { Air } from './Air';
import { Areas } from './Areas';
import { HeightRow } from './HeightRow';
import { SetNumber } from './SetNumber';
import { interfaceOf } from '../kinds';
import { KindStrip } from '../kinds/KindStrip';
import { Skeletons } from './Skeletons';
import { useBandLook } from './useBandLook';

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
  const carried = (...of: (keyof ArrangementValues)[]) => ({
    setHere: of.some((value) => isSetHere(document, index, { of: value })),
    onCarry: () => dispatch(runHere('Carry', carryArrangement(index, of))),
  });
  // What only this kind has.
  const { Settings: OfKind, hasAreas } = interfaceOf(arrangement);
  const group = level === null ? undefined : document.tiles[level];

  return (
    <>
      <Section title="Arrangement">
        <KindStrip {...carried('kind')} />
        <Suspense>
          <OfKind carried={carried} />
        </Suspense>
        {!group && (
          <Row label="Page">
            <Skeletons />
          </Row>
        )}
      </Section>
      <Air carried={carried} />
      <Section title="Size">
        <HeightRow carried={carried('height')} />
        <Row label="Width" {...carried('maxInlineSize')}>
          <div className="grid grid-cols-2 gap-1.5">
            <Segments
              name="Width"
              value={arrangement.maxInlineSize === null ? 'full' : 'most'}
              choices={[
                { value: 'full', label: 'Full' },
                { value: 'most', label: 'Centred' },
              ]}
              onChoose={(value) => set('Width', { maxInlineSize: value === 'full' ? null : 1200 })}
            />
            {arrangement.maxInlineSize !== null && (
              <SetNumber
                name="Maximum width"
                value={arrangement.maxInlineSize}
                least={LIMITS.narrowest}
                most={10_000}
                unit="px"
                basis={layout.inlineSize}
                step="Width"
                command={(maxInlineSize) => setArrangement({ maxInlineSize }, index, setFor)}
              />
            )}
          </div>
        </Row>
      </Section>
      {hasAreas && <Areas />}
      <Section title="Look">
        <Row label="Ground">
          {group ? (
            typeof group.look.fill === 'string' && group.look.fill !== 'none' ? (
              <NamedColour
                name="Ground"
                value={group.look.fill}
                onSet={(fill, key) => dispatch(runHere('Ground', setLook([group.id], { fill }), key ?? null))}
              />
            ) : (
              <span className="text-sm text-soft">as the group’s fill</span>
            )
          ) : (
            <NamedColour
              name="Ground"
              value={document.look.ground}
              onSet={(ground, key) => dispatch(runHere('Ground', setCollectionLook({ ground }), key ?? null))}
            />
          )}
        </Row>
        {!group && <Looks />}
      </Section>
    </>
  );
}

/** Values of the whole collection’s look. */
function Looks() {
  const dispatch = useAppDispatch();
  const { look, namedLooks = {}, enlarges } = useAppSelector(selectView);
  const set = (step: string, values: Partial<CollectionLook>) =>
    dispatch(runHere(step, setCollectionLook(values)));
  const names = Object.keys(namedLooks).length;
  const headingSizes = useBandLook('headingSize', null);
  const bodySizes = useBandLook('bodySize', null);
  return (
    <>
      <Row label="Radius">
        <NamedMeasure
          name="Radius"
          kind="radius"
          value={look.radius}
          most={LIMITS.radius}
          step="Radius"
          command={(radius) => setCollectionLook({ radius })}
          onSet={(radius) => set('Radius', { radius })}
        />
      </Row>
      <Row label="Padding">
        <NamedMeasure
          name="Padding of tiles"
          kind="space"
          value={look.tilePadding}
          step="Padding"
          command={(tilePadding) => setCollectionLook({ tilePadding })}
          onSet={(tilePadding) => set('Padding', { tilePadding })}
        />
      </Row>
      <TypeSizeFields
        label="Heading size"
        value={headingSizes.value ?? look.headingSize}
        step="Type"
        command={(headingSize) => headingSizes.command(headingSize, setCollectionLook({ headingSize }))}
        onSet={(headingSize) => headingSizes.set('Type', headingSize, setCollectionLook({ headingSize }))}
        setHere={headingSizes.setHere}
        onCarry={headingSizes.carry}
      />
      <TypeSizeFields
        label="Body size"
        value={bodySizes.value ?? look.bodySize}
        step="Type"
        command={(bodySize) => bodySizes.command(bodySize, setCollectionLook({ bodySize }))}
        onSet={(bodySize) => bodySizes.set('Type', bodySize, setCollectionLook({ bodySize }))}
        setHere={bodySizes.setHere}
        onCarry={bodySizes.carry}
      />
      <Row label="Shared">
        <div className="flex flex-wrap gap-1.5">
          <Button onClick={() => dispatch(shown('looks'))}>Named looks{names > 0 && ` (${names})`}</Button>
          <Button onClick={() => dispatch(shown('recipes'))}>Recipes</Button>
        </div>
      </Row>
      <Row label="Pictures">
        <Segments
          name="Which pictures open large"
          value={enlarges ?? 'some'}
          choices={[
            { value: 'some', label: 'As each says' },
            { value: 'all', label: 'All open large' },
          ]}
          onChoose={(value) => dispatch(runHere('Open large', setEnlarges(value === 'all' ? 'all' : null)))}
        />
      </Row>
      <Row label="Rows of data">
        <Button className="justify-self-start" onClick={() => dispatch(shown('table'))}>
          Tiles from a table…
        </Button>
      </Row>
    </>
  );
}
