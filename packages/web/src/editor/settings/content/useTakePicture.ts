import { clone, type PictureId } from '@noria/core';
import { toAsset, type LibraryPicture } from '../../../api/pictures';
import { useAppDispatch, useAppSelector } from '../../hooks';
import { run } from '../../document/run';
import { selectShown } from '../../document/selectors';

/** Takes a picture of the library into the collection; answers its id there. */
export function useTakePicture(): (picture: LibraryPicture) => PictureId {
  const dispatch = useAppDispatch();
  const { pictures } = useAppSelector(selectShown);
  return (picture) => {
    const known = Object.values(pictures).find(({ hash }) => hash === picture.hash);
    if (known) return known.id;
    const asset = toAsset(picture);
    dispatch(
      run('Choose picture', (draft) => {
        draft.pictures[asset.id] = clone(asset);
      }),
    );
    return asset.id;
  };
}
