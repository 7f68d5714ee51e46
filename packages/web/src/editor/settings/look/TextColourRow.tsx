import { textColourOf } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Rows';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { selectLooks } from '../../selectors';
import { Contrast } from './Contrast';
import type { Look } from './useLook';

interface TextColourRowProps {
  readonly look: Look;
}

/** The colour of words: legible by itself unless one of its own is set. */
export function TextColourRow({ look }: TextColourRowProps) {
  const document = useAppSelector(selectLooks);
  const { textColour } = look.look;
  const isAuto = textColour === 'auto';
  return (
    <Row label={LOOK.textColour.label} {...look.here('textColour')}>
      <div className="grid grid-cols-[1fr_auto] items-center gap-2">
        <NamedColour
          name={LOOK.textColour.label}
          value={isAuto ? textColourOf(document, look.tiles[0]) : textColour}
          {...(isAuto && { label: 'Automatic' })}
          onSet={(value, key) => look.set(LOOK.textColour.label, { textColour: value }, key)}
          says={<Contrast tile={look.tiles[0]} />}
        >
          {!isAuto && (
            <Button onClick={() => look.set(LOOK.textColour.label, { textColour: 'auto' })}>
              Automatic: light or dark by the fill
            </Button>
          )}
        </NamedColour>
        <Contrast tile={look.tiles[0]} short />
      </div>
    </Row>
  );
}
