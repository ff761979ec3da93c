import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { recordEndpoints } from './records.ts';
import {
  pieceListQuery,
  pourCellsSchema,
  pourNumbersSchema,
  savedViewCreateSchema,
  savedViewSchema,
} from './result.ts';

export const results = {
  numbers: endpoint({
    method: 'GET',
    path: '/api/results/numbers',
    summary: 'What was done and what came of it, as numbers, of every pour',
    tag: 'results',
    query: z.object({ technique: pieceListQuery.shape.technique }),
    response: z.object({ items: z.array(pourNumbersSchema) }),
  }),
  cells: endpoint({
    method: 'GET',
    path: '/api/results/cells',
    summary: 'Measured cells of every pour, and what the laws had expected of it',
    tag: 'results',
    response: z.object({ items: z.array(pourCellsSchema) }),
  }),
  piecesCsv: csv('pieces', 'A list of pieces, with what was done and measured'),
  mixesCsv: csv('mixes', 'All mixes'),
  passesCsv: csv('passes', 'All passes'),
};

export const views = recordEndpoints({
  path: '/api/views',
  tag: 'results',
  shown: savedViewSchema,
  create: savedViewCreateSchema,
  words: {
    list: 'Saved views of the results',
    create: 'Save a view of the results',
    remove: 'Take a saved view away',
    restore: 'Bring a saved view back',
  },
});

function csv(table: string, summary: string) {
  return endpoint({
    method: 'GET',
    path: `/api/${table}.csv`,
    summary: `${summary}, as CSV`,
    tag: 'results',
    query: pieceListQuery.omit({ page: true, pageSize: true }),
    gives: 'text/csv',
  });
}
