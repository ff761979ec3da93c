export {
  isPrepareStep,
  prepare,
  prepareStepId,
  type PrepareCode,
  type PrepareInput,
  type PrepareItem,
} from './prepare.ts';
