export {
  coreSample,
  sampleLayers,
  stackOf,
  type CoreSample,
  type SampleLayer,
  type SampleMoment,
} from './coreSample.ts';
export { stackForecast, type InterfaceForecast, type OpenedBy, type StackLayer } from './forecast.ts';
export { evenlyMm, puddle } from './puddle.ts';
