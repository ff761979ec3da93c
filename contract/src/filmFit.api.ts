import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { filmFitSchema, keptFilmFitSchema } from './filmFit.ts';

const response = z.object({ fit: keptFilmFitSchema.nullable() });

export const filmFit = {
  get: endpoint({
    method: 'GET',
    path: '/api/film-fit',
    summary: 'What measured pours say of the film’s unknowns; null where none were fitted',
    tag: 'practice',
    response,
  }),
  put: endpoint({
    method: 'PUT',
    path: '/api/film-fit',
    summary: 'Keep a fit of the film’s unknowns, or with null go back to the usual ones',
    tag: 'practice',
    body: z.object({ fit: filmFitSchema.nullable() }),
    response,
  }),
};
