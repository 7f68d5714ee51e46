import { inkOf } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Rows';
import { NamedColour } from '../../looks/NamedColour';
import { selectShared } from '../../selectors';
import { Contrast } from './Contrast';
import type { Look } from './useLook';

/** The colour of words: legible by itself unless one of its own is set. */
export function InkRow({ look, ratio }: { look: Look; ratio: number }) {
  const document = useAppSelector(selectShared);
  const { ink } = look.look;
  const isAuto = ink === 'auto';
  return (
    <Row label="Ink">
      <div className="grid grid-cols-[1fr_auto] items-center gap-2">
        <NamedColour
          name="Ink"
          value={isAuto ? inkOf(document, look.tiles[0]) : ink}
          {...(isAuto && { label: 'By the fill' })}
          onSet={(value, key) => look.set('Ink', { ink: value }, key)}
          says={<Contrast ratio={ratio} />}
        >
          {!isAuto && (
            <Button onClick={() => look.set('Ink', { ink: 'auto' })}>Choose by what is behind</Button>
          )}
        </NamedColour>
        <Contrast ratio={ratio} short />
      </div>
    </Row>
  );
}
