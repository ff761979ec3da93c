import { pourEventSchema, type PourEvent } from '@icy-ribbon/contract';
import '#api/plainSchemas.ts';
import { ApiProblem } from '#api/problem.ts';

/**
 * Checks an event by the contract before it is kept.
 *
 * @throws ApiProblem with the field paths
 */
export function checkedEvent(event: unknown): PourEvent {
  const checked = pourEventSchema.safeParse(event);
  if (checked.success) return checked.data;
  const errors = checked.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  throw new ApiProblem({
    type: 'about:blank',
    title: 'Some fields need a change',
    status: 422,
    detail: errors[0]?.message ?? 'Some fields need a change.',
    errors,
  });
}
