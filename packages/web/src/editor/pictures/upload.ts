import { byNumberedName } from '@noria/core';
import { uploadToLibrary, type LibraryPicture } from '../../api/pictures';
import type { AppThunk } from '../state';
import { warn } from '../../ui/notices/noticesSlice';
import { isZip, unpack } from './unpack';
import { begun, ended, failed, preparing, refused, uploaded } from './uploadsSlice';

export const TAKEN_TYPES =
  'image/jpeg,image/png,image/webp,image/avif,image/gif,image/svg+xml,.zip,application/zip';

/** How many uploads are under way at once: enough to keep the server busy, few enough for the page. */
const AT_ONCE = 3;

let stopping: AbortController | null = null;

/** Stops the uploads under way; what has arrived stays in the library. */
export const cancelUploads = (): AppThunk => () => stopping?.abort();

const words = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Says of files that are in the library already under which names. */
const knownWords = ({ file, name }: { readonly file: string; readonly name: string }, more: number) =>
  `“${file}” is in the library already, as “${name}”${more > 0 ? `, and so are ${more} more` : ''}. Both names find it.`;

/** A picture that is in the library now, and the file that it came by: itself, or the archive around it. */
export interface ArrivedPicture {
  readonly picture: LibraryPicture;
  readonly from: File;
}

/** Uploads pictures, and those in ZIP archives, to the library. Answers those that arrived, in the order that is chosen. */
export const uploadFiles =
  (files: readonly File[]): AppThunk<Promise<LibraryPicture[]>> =>
  async (dispatch) =>
    (await dispatch(uploadWithOrigin(files))).map(({ picture }) => picture);

/** As `uploadFiles`, with the file by which each came; those that did not arrive are told of. */
export const uploadWithOrigin =
  (files: readonly File[]): AppThunk<Promise<ArrivedPicture[]>> =>
  async (dispatch, getState) => {
    if (stopping) {
      dispatch(refused('Other pictures are still being uploaded. Wait for them, or cancel them.'));
      return [];
    }
    const stop = (stopping = new AbortController());
    const isStopped = () => stop.signal.aborted;
    try {
      const pictures: File[] = [];
      const origin = new Map<File, File>();
      for (const file of files) {
        if (!isZip(file)) pictures.push(file);
        else {
          dispatch(preparing(`Unpacking ${file.name}`));
          try {
            for (const each of await unpack(file, stop.signal)) {
              pictures.push(each);
              origin.set(each, file);
            }
          } catch (error) {
            if (!isStopped()) dispatch(refused(`${file.name}: ${words(error)}`));
          }
        }
      }
      dispatch(preparing(null));
      const ordered = getState().uploads.order === 'numbered' ? byNumberedName(pictures) : pictures;
      dispatch(begun(ordered.length));
      const arrived = new Map<number, LibraryPicture>();
      const { default: PQueue } = await import('p-queue');
      const queue = new PQueue({ concurrency: AT_ONCE });
      await Promise.all(
        ordered.map((file, k) =>
          queue.add(async () => {
            if (isStopped()) return;
            try {
              arrived.set(k, await uploadToLibrary(file, stop.signal));
              dispatch(uploaded());
            } catch (error) {
              if (!isStopped()) dispatch(failed(words(error)));
            }
          }),
        ),
      );
      const known = ordered.flatMap((file, k) => {
        const picture = arrived.get(k);
        return picture?.aliases.includes(file.name) ? [{ file: file.name, name: picture.name }] : [];
      });
      const [first] = known;
      if (first) dispatch(warn(knownWords(first, known.length - 1)));
      return ordered.flatMap((file, k) => {
        const picture = arrived.get(k);
        return picture ? [{ picture, from: origin.get(file) ?? file }] : [];
      });
    } finally {
      stopping = null;
      dispatch(ended());
    }
  };
