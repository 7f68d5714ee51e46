export * from './PicturePicker';
export * from './PicturesScreen';
export * from './UploadTray';
export * from './upload';
export { orderChosen } from './uploadsSlice';
