import { makeDemo } from './studio.ts';

/** Runs once before all tests; what it returns runs after them. */
export default makeDemo;
