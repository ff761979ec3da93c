export { coreSample, stackOf, type CoreSample } from './coreSample.ts';
export { stackForecast, type InterfaceForecast, type OpenedBy, type StackLayer } from './forecast.ts';
export { evenlyMm, puddle } from './puddle.ts';
export { sampleLayers, type SampleLayer, type SampleMoment } from './sampleLayers.ts';
