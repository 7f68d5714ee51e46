import { clone, setContent, type FilmTile } from '@noria/core';
import { useState } from 'react';
import { readFilm, uploadFilm } from '../../../../api/films';
import { uploadPicture } from '../../../../api/pictures';
import { useAppDispatch, useAppSelector } from '../../../../store/hooks';
import { FileButton } from '../../../../ui/FileButton';
import { Row } from '../../../../ui/Rows';
import { Segments } from '../../../../ui/Segments';
import { WordsField } from '../../../../ui/WordsField';
import { announce, warn } from '../../../notices';
import { runHere } from '../../here';
import { selectShared } from '../../selectors';
import { AlternativeText } from './AlternativeText';
import { ChoosePicture } from './ChoosePicture';

/** The film of a tile: another one, what shows before it plays, how it plays. */
export function FilmContent({ tile }: { tile: FilmTile }) {
  const dispatch = useAppDispatch();
  const { films } = useAppSelector(selectShared);
  const film = tile.film === null ? undefined : films[tile.film];
  const [busy, setBusy] = useState(false);

  const replace = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    try {
      const read = await readFilm(file);
      const asset = await uploadFilm(file, read);
      const poster = await uploadPicture(read.poster);
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
    }
  };

  return (
    <>
      <Row label="Film">
        <div className="flex min-w-0 items-center gap-2">
          <FileButton
            testId="film-file"
            accept="video/mp4,video/webm"
            disabled={busy}
            onFiles={([file]) => void replace(file)}
          >
            {busy ? 'Uploading…' : film ? 'Replace' : 'Choose'}
          </FileButton>
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
        <AlternativeText
          value={film.alternativeText}
          id={film.id}
          command={(words) => (draft) => {
            const asset = draft.films?.[film.id];
            if (asset) asset.alternativeText = words;
          }}
        />
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
