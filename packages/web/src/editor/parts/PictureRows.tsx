import {
  ALL_PICTURES,
  cropIn,
  isFocusLost,
  LIMITS,
  setAlternativeText,
  setPart,
  shownAnew,
  sharpnessIn,
  type PartValues,
  type PictureAsset,
  type PicturePart,
  type TileId,
  type Tint,
} from '@noria/core';
import { TriangleAlert } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Row } from '../../ui/Rows';
import { Segments } from '../../ui/Segments';
import { WordsField } from '../../ui/WordsField';
import { croppingChosen } from '../editorSlice';
import { runHere } from '../here';
import { selectLayout, selectShared } from '../selectors';
import { TintFields } from '../settings/look/TintFields';
import { AlternativeText } from '../settings/content/AlternativeText';
import { ChoosePicture } from '../settings/content/ChoosePicture';
import { FocalPoint } from './FocalPoint';
import type { PartProps } from './partProps';

const NO_TINT: Tint = { colour: '#0b1714', strength: 0 };

/** A picture: which it is, how it shows in its slot, its words. */
export function PictureRows({ tile, part }: PartProps<PicturePart>) {
  const dispatch = useAppDispatch();
  const { pictures } = useAppSelector(selectShared);
  const cropping = useAppSelector(({ editor }) => editor.cropping);
  const picture = part.picture === null ? undefined : pictures[part.picture];
  const set = (step: string, values: PartValues, key?: string) =>
    dispatch(
      runHere(
        step,
        setPart([tile.id], part.id, values),
        key === undefined ? null : `${tile.id} ${part.id} ${key}`,
      ),
    );
  return (
    <>
      <Row label="Picture">
        <ChoosePicture
          name="Picture"
          value={part.picture}
          onChoose={(chosen) => set('Picture', shownAnew(chosen))}
        />
      </Row>
      {picture && (
        <>
          <FocalPoint tile={tile.id} part={part} picture={picture} />
          <Row label="Shows">
            <Segments
              name="How the picture shows"
              value={part.shows ?? 'cover'}
              choices={[
                { value: 'cover', label: 'Covers' },
                { value: 'contain', label: 'Whole' },
              ]}
              onChoose={(shows) => set('Shows', { shows: shows === 'cover' ? undefined : shows })}
            />
          </Row>
          <Row label="In its slot">
            <div className="grid grid-cols-2 gap-1">
              <NumberField
                name="Zoom"
                value={Math.round((part.zoom ?? 1) * 100)}
                least={100}
                most={LIMITS.zoom * 100}
                unit="%"
                onSet={(zoom) => set('Zoom', { zoom: zoom === 100 ? undefined : zoom / 100 }, 'zoom')}
              />
              <Button
                className="h-[26px]! justify-center"
                aria-pressed={cropping}
                onClick={() => dispatch(croppingChosen(!cropping))}
              >
                {cropping ? 'Done' : 'Move it'}
              </Button>
            </div>
          </Row>
          {(part.position !== undefined || (part.zoom ?? 1) !== 1) && (
            <Row label="">
              <Button
                className="h-[26px]! justify-self-start"
                onClick={() => set('Crop', { position: undefined, zoom: undefined })}
              >
                Back to the focal point
              </Button>
            </Row>
          )}
          <CropWarnings tile={tile.id} part={part} picture={picture} />
          <TintFields
            tint={part.tint ?? NO_TINT}
            onSet={(tint, key) => set('Tint', { tint: tint.strength > 0 ? tint : undefined }, key)}
          />
          <AlternativeText
            value={picture.alternativeText}
            id={picture.id}
            command={(words) => setAlternativeText(picture.id, words)}
          />
        </>
      )}
      {picture && tile.link === undefined && (
        <Row label="Opens large">
          <div className={`grid gap-1 ${part.enlarges === undefined ? '' : 'grid-cols-2'}`}>
            <Segments
              name="Opens large"
              value={part.enlarges === undefined ? 'all' : 'set'}
              choices={[
                { value: 'all', label: 'As all' },
                { value: 'set', label: 'In a set' },
              ]}
              onChoose={(value) =>
                set('Opens large', { enlarges: value === 'set' ? ALL_PICTURES : undefined })
              }
            />
            {part.enlarges !== undefined && (
              <WordsField
                name="Set that it opens in"
                hint="name of the set"
                value={part.enlarges}
                onType={(words) =>
                  words.trim() !== '' && set('Opens large', { enlarges: words.slice(0, 60) }, 'enlarges')
                }
              />
            )}
          </div>
        </Row>
      )}
      <Row label="Caption">
        <WordsField
          name="Caption"
          hint="none"
          value={part.caption}
          onType={(caption) => set('Caption', { caption }, 'caption')}
        />
      </Row>
    </>
  );
}

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
      'The focal point is out of view at this width. Move the picture, or go back to the focal point.',
    sharpness < 1 &&
      picture.mediaType !== 'image/svg+xml' &&
      `It looks soft here: ${sharpness.toFixed(2)} picture px for each px of the slot. Take a larger one, or zoom out.`,
    picture.alternativeText.trim() === '' && 'It has no alternative text: write what it shows.',
  ].filter((each) => each !== false);
  if (says.length === 0) return null;
  return (
    <ul aria-label="What is amiss with the picture" className="grid gap-1 py-1 pl-[92px]">
      {says.map((each) => (
        <li key={each} className="grid grid-cols-[14px_1fr] gap-1.5 text-sm text-soft">
          <TriangleAlert size={13} className="mt-0.5 text-doubt" aria-hidden />
          {each}
        </li>
      ))}
    </ul>
  );
}
