export { EQUIPMENT_DATA } from './kinds.ts';
