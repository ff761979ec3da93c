import { problemType } from '@icy-ribbon/contract';
import { problemWords } from './problem.ts';

it('a general problem is told in the words of the pages', () => {
  const problem = { type: problemType('disk-full'), title: 'x', status: 507, detail: 'from the server' };
  expect(problemWords(problem)).toMatch(/^The disk is full: make room/);
});

it('one about this very thing is told as the server says it', () => {
  const problem = { type: problemType('unfit'), title: 'x', status: 422, detail: 'The cup is empty.' };
  expect(problemWords(problem)).toBe('The cup is empty.');
  expect(problemWords({ type: 'about:blank', title: 'No', status: 500 })).toBe('No');
});
