import { addPictures } from '../actions/pictures';
import { isFontFile } from '../../api/fontFiles';
import { warn } from '../../ui/notices/noticesSlice';
import { dropFonts } from '../looks/fontsHere';
import { tableArrived } from '../editorSlice';
import { isTableFile, readArriving, words } from '../tables/tableFile';
import type { AppThunk } from '../state';

type Where = NonNullable<Parameters<typeof addPictures>[1]>;

/** Takes files that were dropped on the stage, each as what it is: fonts, a table, pictures and films. */
export const takeDropped =
  (files: readonly File[], where: Where): AppThunk =>
  (dispatch) => {
    const [fonts, tables] = [files.filter(isFontFile), files.filter(isTableFile)];
    const others = files.filter((file) => !fonts.includes(file) && !tables.includes(file));
    if (fonts.length > 0) void dispatch(dropFonts(fonts, where.onto));
    if (others.length > 0) void dispatch(addPictures(others, where));
    const [table, ...more] = tables;
    if (!table) return;
    if (more.length > 0) dispatch(warn(`Drop one table at a time: “${table.name}” is taken.`));
    readArriving(table).then(
      (arriving) => dispatch(tableArrived(arriving)),
      (error: unknown) => dispatch(warn(words(error))),
    );
  };
