import { answered, BY_PAGES, done, lists } from './lists';
import {
  deletePicture,
  listPictures,
  picturesUses,
  type PicturePage,
  type PictureQuestion,
  type PictureUse,
} from './pictures';

/** The library of pictures. */
export const pictureList = lists.injectEndpoints({
  endpoints: (build) => ({
    /** What a question finds, the newest first. */
    pictures: build.infiniteQuery<PicturePage, PictureQuestion, string | null>({
      infiniteQueryOptions: BY_PAGES,
      queryFn: ({ queryArg, pageParam }) => answered(listPictures(queryArg, pageParam)),
      providesTags: ['pictures'],
    }),
    pictureUses: build.query<readonly PictureUse[], string>({
      queryFn: (hash) => answered(picturesUses(hash)),
    }),
    deletePicture: build.mutation<null, { readonly hash: string; readonly evenUsed: boolean }>({
      queryFn: ({ hash, evenUsed }) => done(deletePicture(hash, evenUsed)),
      invalidatesTags: ['pictures'],
    }),
  }),
});
