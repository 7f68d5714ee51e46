import type { FilmFill, PictureAsset, PictureFill } from '@noria/core';
import { Button } from '../../../ui/Button';
import { FileButton } from '../../../ui/FileButton';
import { NumberField } from '../../../ui/NumberField';
import { Row } from '../../../ui/Rows';
import { useAppSelector } from '../../hooks';
import { FocalPoint } from '../../parts/FocalPoint';
import { PART } from '../../parts/fields';
import { useAddFilm } from '../../parts/useAddFilm';
import { selectShared } from '../../selectors';
import { ChoosePicture } from '../content/ChoosePicture';
import { ChoiceRow } from '../ChoiceRow';
import { MovePicture } from '../../parts/MovePicture';
import { VeilRows } from './VeilRows';
import type { Look } from './useLook';

type MediaFill = PictureFill | FilmFill;

interface MediaFillRowsProps<F extends MediaFill> {
  readonly fill: F;
  readonly look: Look;
  readonly onSet: (value: F, key?: string) => void;
  /** What the tile looks like with another fill. */
  readonly lookWith: (value: F) => Parameters<Look['command']>[0];
  /** Only a picture that is all that fills its tile can be enlarged. */
  readonly zooms?: boolean;
}

/** A picture behind the contents: as one in a tile is. */
export function PictureFillRows(props: MediaFillRowsProps<PictureFill>) {
  const { fill, onSet } = props;
  const { pictures } = useAppSelector(selectShared);
  return (
    <>
      <Row label="Picture">
        <ChoosePicture
          name="Background picture"
          value={fill.picture}
          onChoose={(picture) => {
            const { position: _, zoom: __, ...anew } = fill;
            onSet({ ...anew, picture });
          }}
        />
      </Row>
      <MediaRows {...props} picture={pictures[fill.picture]} />
    </>
  );
}

/** A film behind the contents, which plays by itself and without sound. */
export function FilmFillRows(props: MediaFillRowsProps<FilmFill>) {
  const { fill, look, onSet, lookWith } = props;
  const { pictures, films } = useAppSelector(selectShared);
  const film = films[fill.film];
  const { busy, add } = useAddFilm();
  return (
    <>
      <Row label={PART.film.label}>
        <div className="flex min-w-0 items-center gap-2">
          <FileButton
            testId="film-behind"
            accept="video/mp4,video/webm"
            disabled={busy}
            onFiles={([file]) =>
              void add(file, (chosen, poster) => look.command(lookWith({ ...fill, film: chosen, poster })))
            }
          >
            {busy ? 'Uploading…' : 'Replace'}
          </FileButton>
          <span className="truncate text-sm text-faint">{film?.name ?? 'missing'}</span>
        </div>
      </Row>
      <Row label={PART.poster.label} help={PART.poster.help}>
        <ChoosePicture
          name={PART.poster.label}
          value={fill.poster}
          onChoose={(poster) => onSet({ ...fill, poster })}
        />
      </Row>
      <MediaRows {...props} picture={fill.poster === null ? undefined : pictures[fill.poster]} />
    </>
  );
}

/** How a picture or film lies behind the contents. */
function MediaRows<F extends MediaFill>({
  fill,
  look,
  onSet,
  lookWith,
  zooms = false,
  picture,
}: MediaFillRowsProps<F> & { readonly picture: PictureAsset | undefined }) {
  const { fit = 'cover', zoom = 1, position = fill.focalPoint } = fill;
  const isMoved = fill.position !== undefined || zoom !== 1;
  return (
    <>
      {picture && (
        <FocalPoint
          value={fill.focalPoint}
          picture={picture}
          command={(focalPoint) => look.command(lookWith({ ...fill, focalPoint }))}
          step={look.tiles.map(({ id }) => id).join()}
        />
      )}
      <ChoiceRow
        field={PART.fit}
        value={fit}
        onChoose={(next) => {
          const { fit: _, ...covering } = fill;
          onSet(next === 'cover' ? (covering as F) : { ...fill, fit: next });
        }}
      />
      {zooms && (
        <Row label={PART.zoom.label}>
          <div className="grid grid-cols-2 gap-1">
            <NumberField
              value={Math.round(zoom * 100)}
              least={PART.zoom.least}
              most={PART.zoom.most}
              unit={PART.zoom.unit}
              onSet={(next) => {
                const { zoom: _, ...whole } = fill;
                onSet(next === 100 ? (whole as F) : { ...fill, zoom: next / 100 }, 'zoom');
              }}
            />
            {picture && look.tiles.length === 1 && <MovePicture />}
          </div>
        </Row>
      )}
      <Row label="Position" help="Which piece of it shows, where it is larger than its tile">
        <div className="grid grid-cols-2 gap-1">
          {(['x', 'y'] as const).map((axis) => (
            <NumberField
              key={axis}
              name={`Position, ${axis === 'x' ? '% across' : '% down'}`}
              value={Math.round(position[axis] * 100)}
              least={0}
              most={100}
              unit={axis === 'x' ? '% across' : '% down'}
              onSet={(share) => onSet({ ...fill, position: { ...position, [axis]: share / 100 } }, axis)}
            />
          ))}
        </div>
      </Row>
      {isMoved && (
        <Row label="">
          <Button
            className="h-[26px]! justify-self-start"
            onClick={() => {
              const { position: _, zoom: __, ...whole } = fill;
              onSet(whole as F);
            }}
          >
            Reset to the focal point
          </Button>
        </Row>
      )}
      <VeilRows tint={fill.tint} onSet={(tint, key) => onSet({ ...fill, tint }, key)} />
    </>
  );
}
