import { clone, setContent, type FilmTile } from '@noria/core';
import { useRef, useState } from 'react';
import { readFilm, uploadFilm } from '../../../../api/films';
import { uploadPicture } from '../../../../api/pictures';
import { useAppDispatch, useAppSelector } from '../../../../store/hooks';
import { Button } from '../../../../ui/Button';
import { Row } from '../../../../ui/Rows';
import { Segments } from '../../../../ui/Segments';
import { WordsField } from '../../../../ui/WordsField';
import { announce, warn } from '../../../notices';
import { runHere } from '../../here';
import { selectShared } from '../../selectors';
import { ChoosePicture } from './ChoosePicture';

/** The film of a tile: another one, what shows before it plays, how it plays. */
export function FilmContent({ tile }: { tile: FilmTile }) {
  const dispatch = useAppDispatch();
  const { films, pictures } = useAppSelector(selectShared);
  const film = tile.film === null ? undefined : films[tile.film];
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);

  const replace = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    try {
      const read = await readFilm(file);
      const asset = await uploadFilm(file, read, Object.keys(films));
      const poster = await uploadPicture(read.poster, Object.keys(pictures));
      dispatch(
        runHere('Film', (draft) => {
          (draft.films ??= {})[asset.id] = clone(asset);
          draft.pictures[poster.id] = clone(poster);
          setContent([tile.id], { film: asset.id, poster: poster.id })(draft);
        }),
      );
      dispatch(announce(`${asset.name} is in the tile.`));
    } catch (error) {
      dispatch(warn(error instanceof Error ? error.message : String(error)));
    } finally {
      setBusy(false);
      if (input.current) input.current.value = '';
    }
  };

  return (
    <>
      <Row label="Film">
        <div className="flex min-w-0 items-center gap-2">
          <input
            ref={input}
            type="file"
            hidden
            data-testid="film-file"
            accept="video/mp4,video/webm"
            onChange={(event) => void replace(event.target.files?.[0])}
          />
          <Button disabled={busy} onClick={() => input.current?.click()}>
            {busy ? 'Uploading…' : film ? 'Replace' : 'Choose'}
          </Button>
          <span className="truncate text-sm text-faint">
            {film ? `${Math.round(film.duration)} s, ${film.inlineSize} × ${film.blockSize}` : 'MP4 or WebM'}
          </span>
        </div>
      </Row>
      <Row label="Poster">
        <ChoosePicture
          name="Poster"
          value={tile.poster}
          onChoose={(poster) => dispatch(runHere('Poster', setContent([tile.id], { poster })))}
        />
      </Row>
      <Row label="Plays">
        <Segments
          name="Plays"
          value={tile.plays}
          choices={[
            { value: 'itself', label: 'By itself' },
            { value: 'controls', label: 'By controls' },
          ]}
          onChoose={(plays) => dispatch(runHere('Plays', setContent([tile.id], { plays })))}
        />
      </Row>
      {film && (
        <Row label="Alternative">
          <WordsField
            name="Alternative text"
            lines={2}
            hint="What it shows, for those who don’t see it"
            value={film.alternativeText}
            onType={(words) =>
              dispatch(
                runHere(
                  'Alternative text',
                  (draft) => {
                    const asset = draft.films?.[film.id];
                    if (asset) asset.alternativeText = words.slice(0, 2000);
                  },
                  `${film.id} alt`,
                ),
              )
            }
          />
        </Row>
      )}
      <Row label="Caption">
        <WordsField
          name="Caption"
          hint="none"
          value={tile.caption}
          onType={(caption) =>
            dispatch(runHere('Caption', setContent([tile.id], { caption }), `${tile.id} caption`))
          }
        />
      </Row>
    </>
  );
}
