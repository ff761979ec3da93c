import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { removeNamed } from '../folder/remove.ts';
import type { Measurement, PhotoDetail, PhotoState, Piece } from '@icy-ribbon/contract';
import type { PourRecord } from '@icy-ribbon/core/judgement/outcome';
import type { Scene } from '@icy-ribbon/core/piece/rehearse';
import { hashOf } from '../photo/files.ts';

/** One photo that is wanted of a pour. */
export interface DemoShot {
  readonly name: string;
  /** The pour as it truly was. */
  readonly record: PourRecord;
  readonly piece: Pick<Piece, 'mixes' | 'support'>;
  readonly seed: number;
  readonly moment: PhotoState;
  readonly takenAt: string;
}

export interface DemoPicture {
  readonly jpeg: Uint8Array;
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly measurement: Measurement;
  readonly detail: PhotoDetail;
}

/** What is kept of a pour beside its photos: the scene that was blown, and what was measured. */
export interface KeptPour {
  readonly scene: Scene;
  readonly pictures: Partial<Record<PhotoState, Omit<DemoPicture, 'jpeg' | 'hash'>>>;
}

const isKeptName = (name: string): boolean => /^[a-z0-9-]+(\.json\.gz|\.jpg)$/.test(name);
const fileOf = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
const [packed, unpacked] = [promisify(gzip), promisify(gunzip)];

/**
 * The photos of the demo's pours: the camera stand-in takes minutes for them, so they were taken once, by `npm run demo:pictures`, and lie in a
 * folder with what was measured on them. A test holds them against what core says now.
 */
export function demoPictures(folder: string) {
  const dataPath = (name: string) => join(folder, `${fileOf(name)}.json.gz`);
  const photoPath = (name: string, moment: PhotoState) => join(folder, `${fileOf(name)}-${moment}.jpg`);

  async function kept(name: string): Promise<KeptPour> {
    return JSON.parse((await unpacked(await readFile(dataPath(name)))).toString()) as KeptPour;
  }

  return {
    kept,
    photoPath,

    /** The photo that was kept, as if it had been taken of this piece just now. */
    async take({ name, moment, piece, takenAt }: DemoShot): Promise<DemoPicture> {
      const jpeg = await readFile(photoPath(name, moment));
      const picture = (await kept(name)).pictures[moment];
      if (!picture) throw new Error(`No ${moment} photo of "${name}" was kept: run "npm run demo:pictures".`);
      const { measurement, ...rest } = picture;
      const palette = measurement.palette.map((color) => ({
        ...color,
        cupId: piece.mixes.find((mix) => mix.name === color.name)?.id ?? null,
      }));
      return {
        ...rest,
        jpeg,
        hash: hashOf(jpeg),
        measurement: { ...measurement, palette, measuredAt: takenAt },
      };
    },

    /** Takes away what was kept before, by its name. */
    async clear(): Promise<void> {
      await removeNamed(folder, folder, isKeptName);
      await mkdir(folder, { recursive: true });
    },

    /** Keeps what was blown, and its photos by their moment. */
    async keep(name: string, scene: Scene, taken: ReadonlyMap<PhotoState, DemoPicture>): Promise<void> {
      const pictures: KeptPour['pictures'] = {};
      for (const [moment, { jpeg, widthPx, heightPx, measurement, detail }] of taken) {
        await writeFile(photoPath(name, moment), jpeg);
        pictures[moment] = { widthPx, heightPx, measurement, detail };
      }
      await writeFile(dataPath(name), await packed(JSON.stringify({ scene, pictures } satisfies KeptPour)));
    },
  };
}

export type DemoPictures = ReturnType<typeof demoPictures>;
