import { pieceListQuery } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { check } from '../http/route.ts';
import type { Tasks } from '../task/threads.ts';
import type { CsvTable } from './csv.ts';

const FILES: Readonly<Record<CsvTable, string>> = {
  pieces: 'icy-ribbon-results.csv',
  mixes: 'icy-ribbon-mixes.csv',
  passes: 'icy-ribbon-passes.csv',
};
const filterSchema = pieceListQuery.omit({ page: true, pageSize: true });

/** GET /api/pieces.csv, mixes.csv and passes.csv. */
export function csvRoutes(router: Router, tasks: Tasks): void {
  for (const [table, name] of Object.entries(FILES) as [CsvTable, string][]) {
    router.get(`/api/${table}.csv`, async (request, response) => {
      const query = { ...check(filterSchema, request.query), page: 1, pageSize: 1 };
      const text = await tasks.run('csv', { table, query });
      response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
      response.type('text/csv; charset=utf-8').send(text);
    });
  }
}
