import type { TaskName } from './tasks.ts';

/** Two kinds of threads: one answers what pages ask for, the other works on what takes long. */
export type TaskKind = 'read' | 'long';

export const TASK_KINDS: Readonly<Record<TaskName, TaskKind>> = {
  pieces: 'read',
  piece: 'read',
  shelf: 'read',
  numbers: 'read',
  cells: 'read',
  pieceIds: 'read',
  csvPart: 'read',
  calendar: 'read',
  learned: 'read',
  missingFacts: 'long',
  exportPiece: 'long',
  collectStudio: 'long',
  photograph: 'long',
  unpackHeic: 'long',
  verifyCopy: 'long',
  readArchive: 'long',
  readDocument: 'long',
  readMaterials: 'long',
};
