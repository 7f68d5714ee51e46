import { setBadges, type Badge, type Tile } from '@noria/core';
import { X } from 'lucide-react';
import { flushSync } from 'react-dom';
import { useAppDispatch } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { NamedColour } from '../looks/NamedColour';
import { Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { runHere } from '../here';

const NEW: Badge = { words: 'New', inline: 'end', block: 'start', fill: '#1d2b2a', textColour: '#ffffff' };
const LIES = ['start', 'center', 'end'] as const;

/** “top start” */
const cornerWords = (block: Badge['block'], inline: Badge['inline']) =>
  `${{ start: 'top', center: 'middle', end: 'bottom' }[block]} ${{ start: 'start', center: 'centre', end: 'end' }[inline]}`;

/** Small words at a tile’s corners and edges. */
export function Badges({ tile }: { tile: Tile }) {
  const dispatch = useAppDispatch();
  const badges = tile.badges ?? [];
  const set = (next: readonly Badge[], key: string | null = null) =>
    dispatch(runHere('Badge', setBadges(tile.id, next), key));
  const change = (k: number, values: Partial<Badge>, key: string | null = null) =>
    set(
      badges.map((badge, at) => (at === k ? { ...badge, ...values } : badge)),
      key,
    );
  return (
    <>
      {badges.map((badge, k) => (
        <Row key={k} label={badges.length > 1 ? `Badge ${k + 1}` : 'Badge'}>
          <div className="grid gap-1 py-0.5">
            <div className="flex items-center gap-1">
              <WordsField
                name={`Words of badge ${k + 1}`}
                value={badge.words}
                onType={(words) => change(k, { words }, `${tile.id} badge ${k}`)}
              />
              <SignButton
                name={`Remove badge ${k + 1}`}
                className="size-6! shrink-0"
                onClick={() => set(badges.filter((_, at) => at !== k))}
              >
                <X size={14} aria-hidden />
              </SignButton>
            </div>
            <div className="flex items-center gap-2">
              <Corner badge={badge} number={k + 1} onChoose={(at) => change(k, at)} />
              <NamedColour
                name={`Fill of badge ${k + 1}`}
                value={badge.fill}
                onSet={(fill) => change(k, { fill }, `${tile.id} badge fill ${k}`)}
              />
            </div>
          </div>
        </Row>
      ))}
      <Row label={badges.length === 0 ? 'Badge' : ''}>
        <Button
          className="justify-self-start"
          onClick={({ currentTarget }) => {
            const panel = currentTarget.closest('section');
            flushSync(() => set([...badges, NEW]));
            // What is typed next are its words.
            const name = `Words of badge ${badges.length + 1}`;
            const field = panel?.querySelector<HTMLInputElement>(`[aria-label="${name}"]`);
            field?.focus();
            field?.select();
          }}
        >
          Add badge
        </Button>
      </Row>
    </>
  );
}

/** The eight places at the edge of a tile. */
function Corner({
  badge,
  number,
  onChoose,
}: {
  badge: Badge;
  number: number;
  onChoose: (at: Pick<Badge, 'inline' | 'block'>) => void;
}) {
  return (
    <div
      role="radiogroup"
      aria-label={`Place of badge ${number}`}
      className="grid w-[54px] grid-cols-3 gap-0.5"
    >
      {LIES.flatMap((block) =>
        LIES.map((inline) =>
          block === 'center' && inline === 'center' ? (
            <i key="middle" />
          ) : (
            <button
              key={`${block} ${inline}`}
              type="button"
              role="radio"
              aria-checked={badge.block === block && badge.inline === inline}
              aria-label={cornerWords(block, inline)}
              className={`h-3 rounded-[2px] ${badge.block === block && badge.inline === inline ? 'bg-copper' : 'bg-field hover:bg-hair'}`}
              onClick={() => onChoose({ inline, block })}
            />
          ),
        ),
      )}
    </div>
  );
}
