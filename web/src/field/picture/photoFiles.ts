/** Photos that are kept: as cameras and phones write them. */
export const PHOTO_FILES = 'image/jpeg,image/png,image/heic,image/heif,.heic,.heif';
