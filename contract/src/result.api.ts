import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
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
  views: endpoint({
    method: 'GET',
    path: '/api/views',
    summary: 'Saved views of the results',
    tag: 'results',
    query: z.object(longPageQuery),
    response: pageOf(savedViewSchema),
  }),
  saveView: endpoint({
    method: 'POST',
    path: '/api/views',
    summary: 'Save a view of the results',
    tag: 'results',
    body: savedViewCreateSchema,
    response: savedViewSchema,
    status: 201,
  }),
  removeView: endpoint({
    method: 'DELETE',
    path: '/api/views/:id',
    summary: 'Take a saved view away (can be undone)',
    tag: 'results',
    params: idParams,
    query: versionQuery,
    response: savedViewSchema,
  }),
  restoreView: endpoint({
    method: 'POST',
    path: '/api/views/:id/restore',
    summary: 'Bring a saved view back',
    tag: 'results',
    params: idParams,
    body: versionBody,
    response: savedViewSchema,
  }),
  piecesCsv: csv('pieces', 'A list of pieces, with what was done and measured'),
  mixesCsv: csv('mixes', 'All mixes'),
  passesCsv: csv('passes', 'All passes'),
};

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
