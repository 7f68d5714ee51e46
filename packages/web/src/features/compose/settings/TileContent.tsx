import { isAddress, LIMITS, setContent, type ContentValues, type Tile } from '@noria/core';
import { lazy, memo, Suspense } from 'react';
import { useAppDispatch } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Question, Row } from '../../../ui/Rows';
import { WordsField } from '../../../ui/WordsField';
import { enterGroup, takeApart } from '../actions';
import { runHere } from '../here';
import { warn } from '../../notices';
import { Badges } from './Badges';
import { sameButPlace } from './sameTiles';
import { FilmContent } from './content/FilmContent';
import { MarksContent } from './content/MarksContent';
import { PictureContent } from './content/PictureContent';

/** The editor of rich text is large, and comes when it is needed. */
const RichTextField = lazy(() =>
  import('./content/RichTextField').then((module) => ({ default: module.RichTextField })),
);

interface Field {
  readonly field: keyof ContentValues;
  readonly label: string;
  readonly lines?: number;
  readonly hint?: string;
}

const FIELDS: Readonly<Record<'text' | 'stat' | 'quote' | 'action', readonly Field[]>> = {
  text: [
    { field: 'eyebrow', label: 'Eyebrow', hint: 'none' },
    { field: 'heading', label: 'Heading' },
  ],
  stat: [
    { field: 'figure', label: 'Figure' },
    { field: 'label', label: 'Label' },
  ],
  quote: [
    { field: 'words', label: 'Words', lines: 3 },
    { field: 'source', label: 'Source' },
  ],
  action: [
    { field: 'label', label: 'Label' },
    { field: 'address', label: 'Address', hint: 'https://… or #part' },
  ],
};

const LEVELS = [
  { value: 'auto', label: 'By its place' },
  { value: '1', label: 'Page title (1)' },
  ...[2, 3, 4, 5, 6].map((level) => ({ value: String(level), label: `Level ${level}` })),
];

/** What is in the tile in hand; words take effect while they are typed. */
export const TileContent = memo(
  function TileContent({ tile }: { tile: Tile }) {
    const dispatch = useAppDispatch();
    const set = (field: keyof ContentValues, label: string, value: unknown, key: string | null) => {
      if ((field === 'link' || field === 'address') && typeof value === 'string' && !isAddress(value)) {
        dispatch(warn('A link leads to https://…, mailto:, tel:, #part or a relative address.'));
        return;
      }
      if (typeof value === 'string' && value.length > LIMITS.words) {
        dispatch(
          warn(
            `${label}: ${value.length} characters; at most ${LIMITS.words} are kept. It stays as it was: shorten the words first.`,
          ),
        );
        return;
      }
      dispatch(runHere(label, setContent([tile.id], { [field]: value }), key));
    };
    const type = (field: keyof ContentValues, label: string) => (value: unknown) =>
      set(field, label, value, `${tile.id} ${field}`);
    return (
      <Question title="What is in it?">
        <Row label="Name">
          <WordsField
            name="Name"
            value={tile.name}
            onType={(value) => value.trim() && type('name', 'Name')(value.slice(0, 200))}
          />
        </Row>
        {tile.kind in FIELDS &&
          FIELDS[tile.kind as keyof typeof FIELDS].map(({ field, label, lines, hint }) => (
            <Row key={field} label={label}>
              <WordsField
                name={label}
                value={String((tile as unknown as Record<string, unknown>)[field])}
                {...(lines && { lines })}
                {...(hint && { hint })}
                onType={type(field, label)}
              />
            </Row>
          ))}
        {tile.kind === 'text' && (
          <>
            <Row label="Text">
              <Suspense fallback={<span className="h-[92px] rounded-s bg-field" />}>
                <RichTextField key={tile.id} name="Text" value={tile.body} onType={type('body', 'Text')} />
              </Suspense>
            </Row>
            <Row label="Heading is">
              <Choice
                name="Level of the heading"
                value={String(tile.headingLevel ?? 'auto')}
                choices={LEVELS}
                onChoose={(level) =>
                  set('headingLevel', 'Level of heading', level === 'auto' ? undefined : Number(level), null)
                }
              />
            </Row>
          </>
        )}
        {tile.kind === 'picture' && <PictureContent key={tile.id} tile={tile} />}
        {tile.kind === 'film' && <FilmContent key={tile.id} tile={tile} />}
        {tile.kind === 'marks' && <MarksContent key={tile.id} tile={tile} />}
        {tile.kind === 'group' && (
          <Row label="Tiles">
            <div className="flex gap-1.5">
              <Button look="copper" onClick={() => dispatch(enterGroup())}>
                Go in ({tile.order.length})
              </Button>
              <Button onClick={() => dispatch(takeApart())}>Take apart</Button>
            </div>
          </Row>
        )}
        {tile.kind !== 'action' && (
          <Row label="Leads to">
            <WordsField
              name="Where the tile leads"
              hint="nowhere; https://… or #part"
              value={tile.link ?? ''}
              onType={(address) =>
                set('link', 'Link', address.trim() === '' ? undefined : address.trim(), `${tile.id} link`)
              }
            />
          </Row>
        )}
        <Badges tile={tile} />
      </Question>
    );
  },
  (before, after) => sameButPlace(before.tile, after.tile),
);
