import { saveFile } from '#drawing/saveFile.ts';

/** Hands text to the browser as a file to save. */
export const saveText = (name: string, text: string, mediaType: string): void =>
  saveFile(new Blob([text], { type: mediaType }), name);
