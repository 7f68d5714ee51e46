import { lists } from '../../api/lists';
import { pictureDetails, uploadToLibrary } from '../../api/pictures';
import { sendLater } from '../../editor/saving/later/later';
import { announce, warn } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../../editor/state';
import type { Deleted } from './PictureDetails';

/** Brings a deleted picture back as it was; tiles that showed it show it again. */
export const bringBack =
  ({ picture: { name, alternativeText, mediaType }, file }: Deleted): AppThunk<Promise<void>> =>
  async (dispatch) => {
    try {
      const { hash } = await uploadToLibrary(new File([file], name, { type: mediaType }));
      dispatch(sendLater(pictureDetails(hash, { name, alternativeText })));
      dispatch(lists.util.invalidateTags(['pictures']));
      dispatch(announce(`${name} is back.`));
    } catch (error) {
      dispatch(
        warn(
          `“${name}” could not be brought back. ${error instanceof Error ? error.message : String(error)}`,
        ),
      );
    }
  };
