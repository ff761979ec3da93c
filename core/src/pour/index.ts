export { laidMgOf, standing, type LoggedEvent } from './log.ts';
