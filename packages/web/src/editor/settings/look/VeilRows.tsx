import { isGradient, type Gradient, type Veil } from '@noria/core';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { useAppSelector } from '../../hooks';
import { NamedColour } from '../../looks/NamedColour';
import { PART } from '../../parts/fields';
import { selectShared } from '../../selectors';
import { GradientRows } from './GradientRows';
import { colourToBegin, DARK, gradientToBegin, kindOfVeil, VEIL_KINDS } from './paintKinds';

interface VeilRowsProps {
  readonly tint: Veil;
  readonly onSet: (tint: Veil, key?: string) => void;
}

/** What lies over a picture: a colour and how much of the picture it takes, or a gradient. */
export function VeilRows({ tint, onSet }: VeilRowsProps) {
  const { namedLooks } = useAppSelector(selectShared);
  return (
    <>
      <Row label={PART.tint.label} help={PART.tint.help}>
        <div className={`grid gap-1 ${isGradient(tint) ? '' : 'grid-cols-[26px_1fr_72px]'}`}>
          {!isGradient(tint) && (
            <>
              <NamedColour
                small
                name="Tint, colour"
                value={tint.colour}
                onSet={(colour) => onSet({ ...tint, colour }, 'tint')}
              />
              <NumberField
                name="Tint, opacity"
                value={Math.round(tint.opacity * 100)}
                least={0}
                most={100}
                unit="%"
                onSet={(opacity) => onSet({ ...tint, opacity: opacity / 100 }, 'tint opacity')}
              />
            </>
          )}
          <Choice
            name="Tint, kind"
            value={kindOfVeil(tint)}
            choices={VEIL_KINDS}
            onChoose={(kind) =>
              onSet(
                kind === 'plain'
                  ? { ...DARK, colour: colourToBegin(tint) }
                  : gradientToBegin(kind as Gradient['kind'], tint, namedLooks),
              )
            }
          />
        </div>
      </Row>
      {isGradient(tint) && <GradientRows value={tint} onSet={onSet} />}
    </>
  );
}
