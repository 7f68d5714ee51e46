import {
  ALL_PICTURES,
  cropIn,
  isFocusLost,
  setAlternativeText,
  setPart,
  shownAnew,
  sharpnessIn,
  type PartValues,
  type PictureAsset,
  type PicturePart,
  type TileId,
  type Veil,
  veils,
} from '@noria/core';
import { TriangleAlert } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { TextField } from '../../ui/TextField';
import { WordsField } from '../../ui/WordsField';
import { MovePicture } from './MovePicture';
import { runHere } from '../here';
import { selectLayout, selectShared } from '../selectors';
import { VeilRows } from '../settings/look/VeilRows';
import { AlternativeText } from '../settings/content/AlternativeText';
import { ChoosePicture } from '../settings/content/ChoosePicture';
import { ChoiceRow } from '../settings/ChoiceRow';
import { PART } from './fields';
import { FocalPoint } from './FocalPoint';
import type { PartProps } from './partProps';

const NO_TINT: Veil = { colour: '#0b1714', opacity: 0 };

/** A picture: which it is, how it shows in its slot, its words. */
export function PictureRows({ tile, part, ids }: PartProps<PicturePart>) {
  const dispatch = useAppDispatch();
  const { pictures } = useAppSelector(selectShared);
  const picture = part.picture === null ? undefined : pictures[part.picture];
  const set = (step: string, values: PartValues, key?: string) =>
    dispatch(
      runHere(
        step,
        setPart(ids, part.id, values),
        key === undefined ? null : `${ids.join(' ')} ${part.id} ${key}`,
      ),
    );
  return (
    <>
      <Row label={PART.picture.label}>
        <ChoosePicture
          name="Picture"
          value={part.picture}
          onChoose={(chosen) => set(PART.picture.label, shownAnew(chosen))}
        />
      </Row>
      {picture && (
        <>
          <FocalPoint
            value={part.focalPoint}
            picture={picture}
            command={(focalPoint) => setPart([tile.id], part.id, { focalPoint })}
            step={`${tile.id} ${part.id}`}
          />
          <ChoiceRow
            field={PART.fit}
            value={part.fit ?? 'cover'}
            onChoose={(fit) => set(PART.fit.label, { fit: fit === 'cover' ? undefined : fit })}
          />
          <Row label={PART.zoom.label}>
            <div className="grid grid-cols-2 gap-1">
              <NumberField
                value={Math.round((part.zoom ?? 1) * 100)}
                least={PART.zoom.least}
                most={PART.zoom.most}
                unit={PART.zoom.unit}
                onSet={(zoom) =>
                  set(PART.zoom.label, { zoom: zoom === 100 ? undefined : zoom / 100 }, 'zoom')
                }
              />
              <MovePicture />
            </div>
          </Row>
          {(part.position !== undefined || (part.zoom ?? 1) !== 1) && (
            <Row label="">
              <Button
                className="h-[26px]! justify-self-start"
                onClick={() => set('Crop', { position: undefined, zoom: undefined })}
              >
                Reset to the focal point
              </Button>
            </Row>
          )}
          <CropWarnings tile={tile.id} part={part} picture={picture} />
          <VeilRows
            tint={part.tint ?? NO_TINT}
            onSet={(tint, key) => set(PART.tint.label, { tint: veils(tint) ? tint : undefined }, key)}
          />
          <AlternativeText
            value={picture.alternativeText}
            id={picture.id}
            command={(words) => setAlternativeText(picture.id, words)}
          />
        </>
      )}
      {picture && tile.link === undefined && (
        <Row label={PART.enlarges.label} help={PART.enlarges.help}>
          <div className="grid gap-1">
            <Segments
              value={part.enlarges === undefined ? 'all' : 'set'}
              choices={PART.enlarges.choices}
              onChoose={(value) =>
                set(PART.enlarges.label, { enlarges: value === 'set' ? ALL_PICTURES : undefined })
              }
            />
            {part.enlarges !== undefined && (
              <TextField
                name="Set of pictures"
                placeholder="name of the set"
                value={part.enlarges}
                problem={(words) =>
                  words.length > MOST_OF_SET ? `At most ${MOST_OF_SET} characters.` : null
                }
                onSet={(words) => set(PART.enlarges.label, { enlarges: words.trim() }, 'enlarges')}
              />
            )}
          </div>
        </Row>
      )}
      <Row label={PART.caption.label}>
        <WordsField
          hint="none"
          value={part.caption}
          onType={(caption) => set(PART.caption.label, { caption }, 'caption')}
        />
      </Row>
    </>
  );
}

/** Characters of the name of a set. */
const MOST_OF_SET = 60;

interface CropWarningsProps {
  readonly tile: TileId;
  readonly part: PicturePart;
  readonly picture: PictureAsset;
}

/** What is amiss with the picture in the slot that it has at the width shown. */
function CropWarnings({ tile, part, picture }: CropWarningsProps) {
  const layout = useAppSelector(selectLayout);
  const slot = layout.tiles.find(({ id }) => id === tile);
  if (!slot || slot.inlineSize === 0 || slot.blockSize === 0) return null;
  const sharpness = sharpnessIn(picture, slot, part);
  const says = [
    isFocusLost(cropIn(picture, slot, part), part.focalPoint) &&
      'The focal point is out of view at this width. Move the picture, or reset it to the focal point.',
    sharpness < 1 &&
      picture.mediaType !== 'image/svg+xml' &&
      `The picture looks soft at this width: ${sharpness.toFixed(2)} picture px for each px of the slot. Choose a larger picture, or zoom out.`,
    picture.alternativeText.trim() === '' && 'This picture has no alternative text. Write what it shows.',
  ].filter((each) => each !== false);
  if (says.length === 0) return null;
  return (
    <ul aria-label="Problems with the picture" className="grid gap-1 py-1 pl-[92px]">
      {says.map((each) => (
        <li key={each} className="grid grid-cols-[14px_1fr] gap-1.5 text-sm text-soft">
          <TriangleAlert size={13} className="mt-0.5 text-doubt" aria-hidden />
          {each}
        </li>
      ))}
    </ul>
  );
}
