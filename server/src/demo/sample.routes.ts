import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import type { Db } from '../db/open.ts';
import { withoutAnswer } from '../device/owed.ts';
import { route } from '../http/route.ts';
import type { PhotoFiles } from '../photo/files.ts';
import type { Tasks } from '../task/threads.ts';
import { demoPictures } from './pictures.ts';
import { addSample, removeSample, sampleId } from './sample.ts';

export function sampleRoutes(
  router: Router,
  { db, files, tasks }: { readonly db: Db; readonly files: PhotoFiles; readonly tasks: Tasks },
  demoFolder: string,
): void {
  const pictures = demoPictures(demoFolder);
  route(router, api.sample.get, async () => ({ pieceId: await sampleId(db) }));
  route(router, api.sample.add, async () => ({
    pieceId: await withoutAnswer(() => addSample(db, files, tasks, pictures)),
  }));
  route(router, api.sample.remove, async () => {
    await withoutAnswer(() => removeSample(db));
    return { pieceId: null };
  });
}
