import type { MakeKernel } from '@icy-ribbon/core/flow/solver';
import type { Db } from '../db/open.ts';
import type { PhotoFiles } from '../photo/files.ts';

/** How far a long task has come. */
export interface Progress {
  readonly phase: string;
  readonly done: number;
  readonly total: number;
}

/** What a task works with. */
export interface Bench {
  /** Reads only, where the task runs on a thread of its own. */
  readonly db: Db;
  readonly files: PhotoFiles;
  readonly dataFolder: string;
  /** Makes the films that the camera stand-in photographs. */
  readonly makeFilm: MakeKernel;
  /** A connection that may write, for as long as it is asked for. */
  withWriter<Result>(work: (db: Db) => Promise<Result>): Promise<Result>;
  report(progress: Progress): void;
  /** Waits for what is to be done before anything is changed: a backup. @throws what that threw */
  beforeWriting(): Promise<void>;
  /** @throws Cancelled when whoever asked has called it off */
  goOn(): void;
}

/** Thrown by a task that was called off. */
export class Cancelled extends Error {
  constructor() {
    super('Called off.');
    this.name = 'Cancelled';
  }
}
