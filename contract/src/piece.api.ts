import { idParams, versionBody, versionQuery } from './common.ts';
import { pieceDocumentSchema } from './document.ts';
import { endpoint } from './endpoint.ts';
import { importJobSchema } from './import.ts';
import {
  damagedRecordSchema,
  pieceCreateSchema,
  piecePageSchema,
  pieceSchema,
  pieceUpdateSchema,
} from './piece.ts';
import { pieceListQuery } from './result.ts';

export const pieces = {
  list: endpoint({
    method: 'GET',
    path: '/api/pieces',
    summary: 'Pieces with their mixes, passes and outcome in short',
    tag: 'results',
    query: pieceListQuery,
    response: piecePageSchema,
  }),
  get: endpoint({
    method: 'GET',
    path: '/api/pieces/:id',
    summary: 'One piece with everything that belongs to it',
    tag: 'results',
    params: idParams,
    response: pieceSchema,
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/pieces',
    summary: 'Start a piece on a support',
    tag: 'today',
    body: pieceCreateSchema,
    response: pieceSchema,
    status: 201,
  }),
  update: endpoint({
    method: 'PATCH',
    path: '/api/pieces/:id',
    summary: 'Rename a piece or change its note',
    tag: 'today',
    params: idParams,
    body: pieceUpdateSchema,
    response: pieceSchema,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/pieces/:id',
    summary: 'Delete a piece (can be undone)',
    tag: 'results',
    params: idParams,
    query: versionQuery,
    response: pieceSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/pieces/:id/restore',
    summary: 'Bring a deleted piece back',
    tag: 'results',
    params: idParams,
    body: versionBody,
    response: pieceSchema,
  }),
  exportDocument: endpoint({
    method: 'GET',
    path: '/api/pieces/:id/export',
    summary: 'The piece as one JSON document, photos included',
    tag: 'results',
    params: idParams,
    response: pieceDocumentSchema,
  }),
  importDocument: endpoint({
    method: 'POST',
    path: '/api/pieces/import',
    summary: 'Read a piece from its JSON document, beside everything else',
    tag: 'results',
    body: pieceDocumentSchema,
    response: importJobSchema,
    status: 202,
  }),
  setAside: endpoint({
    method: 'POST',
    path: '/api/pieces/:id/set-aside',
    summary: 'Take a record that cannot be read out of a piece; it is kept elsewhere as it is',
    tag: 'results',
    params: idParams,
    body: damagedRecordSchema.pick({ what: true, id: true }),
    response: pieceSchema,
  }),
};
