import { z } from 'zod';
import { endpoint } from './endpoint.ts';

/** Where a calendar subscribes; null until it was asked for. */
const addressSchema = z.object({ path: z.string().nullable() });

export const calendar = {
  feed: endpoint({
    method: 'GET',
    path: '/api/calendar.ics',
    summary: 'Every date that the work sets, as an iCalendar feed (RFC 5545)',
    tag: 'rack',
    query: z.object({ token: z.string().max(100).optional() }),
    gives: 'text/calendar',
  }),
  address: endpoint({
    method: 'GET',
    path: '/api/calendar/address',
    summary: 'Where a calendar subscribes, with a token that lets it read the dates and nothing else',
    tag: 'rack',
    by: 'studio',
    response: addressSchema,
  }),
  renew: endpoint({
    method: 'POST',
    path: '/api/calendar/address',
    summary: 'Make that address, or another in its place: what subscribed to the old one reads no more',
    tag: 'rack',
    response: addressSchema,
  }),
};
