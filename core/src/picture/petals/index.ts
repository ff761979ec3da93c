/** Petals of a flower and tongues of a fan, counted on where paint lies. */
export * from './mask.ts';
export * from './petals.ts';
