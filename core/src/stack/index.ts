export { stackForecast, type InterfaceForecast } from './forecast.ts';
