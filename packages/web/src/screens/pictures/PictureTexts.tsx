import { useState } from 'react';
import { addressFor, pictureDetails, type LibraryPicture } from '../../api/pictures';
import { useAppDispatch } from '../../editor/hooks';
import { sendLater } from '../../editor/saving/later/later';
import { PictureText } from '../../ui/PictureText';

/** The pictures of the library with their alternative texts beside them. */
export const PictureTexts = ({ pictures }: { readonly pictures: readonly LibraryPicture[] }) => (
  <ul
    aria-label="Alternative texts"
    className="grid grid-cols-[repeat(auto-fill,minmax(340px,1fr))] gap-x-8 gap-y-5"
  >
    {pictures.map((picture) => (
      <One key={picture.hash} picture={picture} />
    ))}
  </ul>
);

function One({ picture }: { readonly picture: LibraryPicture }) {
  const dispatch = useAppDispatch();
  const [words, setWords] = useState(picture.alternativeText);
  return (
    <PictureText
      name={picture.name}
      src={addressFor(picture, 320)}
      value={words}
      onType={(alternativeText) => {
        setWords(alternativeText);
        dispatch(sendLater(pictureDetails(picture.hash, { alternativeText })));
      }}
    />
  );
}
