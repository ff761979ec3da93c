import type { Problem } from '@icy-ribbon/contract';
import { reactive, readonly } from 'vue';
import { ApiProblem } from '../api/problem.ts';

export interface Notice {
  readonly id: number;
  readonly kind: 'done' | 'problem';
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => unknown };
}

const SHOWN_MS = 8000;
const list = reactive<Notice[]>([]);
let lastId = 0;

/** The notices on the screen, newest last. */
export const notices = readonly(list);

export function dismiss(id: number): void {
  const index = list.findIndex((notice) => notice.id === id);
  if (index >= 0) list.splice(index, 1);
}

function post(notice: Omit<Notice, 'id'>): void {
  lastId += 1;
  const id = lastId;
  list.push({ ...notice, id });
  if (list.length > 3) list.shift();
  setTimeout(() => dismiss(id), SHOWN_MS);
}

/** Says that something was done, with a way to undo it. */
export function say(text: string, undo?: () => unknown): void {
  post({ kind: 'done', text, ...(undo && { action: { label: 'Undo', run: undo } }) });
}

let wordsOf = (problem: Problem): string => problem.detail ?? problem.title;

/** Lets problems of the server be told by the words of the pages. */
export function tellProblemsBy(words: (problem: Problem) => string): void {
  wordsOf = words;
}

/** Says what went wrong and what to change. */
export function sayProblem(error: unknown): void {
  if (error instanceof ApiProblem) {
    post({ kind: 'problem', text: wordsOf(error.problem) });
    return;
  }
  // A worker's errors arrive as plain ones that still have their name.
  if (error instanceof Error && error.name === 'InputError') {
    post({ kind: 'problem', text: error.message });
    return;
  }
  post({ kind: 'problem', text: 'Something broke on this page. Reload it; what was logged is kept.' });
  console.error(error);
}
