import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { check } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import { csvHead, type CsvTable } from './csv.ts';

const PIECES_A_PART = 200;

const FILES: Readonly<Record<CsvTable, string>> = {
  pieces: 'icy-ribbon-results.csv',
  mixes: 'icy-ribbon-mixes.csv',
  passes: 'icy-ribbon-passes.csv',
};
const ENDPOINTS = {
  pieces: api.results.piecesCsv,
  mixes: api.results.mixesCsv,
  passes: api.results.passesCsv,
} as const;

/** Tables of what was done and what came of it, worked out by a thread. */
export function csvRoutes(router: Router, tasks: Tasks): void {
  for (const [table, name] of Object.entries(FILES) as [CsvTable, string][]) {
    const endpoint = ENDPOINTS[table];
    router.get(endpoint.path, async (request, response) => {
      const query = { ...check(endpoint.query, request.query), page: 1, pageSize: 1 };
      const ids = await tasks.run('pieceIds', query);
      response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
      response.type(`${endpoint.gives}; charset=utf-8`);
      try {
        await pipeline(Readable.from(parts(tasks, table, ids)), response);
      } catch (error) {
        // Whoever downloaded has gone: there is nobody to tell.
        if ((error as NodeJS.ErrnoException).code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
      }
    });
  }
}

/** A table part by part, so that neither memory nor those who ask meanwhile wait for the whole. */
async function* parts(tasks: Tasks, table: CsvTable, ids: readonly string[]): AsyncGenerator<string> {
  yield csvHead(table);
  for (let from = 0; from < ids.length; from += PIECES_A_PART) {
    const lines = await tasks.run('csvPart', { table, ids: ids.slice(from, from + PIECES_A_PART) });
    if (lines !== '') yield lines;
  }
}
