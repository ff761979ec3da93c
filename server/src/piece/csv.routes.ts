import { api } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { check } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import type { CsvTable } from './csv.ts';

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
      const text = await tasks.run('csv', { table, query });
      response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
      response.type(`${endpoint.gives}; charset=utf-8`).send(text);
    });
  }
}
