export * from './solve.ts';
