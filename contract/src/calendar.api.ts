import { endpoint } from './endpoint.ts';

export const calendar = {
  feed: endpoint({
    method: 'GET',
    path: '/api/calendar.ics',
    summary: 'Every date that the work sets, as an iCalendar feed (RFC 5545)',
    tag: 'rack',
    gives: 'text/calendar',
  }),
};
