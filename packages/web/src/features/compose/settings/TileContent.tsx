import { setContent, type ContentValues, type Tile } from '@noria/core';
import { useAppDispatch } from '../../../store/hooks';
import { Question, Row } from '../../../ui/Rows';
import { WordsField } from '../../../ui/WordsField';
import { runHere } from '../here';
import { Button } from '../../../ui/Button';
import { enterGroup, takeApart } from '../actions';
import { Badges } from './Badges';
import { PictureContent } from './PictureContent';

interface Field {
  readonly field: keyof ContentValues;
  readonly label: string;
  readonly lines?: number;
  readonly hint?: string;
}

const FIELDS: Readonly<Record<Exclude<Tile['kind'], 'picture' | 'group'>, readonly Field[]>> = {
  text: [
    { field: 'eyebrow', label: 'Eyebrow', hint: 'none' },
    { field: 'heading', label: 'Heading' },
    { field: 'body', label: 'Text', lines: 3 },
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

/** What is in the tile in hand; words take effect while they are typed. */
export function TileContent({ tile }: { tile: Tile }) {
  const dispatch = useAppDispatch();
  const type = (field: keyof ContentValues, label: string) => (value: string) =>
    dispatch(runHere(label, setContent([tile.id], { [field]: value }), `${tile.id} ${field}`));
  return (
    <Question title="What is in it?">
      <Row label="Name">
        <WordsField
          name="Name"
          value={tile.name}
          onType={(value) => value.trim() && type('name', 'Name')(value.slice(0, 200))}
        />
      </Row>
      {tile.kind === 'picture' ? (
        <PictureContent tile={tile} onCaption={type('caption', 'Caption')} />
      ) : tile.kind === 'group' ? (
        <Row label="Tiles">
          <div className="flex gap-1.5">
            <Button look="copper" onClick={() => dispatch(enterGroup())}>
              Go in ({tile.order.length})
            </Button>
            <Button onClick={() => dispatch(takeApart())}>Take apart</Button>
          </div>
        </Row>
      ) : (
        FIELDS[tile.kind].map(({ field, label, lines, hint }) => (
          <Row key={field} label={label}>
            <WordsField
              name={label}
              value={String((tile as unknown as Record<string, unknown>)[field])}
              {...(lines && { lines })}
              {...(hint && { hint })}
              onType={type(field, label)}
            />
          </Row>
        ))
      )}
      <Badges tile={tile} />
    </Question>
  );
}
