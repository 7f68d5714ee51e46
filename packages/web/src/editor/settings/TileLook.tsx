import { flows, takesTextColour, type Tile, type TileLook as TileLooks } from '@noria/core';
import { memo } from 'react';
import { AtAllWidths, Section } from '../../ui/Rows';
import type { ChoiceField } from '../fields/field';
import { LOOK } from '../fields/fields';
import { RecipeRows } from '../recipes/RecipeRows';
import { PaddingRows } from './look/PaddingRows';
import { EdgeRows } from './look/EdgeRows';
import { FillRows } from './look/FillRows';
import { StyleRows } from './look/StyleRows';
import { TextColourRow } from './look/TextColourRow';
import { ShadowRows } from './look/ShadowRows';
import { TypeRows } from './look/TypeRows';
import { useLook, type Look } from './look/useLook';
import { ChoiceRow } from './ChoiceRow';
import { sameTiles } from './sameTiles';
import { useEverywhere } from './useEverywhere';

type Laid = 'spread' | 'align' | 'direction' | 'writingDirection';

/** What goes without saying, and is left out of the file. */
const USUAL: { readonly [F in Laid]?: TileLooks[F] } = {
  align: 'stretch',
  direction: 'column',
  writingDirection: 'horizontal',
};

interface BandChoiceProps<F extends Laid> {
  readonly of: F;
  readonly look: Look;
}

/** How contents lie in the tiles: chosen by words, in a band or everywhere. */
function BandChoice<F extends Laid>({ of, look }: BandChoiceProps<F>) {
  type Value = NonNullable<TileLooks[F]>;
  const field = LOOK[of] as unknown as ChoiceField<Value>;
  const usual = USUAL[of] as Value | undefined;
  return (
    <ChoiceRow
      field={field}
      value={(look.look[of] as Value | undefined) ?? usual ?? null}
      {...look.here(of)}
      onChoose={(value) => look.set(field.label, { [of]: value === usual ? undefined : value })}
    />
  );
}

/** How the selected tiles look. */
export const TileLook = memo(function TileLook({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const look = useLook(tiles);
  const everywhere = useEverywhere();
  const hasFlow = tiles.some(flows);
  const hasWords = tiles.some(takesTextColour);
  return (
    <Section title="Look">
      <FillRows look={look} />
      {hasWords && <TextColourRow look={look} />}
      <AtAllWidths when={everywhere}>
        <StyleRows tiles={tiles} />
        <RecipeRows tiles={tiles} />
      </AtAllWidths>
      {hasFlow && (
        <>
          {(['spread', 'align', 'direction', 'writingDirection'] as const).map((of) => (
            <BandChoice key={of} of={of} look={look} />
          ))}
          <TypeRows look={look} />
        </>
      )}
      <PaddingRows look={look} hasFlow={hasFlow} />
      <EdgeRows look={look} />
      <ShadowRows look={look} />
    </Section>
  );
}, sameTiles);
