export { forecastCovered } from './forecast.ts';
export { learnCoverage, type CoveredPour, type OwnCoverage } from './own.ts';
