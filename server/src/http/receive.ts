import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import type { Request, RequestHandler } from 'express';
import multer, { MulterError } from 'multer';
import { folderOf } from '../folder/folder.ts';
import { removeIn } from '../folder/remove.ts';
import { storageFault } from '../db/fault.ts';
import { unfit } from './problem.ts';

const MB = 1024 * 1024;
const MOST_FIELD_BYTES = 10_000;

export interface Receiver {
  readonly middleware: RequestHandler;
  /** Takes the received file away, wherever the request ended. */
  clear(request: Request): Promise<void>;
}

/**
 * Receives one file of a form onto the disk, never into memory.
 *
 * @param field the form's name of the file, which is also where a message about it belongs
 */
export function receiver(dataFolder: string, field: string, mostBytes: number): Receiver {
  const { incoming } = folderOf(dataFolder);
  const receive = multer({
    storage: multer.diskStorage({
      destination: (_request, _file, done) => {
        mkdirSync(incoming, { recursive: true });
        done(null, incoming);
      },
      filename: (_request, _file, done) => done(null, `${randomUUID()}.part`),
    }),
    limits: { fileSize: mostBytes, files: 1, fields: 10, fieldSize: MOST_FIELD_BYTES, parts: 12 },
  }).single(field);
  const refusal = (error: unknown) => {
    if (storageFault(error)) return error;
    if (error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE') {
      const most = `${Math.round(mostBytes / MB)} MB`;
      return unfit(
        field,
        `The file is larger than ${most}: ${field === 'photo' ? 'save the photo smaller' : 'it cannot be taken in'}.`,
      );
    }
    return unfit(field, `The upload broke off: send the ${field} again.`);
  };
  const removeFile = async (request: Request): Promise<void> => {
    if (request.file) await removeIn(incoming, request.file.path);
  };
  return {
    middleware: (request, response, next) => {
      receive(request, response, (error: unknown) => {
        if (!error) return next();
        // What arrived of it is nobody's.
        void removeFile(request).then(() => next(refusal(error)));
      });
    },
    clear: removeFile,
  };
}
