import { z } from 'zod';
import { idParams, idSchema } from './common.ts';
import {
  devicesSchema,
  doingSchema,
  doorPutSchema,
  invitationCreateSchema,
  invitationSchema,
} from './device.ts';
import { endpoint } from './endpoint.ts';

export const devices = {
  show: endpoint({
    method: 'GET',
    path: '/api/devices',
    summary: 'Where other devices find the studio, and which are signed in',
    tag: 'devices',
    response: devicesSchema,
  }),
  setDoor: endpoint({
    method: 'PUT',
    path: '/api/devices/door',
    summary: 'Let other devices on the network in, or no more; only from the machine that the studio lies on',
    tag: 'devices',
    by: 'host',
    body: doorPutSchema,
    response: devicesSchema,
  }),
  invite: endpoint({
    method: 'POST',
    path: '/api/devices/invitations',
    summary: 'A code that lets one device in, once, within some minutes',
    tag: 'devices',
    body: invitationCreateSchema,
    response: invitationSchema,
    status: 201,
  }),
  signOut: endpoint({
    method: 'DELETE',
    path: '/api/devices/:id',
    summary: 'Sign a device out: itself, or by a device of the studio any',
    tag: 'devices',
    by: 'table',
    params: idParams,
    response: devicesSchema,
  }),
  doing: endpoint({
    method: 'PUT',
    path: '/api/live/doing',
    summary: 'Say what this page is doing, for the other devices',
    tag: 'devices',
    by: 'table',
    body: doingSchema,
    response: z.object({}),
  }),
  live: endpoint({
    method: 'GET',
    path: '/api/live',
    summary: 'What changes and who does what, as server-sent events for as long as one listens',
    tag: 'devices',
    query: z.object({ tab: idSchema }),
    gives: 'text/event-stream',
  }),
};
