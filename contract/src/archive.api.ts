import { z } from 'zod';
import { endpoint } from './endpoint.ts';

const aDocument = z.record(z.string(), z.unknown());

/** The studio as a whole, and what describes it. */
export const studio = {
  archive: endpoint({
    method: 'GET',
    path: '/api/archive.zip',
    summary: 'Everything as one zip, photos included',
    tag: 'safekeeping',
    by: 'studio',
    gives: 'application/zip',
  }),
  openApi: endpoint({
    method: 'GET',
    path: '/api/openapi.json',
    summary: 'This description',
    tag: 'description',
    response: aDocument,
  }),
  archiveFormat: endpoint({
    method: 'GET',
    path: '/api/schema/studio.json',
    summary: 'The format of a whole studio, as a JSON Schema',
    tag: 'description',
    response: aDocument,
  }),
  pieceFormat: endpoint({
    method: 'GET',
    path: '/api/schema/piece.json',
    summary: 'The format of a file of one piece, as a JSON Schema',
    tag: 'description',
    response: aDocument,
  }),
};
