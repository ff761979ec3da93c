import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { airCaution } from './air.ts';

it.each(AIR_TOOLS.map(({ tool, power }) => [tool, power] as const))(
  '%s has the caution of %s',
  (tool, power) => {
    expect(/straw/.test(airCaution(tool))).toBe(power === 'breath');
    expect(/wet hands/.test(airCaution(tool))).toBe(power !== 'breath');
    expect(/Cool air/.test(airCaution(tool))).toBe(power !== 'breath');
  },
);
