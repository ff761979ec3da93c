import { endpoint } from './endpoint.ts';
import { disturbanceSchema, scaleInfoSchema, scaleReadingSchema, standInPourSchema } from './scale.ts';

export const scale = {
  info: endpoint({
    method: 'GET',
    path: '/api/scale',
    summary: 'The scale that is plugged in',
    tag: 'scale',
    response: scaleInfoSchema,
  }),
  readings: endpoint({
    method: 'GET',
    path: '/api/scale/readings',
    summary: 'What the scale shows, as server-sent events for as long as one listens',
    tag: 'scale',
    gives: 'text/event-stream',
  }),
  tare: endpoint({
    method: 'POST',
    path: '/api/scale/tare',
    summary: 'Zero the display',
    tag: 'scale',
    by: 'table',
    response: scaleReadingSchema,
  }),
  pour: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/pour',
    summary: 'Let the stand-in pour into the cup on it',
    tag: 'scale',
    by: 'table',
    body: standInPourSchema,
    response: scaleReadingSchema,
  }),
  stop: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/stop',
    summary: 'Stop pouring',
    tag: 'scale',
    by: 'table',
    response: scaleReadingSchema,
  }),
  disturb: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/disturb',
    summary: 'Bump the table, overload the scale, or let it drop out for some seconds',
    tag: 'scale',
    by: 'table',
    body: disturbanceSchema,
    response: scaleReadingSchema,
  }),
  newCup: endpoint({
    method: 'POST',
    path: '/api/scale/stand-in/new-cup',
    summary: 'Put an empty cup on the stand-in and zero it',
    tag: 'scale',
    by: 'table',
    response: scaleReadingSchema,
  }),
};
