import { z } from 'zod';
import { idParams, longPageQuery, pageOf, versionBody, versionQuery } from './common.ts';
import { endpoint } from './endpoint.ts';
import { calibrationCreateSchema, calibrationSchema } from './reading.ts';

export const calibrations = {
  list: endpoint({
    method: 'GET',
    path: '/api/calibrations',
    summary: 'Calibrated cards, mounds and cups with a hole, the newest first',
    tag: 'thickness',
    query: z.object(longPageQuery),
    response: pageOf(calibrationSchema),
  }),
  create: endpoint({
    method: 'POST',
    path: '/api/calibrations',
    summary: 'Keep a calibration',
    tag: 'thickness',
    body: calibrationCreateSchema,
    response: calibrationSchema,
    status: 201,
  }),
  remove: endpoint({
    method: 'DELETE',
    path: '/api/calibrations/:id',
    summary: 'Take a calibration away (can be undone); readings made with it keep it',
    tag: 'thickness',
    params: idParams,
    query: versionQuery,
    response: calibrationSchema,
  }),
  restore: endpoint({
    method: 'POST',
    path: '/api/calibrations/:id/restore',
    summary: 'Bring a calibration back',
    tag: 'thickness',
    params: idParams,
    body: versionBody,
    response: calibrationSchema,
  }),
};
