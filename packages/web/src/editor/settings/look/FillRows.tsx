import {
  colourOf,
  coloursApart,
  isGradient,
  letsThrough,
  takesTextColour,
  toOklch,
  type Fill,
} from '@noria/core';
import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { FileButton } from '../../../ui/FileButton';
import { Row } from '../../../ui/Rows';
import { useAppSelector } from '../../hooks';
import { fillShown } from '../../looks/fillShown';
import { NamedColour } from '../../looks/NamedColour';
import { LOOK } from '../../fields/fields';
import { useAddFilm } from '../../parts/useAddFilm';
import { PicturePicker } from '../../pictures/PicturePicker';
import { selectShared } from '../../selectors';
import { SetNumber } from '../SetNumber';
import { useTakePicture } from '../content/useTakePicture';
import { Contrast } from './Contrast';
import { GradientRows } from './GradientRows';
import { LayerRows } from './LayerRows';
import { FilmFillRows, PictureFillRows } from './MediaFillRows';
import {
  colourToBegin,
  DARK,
  FILL_KINDS,
  gradientKind,
  gradientToBegin,
  kindOfFill,
  plainFill,
  plainOf,
  type FillKind,
} from './paintKinds';
import type { Look } from './useLook';

const PICTURE = 'picture';
const FILM = 'film';
const MIDDLE = { x: 0.5, y: 0.5 };

/** What lies behind the contents. */
export function FillRows({ look }: { look: Look }) {
  const document = useAppSelector(selectShared);
  const { fill, backdropBlur = 0 } = look.look;
  const set = (next: Fill, key?: string) => look.set(LOOK.fill.label, { fill: next }, key);
  const hasWords = takesTextColour(look.tiles[0]);
  const plain = plainOf(fill);
  /** A kind that is chosen and still lacks its picture or film. */
  const [lacks, setLacks] = useState<FillKind | null>(null);
  const take = useTakePicture();
  const choose = (next: FillKind) => {
    const { pictures, films, namedLooks } = document;
    const media = { focalPoint: MIDDLE, tint: hasWords ? DARK : { ...DARK, opacity: 0 } };
    const gradient = gradientKind(next);
    const [picture] = Object.keys(pictures);
    const [film] = Object.keys(films);
    if (gradient) set(gradientToBegin(gradient, fill, namedLooks));
    else if (next === 'none') set('none');
    else if (next === 'plain') set(colourToBegin(fill));
    else if (next === PICTURE && picture !== undefined) set({ kind: PICTURE, picture, ...media });
    else if (next === FILM && film !== undefined) set({ kind: FILM, film, poster: null, ...media });
    else setLacks(next);
  };
  const eachItsOwn = () => {
    const background = colourOf(document.namedLooks, document.look.background);
    const own = plain ? colourOf(document.namedLooks, plain.colour) : background;
    const fills = coloursApart(own, look.tiles.length, toOklch(background).lightness < 0.5);
    return fills.map((each) => ({ fill: each }));
  };
  return (
    <>
      <Row label={LOOK.fill.label} {...look.here('fill')}>
        <div className="grid grid-cols-[1fr_76px] gap-1">
          {plain ? (
            <NamedColour
              name="Fill, colour"
              value={plain.colour}
              opacity={plain.opacity}
              onOpacity={(opacity, key) => set(plainFill(plain.colour, opacity), key)}
              onSet={(colour, key) => set(plainFill(colour, plain.opacity), key)}
              says={hasWords && <Contrast tile={look.tiles[0]} />}
            />
          ) : (
            <span
              aria-hidden
              className="rounded-s border border-hair"
              style={{ background: fillShown(document, look.look) }}
            />
          )}
          <Choice value={kindOfFill(fill)} choices={FILL_KINDS} onChoose={choose} />
        </div>
      </Row>
      {lacks === FILM && <FirstFilm look={look} onEnd={() => setLacks(null)} />}
      <PicturePicker
        open={lacks === PICTURE}
        onClose={() => setLacks(null)}
        onChoose={(chosen) => {
          setLacks(null);
          set({ kind: 'picture', picture: take(chosen), focalPoint: MIDDLE, tint: DARK });
        }}
      />
      {look.tiles.length > 1 && (
        <Row label="">
          <Button
            className="justify-self-start"
            title="Gives each selected tile a fill of its own, of one strength and hues in even steps"
            onClick={() => look.setEach('A colour each', eachItsOwn())}
          >
            A colour each
          </Button>
        </Row>
      )}
      <OwnRows fill={fill} look={look} onSet={set} />
      <LayerRows look={look} />
      {(letsThrough(look.look) || backdropBlur > 0) && (
        <Row label={LOOK.backdropBlur.label} help={LOOK.backdropBlur.help} {...look.here('backdropBlur')}>
          <SetNumber
            field={LOOK.backdropBlur}
            name={null}
            value={backdropBlur}
            command={(blur) => look.command({ backdropBlur: blur > 0 ? blur : undefined })}
          />
        </Row>
      )}
    </>
  );
}

interface OwnRowsProps {
  readonly fill: Fill;
  readonly look: Look;
  readonly onSet: (fill: Fill, key?: string) => void;
}

/** What a fill has to set beside its kind. */
function OwnRows({ fill, look, onSet }: OwnRowsProps) {
  if (typeof fill === 'string' || fill.kind === 'plain') return null;
  if (isGradient(fill)) return <GradientRows value={fill} onSet={onSet} />;
  return fill.kind === 'picture' ? (
    <PictureFillRows zooms fill={fill} look={look} onSet={onSet} lookWith={(next) => ({ fill: next })} />
  ) : (
    <FilmFillRows zooms fill={fill} look={look} onSet={onSet} lookWith={(next) => ({ fill: next })} />
  );
}

/** The first film of a collection goes behind the tile as soon as it is there. */
function FirstFilm({ look, onEnd }: { look: Look; onEnd: () => void }) {
  const { busy, add } = useAddFilm();
  return (
    <Row label="Film">
      <FileButton
        testId="film-behind"
        accept="video/mp4,video/webm"
        disabled={busy}
        onFiles={([file]) =>
          void add(file, (film, poster) =>
            look.command({ fill: { kind: FILM, film, poster, focalPoint: MIDDLE, tint: DARK } }),
          ).then((added) => added && onEnd())
        }
      >
        {busy ? 'Uploading…' : 'Choose a film…'}
      </FileButton>
    </Row>
  );
}
