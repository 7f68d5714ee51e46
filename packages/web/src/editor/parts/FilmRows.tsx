import { setPart, type FilmPart } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { FileButton } from '../../ui/FileButton';
import { Row } from '../../ui/Rows';
import { WordsField } from '../../ui/WordsField';
import { ChoiceRow } from '../settings/ChoiceRow';
import { PART } from './fields';
import { runHere } from '../here';
import { selectShared } from '../selectors';
import { AlternativeText } from '../settings/content/AlternativeText';
import { ChoosePicture } from '../settings/content/ChoosePicture';
import type { PartProps } from './partProps';
import { useAddFilm } from './useAddFilm';

/** A film: another one, what shows before it plays, how it plays. */
export function FilmRows({ part, ids }: PartProps<FilmPart>) {
  const dispatch = useAppDispatch();
  const { films } = useAppSelector(selectShared);
  const film = part.film === null ? undefined : films[part.film];
  const { busy, add } = useAddFilm();
  const replace = (file: File | undefined) =>
    add(file, (chosen, poster) => setPart(ids, part.id, { film: chosen, poster }));

  return (
    <>
      <Row label={PART.film.label}>
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
      <Row label={PART.poster.label} help={PART.poster.help}>
        <ChoosePicture
          name={PART.poster.label}
          value={part.poster}
          onChoose={(poster) => dispatch(runHere(PART.poster.label, setPart(ids, part.id, { poster })))}
        />
      </Row>
      <ChoiceRow
        field={PART.playback}
        value={part.playback}
        onChoose={(playback) => dispatch(runHere(PART.playback.label, setPart(ids, part.id, { playback })))}
      />
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
      <Row label={PART.caption.label}>
        <WordsField
          hint="none"
          value={part.caption}
          onType={(caption) =>
            dispatch(
              runHere(
                PART.caption.label,
                setPart(ids, part.id, { caption }),
                `${ids.join(' ')} ${part.id} caption`,
              ),
            )
          }
        />
      </Row>
    </>
  );
}
