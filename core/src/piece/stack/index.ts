export {
  coreSample,
  sampleLayers,
  type CoreSample,
  type SampleLayer,
  type SampleMoment,
} from './coreSample.ts';
export { stackForecast, type InterfaceForecast } from './forecast.ts';
export { evenlyMm, puddle } from './puddle.ts';
